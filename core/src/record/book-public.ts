// A door of its own: what only the Book needs is fetched with it, and not with every page.
export * from './learning/learn';
export * from './learning/learn-request';
export * from './learning/take';
export type { Observation } from './learning/observe';
export * from './look-back';
