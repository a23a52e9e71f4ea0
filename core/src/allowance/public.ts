// What is used outside the core.
export * from './foam';
export * from './outlines';
export * from './sizes';
export * from './slope';
export * from './wrap';
