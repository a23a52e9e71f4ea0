// What is used outside the core.
export * from './core-operations';
export * from './order';
export * from './ticks';
