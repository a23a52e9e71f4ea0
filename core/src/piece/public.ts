// What is used outside the core.
export * from './item-ref';
export * from './material-ref';
export * from './notches';
export * from './operation';
export * from './piece';
export * from './seam';
export * from './sizes';
export * from './stage';
export * from './roll';
export * from './staples';
