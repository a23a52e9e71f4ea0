// What is used outside the core.
export * from './stations';
export * from './merge-bench';
