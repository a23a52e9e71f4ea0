// What is used outside the core.
export * from './contract';
export * from './engine';
export * from './validate';
