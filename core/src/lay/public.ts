// What is used outside the core.
export * from './bound';
export * from './contract';
export * from './cut-order';
export * from './edge-to-edge';
export * from './engine/engine';
export * from './engine/version';
export * from './lay-file';
export * from './pins';
export * from './room';
export * from './seeds';
export * from './validate';
export * from './bands';
