// What is used outside the core.
export * from './figure';
export * from './hash';
export * from './issue';
export * from './merge';
export * from './random';
export * from './read';
export * from './why';
