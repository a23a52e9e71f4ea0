// What is used outside the core.
export * from './draw';
export * from './form';
export * from './rough';
export { projected, type View3 } from './stage';
