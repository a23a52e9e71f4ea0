// What is used outside the core.
export * from './test-fit';
export * from './corner-filling';
export * from './foam';
export * from './glue';
export * from './outlines';
export * from './sizes';
export * from './slope';
export * from './tools';
export * from './wrap';
export * from './wrap-lies';
