// What is used outside the core.
export * from './answers';
export * from './day';
export * from './documents';
export * from './kept-lays';
export * from './lists';
export * from './log';
export * from './log-csv';
export * from './pictures';
export * from './samples';
export * from './shop';
export * from './templates';
export * from './times';
export * from './practice';
export * from './tokens';
export * from './written-shop';
