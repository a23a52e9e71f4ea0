import { bounds, type Bounds } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import { turnedBy } from '../contract';
import { cleaned, convexParts, hull, minkowskiSum, mirroredThroughOrigin } from './convex';
import { wider } from './wider';

/** A piece in one of its turns, about its own origin. All coordinates millimetres. */
export interface Turned {
  readonly turn: number;
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
  /** Convex parts, counter-clockwise. */
  readonly parts: readonly (readonly Point[])[];
  /** The parts turned by half a turn about the origin: summed with what lies somewhere they are where this piece may not lie. */
  readonly opposite: readonly (readonly Point[])[];
  /** The same grown by the gap. */
  readonly against: readonly (readonly Point[])[];
  /** The box of that. */
  readonly againstBox: Bounds;
}

/**
 * A regular octagon round the circle of a radius. A piece grown by it keeps the gap to others in every direction,
 * exactly along and across the material and at 45°, and at most 8 % more in between.
 */
export function octagon(radius: number): Point[] {
  const half = radius * Math.tan(Math.PI / 8);
  const corner: readonly (readonly [number, number])[] = [
    [-half, -radius],
    [half, -radius],
    [radius, -half],
    [radius, half],
    [half, radius],
    [-half, radius],
    [-radius, half],
    [-radius, -half],
  ];
  return corner.map(([x, y]) => ({ x, y }));
}

/** A piece of more convex parts is laid as its hull: a star of a hundred points has no neighbour that goes between them. */
const MOST_PARTS = 24;

/** A piece in each of its turns, its outline made simpler by cloth added outside it, so that a lay of the shapes is a lay of the pieces. */
export function shapesOf(outline: readonly Point[], turns: readonly number[], gapMm: number): Turned[] {
  const exact = convexParts(wider(cleaned(outline)));
  const parts = exact.length > MOST_PARTS ? [hull(outline)] : exact;
  return turns.map((turn) => {
    const turned = parts.map((part) => turnedBy(part, turn));
    const opposite = turned.map(mirroredThroughOrigin);
    const against = gapMm > 0 ? opposite.map((part) => minkowskiSum(part, octagon(gapMm))) : opposite;
    return { turn, ...bounds(turned.flat()), parts: turned, opposite, against, againstBox: bounds(against.flat()) };
  });
}
