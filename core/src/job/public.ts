// What is used outside the core.
export * from './document';
export * from './pins-follow';
export * from './quick/quick-line';
export * from './split';
export * from './terms';
export * from './quick/suggest';
export type { QuickShop } from './quick/vocabulary';
