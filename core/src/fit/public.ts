// What is used outside the core.
export * from './deciding';
export * from './fit';
export * from './fit-request';
export * from './sensitivity';
