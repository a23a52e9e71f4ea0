// What is used outside the core.
export * from './check';
export * from './meaning';
