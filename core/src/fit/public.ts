// What is used outside the core.
export * from './fit';
export * from './fit-request';
export * from './sensitivity';
