// The page, which compiles the core from its source, finds the declaration here.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./cdt2d.d.ts" />
import cdt2d from 'cdt2d';
import type { Point } from '../../geometry/point';
import { contains } from '../../geometry/polygon';

export type Triangle = readonly [number, number, number];

/** A side is flipped only where that is better by more than rounding. */
const IN_CIRCLE = 1e-9;
/** Times all sides are looked at: a field of even points settles in far fewer. */
const MOST_ROUNDS = 60;

const twiceArea = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x);

/** A triangle lower than this share of its longest side, or turned over: three points of a straight rim. */
const FLAT = 1e-10;

function isFlat(a: Point, b: Point, c: Point): boolean {
  const longest = Math.max((b.x - a.x) ** 2 + (b.y - a.y) ** 2, (c.x - b.x) ** 2 + (c.y - b.y) ** 2, (a.x - c.x) ** 2 + (a.y - c.y) ** 2);
  return twiceArea(a, b, c) <= FLAT * longest;
}

/** Whether d lies inside the circle through a, b and c, counter-clockwise: by the sign of the usual determinant, as a share of its terms. */
function inCircle(a: Point, b: Point, c: Point, d: Point): boolean {
  const [ax, ay, bx, by, cx, cy] = [a.x - d.x, a.y - d.y, b.x - d.x, b.y - d.y, c.x - d.x, c.y - d.y];
  const [al, bl, cl] = [ax * ax + ay * ay, bx * bx + by * by, cx * cx + cy * cy];
  const [p, q, r] = [al * (bx * cy - cx * by), bl * (cx * ay - ax * cy), cl * (ax * by - bx * ay)];
  return p + q + r > IN_CIRCLE * (Math.abs(p) + Math.abs(q) + Math.abs(r));
}

/**
 * Constrained Delaunay triangles, counter-clockwise, over points inside the closed line of the first `rimCount` of them; `edges` are kept, the line's own among them. The library makes a
 * constrained triangulation; its own Delaunay refinement uses exact arithmetic throughout and takes ten times as long, so edges are flipped here (Lawson 1977).
 */
export function triangulate(points: readonly Point[], rimCount: number, edges: readonly (readonly [number, number])[]): Triangle[] {
  const at = (i: number): Point => points[i] as Point;
  const made = cdt2d(
    points.map(({ x, y }) => [x, y] as const),
    edges,
    { delaunay: false },
  );
  // All are turned alike; one by itself may be too flat to tell.
  const counterClockwise = made.reduce((sum, [i, j, k]) => sum + twiceArea(at(i), at(j), at(k)), 0) > 0;
  const triangles = made.map(([i, j, k]): [number, number, number] => (counterClockwise ? [i, j, k] : [i, k, j]));
  const count = points.length;
  const key = (i: number, j: number): number => i * count + j;
  const fixed = new Set(edges.flatMap(([i, j]) => [key(i, j), key(j, i)]));
  /** The triangle on the left of each directed side. */
  const onLeft = new Map<number, number>();
  const enter = (t: number): void => {
    const [i, j, k] = triangles[t] as [number, number, number];
    onLeft.set(key(i, j), t);
    onLeft.set(key(j, k), t);
    onLeft.set(key(k, i), t);
  };
  triangles.forEach((_, t) => {
    enter(t);
  });
  const opposite = (t: number, i: number, j: number): number => (triangles[t] as [number, number, number]).find((k) => k !== i && k !== j) as number;
  for (let round = 0, flipped = true; flipped && round < MOST_ROUNDS; round++) {
    flipped = false;
    for (let t = 0; t < triangles.length; t++)
      for (let side = 0; side < 3; side++) {
        const triangle = triangles[t] as [number, number, number];
        const [i, j] = [triangle[side] as number, triangle[(side + 1) % 3] as number];
        const other = onLeft.get(key(j, i));
        if (fixed.has(key(i, j)) || other === undefined) continue;
        const [k, m] = [opposite(t, i, j), opposite(other, i, j)];
        const flat = isFlat(at(i), at(j), at(k)) || isFlat(at(j), at(i), at(m));
        if (!flat && !inCircle(at(i), at(j), at(k), at(m))) continue;
        if (isFlat(at(i), at(m), at(k)) || isFlat(at(m), at(j), at(k))) continue;
        onLeft.delete(key(i, j));
        onLeft.delete(key(j, i));
        triangles[t] = [i, m, k];
        triangles[other] = [m, j, k];
        enter(t);
        enter(other);
        flipped = true;
      }
  }
  // The library tells inside from outside by how many edges are crossed, and lines across the face are edges too.
  const line = points.slice(0, rimCount);
  return triangles.filter(([i, j, k]) => {
    const [a, b, c] = [at(i), at(j), at(k)];
    return !isFlat(a, b, c) && contains(line, { x: (a.x + b.x + c.x) / 3, y: (a.y + b.y + c.y) / 3 });
  });
}
