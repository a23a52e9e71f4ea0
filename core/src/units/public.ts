// What is used outside the core.
export * from './foam';
export * from './force';
export * from './format';
export * from './length';
export * from './number';
export * from './parse';
export * from './round';
export * from './time';
