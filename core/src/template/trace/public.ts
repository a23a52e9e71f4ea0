// A door of its own, not one of index.ts: pictures are traced in a thread of their own.
export * from './gray';
export * from './made-cloth';
export * from './made-picture';
export * from './straightened-picture';
export * from './trace';
