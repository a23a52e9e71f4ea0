import { bounds } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import { turnedBy } from '../contract';
import { cleaned, convexParts, hull } from '../engine/convex';
import { wider } from '../engine/wider';

/** A convex ring, counter-clockwise. */
export interface Ring {
  readonly xs: Float64Array;
  readonly ys: Float64Array;
}

/** A piece in one of its turns, about its own origin, mm: convex parts that together cover it. */
export interface Shape {
  readonly turn: number;
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
  readonly parts: readonly Ring[];
  /** Fewer, larger parts that cover it, for pairs in which both have many. */
  readonly coarse: readonly Ring[];
}

/** How much cloth each pass may add outside an outline, mm: little when closing up a lay; more, which halves the parts, when searching. */
export const FINE_MM = 1.5;
export const ROUGH_MM = 6;
/** The same for pairs in which both have many parts: one rarely lies in a hollow of the other. */
const COARSE_MM = 12;
const MANY_PARTS = 6;
/** A piece of more convex parts is laid as its hull. */
const MOST_PARTS = 28;

const ringOf = (points: readonly Point[]): Ring => ({ xs: Float64Array.from(points, ({ x }) => x), ys: Float64Array.from(points, ({ y }) => y) });

/** A piece in each of its turns, with at most `addedMm` of cloth added outside it a pass: a lay of the shapes is a lay of the pieces. */
export function shapesOf(outline: readonly Point[], turns: readonly number[], addedMm: number): Shape[] {
  const ring = cleaned(outline);
  const partsOf = (mm: number): Point[][] => {
    const parts = convexParts(wider(ring, mm));
    return parts.length > MOST_PARTS ? [hull(outline)] : parts;
  };
  const fine = partsOf(addedMm);
  const coarse = fine.length > MANY_PARTS ? partsOf(COARSE_MM) : fine;
  return turns.map((turn) => {
    const turned = fine.map((part) => turnedBy(part, turn));
    const parts = turned.map(ringOf);
    return { turn, ...bounds(turned.flat()), parts, coarse: coarse === fine ? parts : coarse.map((part) => ringOf(turnedBy(part, turn))) };
  });
}
