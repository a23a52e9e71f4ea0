// What is used outside the core.
export * from './crown';
export * from './domed';
export * from './knots';
export * from './membrane';
export * from './solve-crown';
export * from './crown-request';
