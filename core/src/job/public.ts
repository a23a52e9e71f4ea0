// What is used outside the core.
export * from './document';
export * from './pins-follow';
export * from './quick-line';
export * from './split';
export * from './terms';
