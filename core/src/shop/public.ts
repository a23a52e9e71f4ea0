// What is used outside the core.
export * from './assumptions';
export * from './schools';
export * from './shop';
