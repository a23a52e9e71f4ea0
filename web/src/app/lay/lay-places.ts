// Where a piece may lie on a lay: fetched when a piece is picked, for it brings the geometry of the engine.
export { nearestPlace, roomAround } from '@yardland/core';
