import type { Outline } from '../geometry/outline';
import { directionOn, segmentLength, type EdgeName, type Segment } from '../geometry/segment';
import { startingAt } from '../geometry/transform';

/** Each segment of a foreign outline given the side of the seat that it faces; counter-clockwise, its front first. */
export function withEdges(outline: Outline): Outline {
  const facing = (segment: Segment): EdgeName => {
    const way = directionOn(segment, segmentLength(segment) / 2);
    const outward = { x: way.y, y: -way.x };
    if (Math.abs(outward.y) >= Math.abs(outward.x)) return outward.y < 0 ? 'front' : 'back';
    return outward.x > 0 ? 'right' : 'left';
  };
  return startingAt({ segments: outline.segments.map((segment) => ({ ...segment, edge: facing(segment) })) }, 'front');
}
