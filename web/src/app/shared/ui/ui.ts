export * from './boxes';
export * from './buttons';
export * from './field';
export * from './not-fetched';
export * from './panels';
export * from './places';
export * from './rows';
export * from './words';
