// What is used outside the core.
export * from './api';
export * from './pictures';
export * from './samples';
export * from './shop';
export * from './templates';
export * from './times';
