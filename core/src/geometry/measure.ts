import { area, flatten, outlineBounds, perimeter, stationAt, type Outline } from './outline';
import { distance, type Point } from './point';
import { pointSegmentDistance } from './polygon';
import { directionOn, segmentLength, smallestRadiusOf, type Segment } from './segment';
import { mirrored } from './transform';

export interface Asymmetry {
  /** How far the outline and its fold over the centre line lie apart at the worst place, mm. */
  readonly worstMm: number;
  readonly at: Point;
}

/** Places looked at round the outline when its halves are compared. */
const ASYMMETRY_PLACES = 240;

/** Distance of a point from a polygon's sides, mm. */
export function distanceTo(points: readonly Point[], p: Point): number {
  let least = Infinity;
  points.forEach((a, i) => {
    least = Math.min(least, pointSegmentDistance(p, a, points[(i + 1) % points.length] as Point));
  });
  return least;
}

/** The upright line in the middle of an outline's box: what it is folded on. */
export function centreLine(outline: Outline): number {
  const { minX, maxX } = outlineBounds(outline);
  return (minX + maxX) / 2;
}

/** Folds the outline on an upright line (its middle unless told) and finds where the halves differ most. */
export function asymmetry(outline: Outline, x = centreLine(outline)): Asymmetry {
  const other = flatten(mirrored(outline, x), 0.002);
  const total = perimeter(outline);
  let worst: Asymmetry = { worstMm: 0, at: { x, y: 0 } };
  const places = [
    ...Array.from({ length: ASYMMETRY_PLACES }, (_, i) => stationAt(outline, (total * i) / ASYMMETRY_PLACES).at),
    ...outline.segments.map((s) => s.from),
  ];
  for (const at of places) {
    const mm = distanceTo(other, at);
    if (mm > worst.worstMm) worst = { worstMm: mm, at };
  }
  return worst;
}

/** An outline that differs by more than this from its mirror image has a left and a right, mm. */
const HANDED_MM = 0.5;
/** Corners of the flattened outline that are compared, about. */
const HANDED_PLACES = 48;

/** Whether an outline has a left and a right: turned over, it is another one. Looked at by corners and points of curves, not as closely as `asymmetry`. */
export function isHanded(outline: Outline): boolean {
  const x = centreLine(outline);
  const ring = flatten(outline);
  const step = Math.max(1, Math.floor(ring.length / HANDED_PLACES));
  return ring.some((p, i) => i % step === 0 && distanceTo(ring, { x: 2 * x - p.x, y: p.y }) > HANDED_MM);
}

/** Smallest radius of curvature of an outline's curves, mm; Infinity where it has none. Sharp corners are not curves: `isCorner` tells them. */
export function smallestRadius(outline: Outline): number {
  return Math.min(Infinity, ...outline.segments.map(smallestRadiusOf));
}

/** Turned by more than this where two segments meet, radians: a corner, not a smooth joint. */
const CORNER_ANGLE = 0.02;

/** Whether the way turns sharply from one segment to the next. */
export function isCorner(a: Segment, b: Segment): boolean {
  const [p, q] = [directionOn(a, segmentLength(a)), directionOn(b, 0)];
  return Math.abs(Math.atan2(p.x * q.y - p.y * q.x, p.x * q.x + p.y * q.y)) > CORNER_ANGLE;
}

export interface OutlineMeasures {
  readonly perimeterMm: number;
  readonly areaMm2: number;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly smallestRadiusMm: number;
  readonly asymmetryMm: number;
  /** Between opposite corners of its box's nearest points: front left to back right, and the other. */
  readonly diagonalsMm: readonly [number, number];
}

/** Everything that is measured on an outline. */
export function measured(outline: Outline): OutlineMeasures {
  const box = outlineBounds(outline);
  const points = flatten(outline, 0.05);
  const nearest = (x: number, y: number): Point => points.reduce((best, p) => (distance(p, { x, y }) < distance(best, { x, y }) ? p : best));
  return {
    perimeterMm: perimeter(outline),
    areaMm2: area(outline),
    widthMm: box.maxX - box.minX,
    depthMm: box.maxY - box.minY,
    smallestRadiusMm: smallestRadius(outline),
    asymmetryMm: asymmetry(outline).worstMm,
    diagonalsMm: [distance(nearest(box.minX, box.minY), nearest(box.maxX, box.maxY)), distance(nearest(box.maxX, box.minY), nearest(box.minX, box.maxY))],
  };
}
