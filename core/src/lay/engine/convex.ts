import earcut from 'earcut';
import { polygonArea } from '../../geometry/polygon';
import type { Point } from '../../geometry/point';

const cross = (o: Point, a: Point, b: Point): number => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);

/** The same ring counter-clockwise, without points that repeat the one before. */
export function cleaned(ring: readonly Point[]): Point[] {
  const distinct = ring.filter((p, i) => {
    const before = ring[(i + ring.length - 1) % ring.length] as Point;
    return Math.abs(p.x - before.x) > 1e-9 || Math.abs(p.y - before.y) > 1e-9;
  });
  return polygonArea(distinct) < 0 ? distinct.reverse() : distinct;
}

/** Whether a counter-clockwise ring has no corner that turns inward by more than rounding. */
export function isConvex(ring: readonly Point[]): boolean {
  return ring.every((p, i) => cross(ring[(i + ring.length - 1) % ring.length] as Point, p, ring[(i + 1) % ring.length] as Point) >= -1e-7);
}

/** Two convex rings of vertex indices that share the edge from `a` to `b` (so it runs `b` to `a` in the other), as one ring. */
function joined(one: readonly number[], other: readonly number[], a: number, b: number): number[] {
  const i = one.indexOf(b);
  const j = other.indexOf(a);
  const first = [...one.slice(i), ...one.slice(0, i)];
  const second = [...other.slice(j), ...other.slice(0, j)];
  return [...first, ...second.slice(1, -1)];
}

/**
 * Splits a polygon with holes into convex parts: a triangulation whose inner edges are removed where both ends stay convex (Hertel and Mehlhorn 1983: at most four times the least number
 * of parts). Parts use the polygon's own corners, so nothing is rounded. Rings in any direction, holes inside the outer ring; parts come counter-clockwise.
 */
export function convexParts(outer: readonly Point[], holes: readonly (readonly Point[])[] = []): Point[][] {
  const ring = cleaned(outer);
  if (ring.length < 3) return [];
  if (holes.length === 0 && isConvex(ring)) return [ring];
  const points = [...ring, ...holes.flat()];
  const starts: number[] = [];
  let next = ring.length;
  for (const hole of holes) {
    starts.push(next);
    next += hole.length;
  }
  const corners = earcut(
    points.flatMap((p) => [p.x, p.y]),
    starts,
  );
  const at = (i: number): Point => points[i] as Point;
  const convex = (part: readonly number[]): boolean => isConvex(part.map(at));
  let parts: number[][] = [];
  for (let i = 0; i < corners.length; i += 3) {
    const triangle = corners.slice(i, i + 3);
    const area = cross(at(triangle[0] as number), at(triangle[1] as number), at(triangle[2] as number));
    if (area !== 0) parts.push(area > 0 ? triangle : triangle.reverse());
  }
  // Each inner edge is looked at once; whether it can go does not become truer when others have gone.
  const shared = parts.flatMap((part) => part.map((a, i) => [a, part[(i + 1) % part.length] as number] as const)).filter(([a, b]) => a < b);
  for (const [a, b] of shared) {
    const along = (part: readonly number[], from: number, to: number): boolean => part.some((p, i) => p === from && part[(i + 1) % part.length] === to);
    const one = parts.find((part) => along(part, a, b));
    const other = parts.find((part) => along(part, b, a));
    if (!one || !other || one === other) continue;
    const whole = joined(one, other, a, b);
    if (new Set(whole).size === whole.length && convex(whole)) parts = [...parts.filter((part) => part !== one && part !== other), whole];
  }
  return parts.map((part) => part.map(at));
}

/** The convex ring of least area round points (Andrew's monotone chain), counter-clockwise. */
export function hull(points: readonly Point[]): Point[] {
  const half = (row: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const p of row) {
      while (chain.length >= 2 && cross(chain[chain.length - 2] as Point, chain[chain.length - 1] as Point, p) <= 0) chain.pop();
      chain.push(p);
    }
    return chain.slice(0, -1);
  };
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  return [...half(sorted), ...half([...sorted].reverse())];
}

/** The corner of a convex ring from which its edges turn counter-clockwise from the direction of the x axis: the lowest, of those the leftmost. */
function lowest(ring: readonly Point[]): number {
  let at = 0;
  ring.forEach((p, i) => {
    const best = ring[at] as Point;
    if (p.y < best.y || (p.y === best.y && p.x < best.x)) at = i;
  });
  return at;
}

/** Edges whose directions differ by less (the sine of the angle) are parallel. */
const PARALLEL = 1e-9;

/**
 * Minkowski sum of two convex rings, counter-clockwise: their edges merged by direction. Where edges are parallel, the places at which
 * their ends meet are points of the sum too, though they lie on a straight stretch: there two pieces lie corner to corner.
 */
export function minkowskiSum(a: readonly Point[], b: readonly Point[]): Point[] {
  const from = lowest(a);
  const to = lowest(b);
  const sum: Point[] = [];
  for (let i = 0, j = 0; i < a.length || j < b.length;) {
    const p = a[(from + i) % a.length] as Point;
    const q = b[(to + j) % b.length] as Point;
    const p2 = a[(from + i + 1) % a.length] as Point;
    const q2 = b[(to + j + 1) % b.length] as Point;
    sum.push({ x: p.x + q.x, y: p.y + q.y });
    const [u, v] = [Math.hypot(p2.x - p.x, p2.y - p.y), Math.hypot(q2.x - q.x, q2.y - q.y)];
    const turn = (p2.x - p.x) * (q2.y - q.y) - (p2.y - p.y) * (q2.x - q.x);
    const bothLeft = i < a.length && j < b.length;
    if (bothLeft && Math.abs(turn) < PARALLEL * u * v) {
      const ends = [
        { x: p2.x + q.x, y: p2.y + q.y, along: u },
        { x: p.x + q2.x, y: p.y + q2.y, along: v },
      ].sort((one, other) => one.along - other.along);
      if (Math.abs(u - v) < 1e-9) ends.pop();
      sum.push(...ends.map(({ x, y }) => ({ x, y })));
      i++;
      j++;
    } else if (j >= b.length || (i < a.length && turn > 0)) i++;
    else j++;
  }
  return sum;
}

/** The ring turned by half a turn about the origin. */
export const mirroredThroughOrigin = (ring: readonly Point[]): Point[] => ring.map((p) => ({ x: -p.x, y: -p.y }));
