// What is used outside the core.
export * from './assumptions';
export * from './machines';
export * from './schools';
export * from './shop';
