// What is used outside the core.
export * from './again';
export * from './check';
export * from './log/entry';
export * from './log/written';
export * from './meaning';
export * from './points';
