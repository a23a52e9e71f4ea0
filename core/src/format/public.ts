// A door of its own, not one of index.ts: files are read and written where they are wanted, not with every page.
export * from './formats';
export * from './json';
export * from './outline-file';
