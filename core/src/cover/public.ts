// What is used outside the core.
export * from './constant-words';
export * from './list';
export * from './own-constants';
export * from './welt/bias';
export * from './welt/welt';
export * from './usual';
export type { Choices, ClothFacts, Closing, Construction as ConstructionModule, Cover, EdgeProfile, Field, Notion } from './contract';
