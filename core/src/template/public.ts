// What is used outside the core.
export * from './ears';
export * from './edit-outline';
export * from './even-out';
export * from './fit-curve';
export * from './marks';
export * from './outline-json';
export * from './shapes/quadrilateral';
export * from './shapes/shape';
export * from './shapes/shapes';
export * from './sized';
export * from './trace/homography';
export * from './trace/on-sheet';
export type { Corners, PenEdge, Traced, TraceAnswer, TraceRequest } from './trace/trace';
export type { SeatStation } from './shapes/stations';
