// What is used outside the core.
export * from './closed-lines';
export * from './outlook';
export * from './section';
export * from './step-picture';
