// What is used outside the core.
export * from './form';
export * from './rough';
export { projected, USUAL_VIEW, type View3 } from './stage';
