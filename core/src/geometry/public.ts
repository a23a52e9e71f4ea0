// What is used outside the core.
export * from './biarc';
export * from './contour';
export * from './measure';
export * from './offset';
export * from './outline';
export * from './point';
export * from './polygon';
export * from './segment';
export * from './simple';
export * from './transform';
