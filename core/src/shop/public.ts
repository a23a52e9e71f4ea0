// What is used outside the core.
export * from './assumptions';
export * from './assumption-words';
export * from './day';
export * from './ways';
export * from './minutes';
export * from './merge-shops';
export * from './schools';
export * from './shop';
export * from './stock-lists';
