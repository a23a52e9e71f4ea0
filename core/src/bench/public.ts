// What is used outside the core.
export * from './batch';
export * from './core/core-operations';
export type { CoreWork, CutTool, Refreshing } from './core/core-work';
export { oldCoverOperations } from './core/old-core';
export * from './learnt';
export * from './looks';
export * from './machine';
export * from './order';
export * from './recut';
export * from './runs';
export * from './ticks';
export * from './time';
export * from './waits';
export * from './cut-otherwise';
