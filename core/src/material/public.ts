// What is used outside the core.
export * from './material';
