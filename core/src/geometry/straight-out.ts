import { cross, minusPoint, plusPoint, type Point } from './point';

/** The nearest place where a line straight out of `at`, or in, crosses a polygon, at most `reachMm` away; `at` itself where none does. */
export function straightOut(polygon: readonly Point[], at: Point, outward: Point, reachMm: number): Point {
  let best: number | null = null;
  polygon.forEach((a, i) => {
    const way = minusPoint(polygon[(i + 1) % polygon.length] as Point, a);
    const across = cross(outward, way);
    if (Math.abs(across) < 1e-12) return;
    const gap = minusPoint(a, at);
    const out = cross(gap, way) / across;
    const along = cross(gap, outward) / across;
    if (along >= -1e-9 && along <= 1 + 1e-9 && Math.abs(out) <= reachMm && (best === null || Math.abs(out) < Math.abs(best))) best = out;
  });
  return best === null ? at : plusPoint(at, outward, best);
}
