// What is used outside the core.
export * from './advice';
export * from './compare-covers';
export * from './compare-lays';
export * from './compare-orders';
export * from './compare-schools';
export * from './compare-wraps';
export * from './lay-ways';
export * from './trials';
