// What is used outside the core.
export * from './stations';
export * from './station-states';
export * from './merge-bench';
