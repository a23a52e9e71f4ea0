import type { Outline } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { directionOn, segmentLength, type EdgeName, type Segment } from '../geometry/segment';
import { startingAt } from '../geometry/transform';

/** The side of the seat that looks this way. */
export function sideFacing(outward: Point): EdgeName {
  if (Math.abs(outward.y) >= Math.abs(outward.x)) return outward.y < 0 ? 'front' : 'back';
  return outward.x > 0 ? 'right' : 'left';
}

/** The side that a counter-clockwise way faces as it goes from one point to another. */
export const sideAlong = (from: Point, to: Point): EdgeName => sideFacing({ x: to.y - from.y, y: from.x - to.x });

/** Each segment of a foreign outline given the side of the seat that it faces; counter-clockwise, its front first. */
export function withEdges(outline: Outline): Outline {
  const facing = (segment: Segment): EdgeName => {
    const way = directionOn(segment, segmentLength(segment) / 2);
    return sideFacing({ x: way.y, y: -way.x });
  };
  return startingAt({ segments: outline.segments.map((segment) => ({ ...segment, edge: facing(segment) })) }, 'front');
}
