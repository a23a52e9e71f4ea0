// What is used outside the core.
export * from './batch';
export * from './core-operations';
export * from './learnt';
export * from './machine';
export * from './order';
export * from './recut';
export * from './runs';
export * from './ticks';
export * from './time';
export * from './cut-otherwise';
