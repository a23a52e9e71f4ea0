// What is used outside the core.
export * from './say';
