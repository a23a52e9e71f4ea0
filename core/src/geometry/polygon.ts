import { bounds } from './outline';
import type { Point } from './point';

/** Enclosed area of a polygon by the shoelace sum, mm²; positive counter-clockwise. */
export function polygonArea(points: readonly Point[]): number {
  let twice = 0;
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length] as Point;
    twice += a.x * b.y - b.x * a.y;
  });
  return twice / 2;
}

/** Distance of a point from a stretch between two others, mm. */
export function pointSegmentDistance(p: Point, a: Point, b: Point): number {
  const dx = b.x - a.x;
  const dy = b.y - a.y;
  const lengthSq = dx * dx + dy * dy;
  const t = lengthSq === 0 ? 0 : Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / lengthSq));
  return Math.hypot(p.x - a.x - t * dx, p.y - a.y - t * dy);
}

function side(a: Point, b: Point, p: Point): number {
  return (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x);
}

function properlyCross(a: Point, b: Point, c: Point, d: Point): boolean {
  return side(a, b, c) * side(a, b, d) < 0 && side(c, d, a) * side(c, d, b) < 0;
}

/** Whether a point lies inside a polygon (even-odd rule; a point on the edge may go either way). */
export function contains(points: readonly Point[], p: Point): boolean {
  let inside = false;
  points.forEach((a, i) => {
    const b = points[(i + 1) % points.length] as Point;
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  });
  return inside;
}

/**
 * Clear distance between two simple polygons, mm: 0 when they overlap or touch. Plain and quadratic in the number of points; made for checking, not for searching.
 */
export function polygonGap(a: readonly Point[], b: readonly Point[]): number {
  const first = a[0];
  const second = b[0];
  if (!first || !second) return Infinity;
  if (contains(b, first) || contains(a, second)) return 0;
  let least = Infinity;
  a.forEach((p, i) => {
    const q = a[(i + 1) % a.length] as Point;
    b.forEach((r, j) => {
      const s = b[(j + 1) % b.length] as Point;
      if (properlyCross(p, q, r, s)) least = 0;
      else least = Math.min(least, pointSegmentDistance(p, r, s), pointSegmentDistance(q, r, s), pointSegmentDistance(r, p, q), pointSegmentDistance(s, p, q));
    });
  });
  // Equal polygons on one spot touch along their edges only: ask for the middle as well.
  const box = bounds(a);
  const middle = { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
  return least === 0 || (contains(a, middle) && contains(b, middle)) ? 0 : least;
}

/** Clear distance between two upright boxes, mm; negative by how deep they overlap. */
export function boxGap(a: readonly Point[], b: readonly Point[]): number {
  const p = bounds(a);
  const q = bounds(b);
  return Math.max(p.minX - q.maxX, q.minX - p.maxX, p.minY - q.maxY, q.minY - p.maxY);
}
