// What is used outside the core.
export * from './old-core-cost';
export * from './staging';
