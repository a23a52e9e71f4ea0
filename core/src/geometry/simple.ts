import { bounds, flatten, type Outline } from './outline';
import { cross, minusPoint, type Point } from './point';

/** Where an outline crosses itself, or null. Flattened to `tolerance`; touching neighbours do not count. */
export function selfCrossing(outline: Outline, tolerance = 0.05): Point | null {
  return polygonCrossing(flatten(outline, tolerance));
}

/** Where a polygon's sides cross each other, or null. Sides are looked at in order of their left end, so that far ones are never compared. */
export function polygonCrossing(points: readonly Point[]): Point | null {
  const count = points.length;
  const sides = points.map((a, i) => {
    const b = points[(i + 1) % count] as Point;
    return { i, a, b, box: bounds([a, b]) };
  });
  const order = [...sides].sort((p, q) => p.box.minX - q.box.minX);
  for (let m = 0; m < order.length; m++) {
    const p = order[m] as (typeof sides)[number];
    for (let n = m + 1; n < order.length; n++) {
      const q = order[n] as (typeof sides)[number];
      if (q.box.minX > p.box.maxX) break;
      const apart = Math.abs(p.i - q.i);
      if (apart <= 1 || apart === count - 1 || q.box.minY > p.box.maxY || q.box.maxY < p.box.minY) continue;
      const at = crossingOf(p.a, p.b, q.a, q.b);
      if (at) return at;
    }
  }
  return null;
}

/** Where two stretches cross, their ends counted in; null where they do not or run along each other. */
function crossingOf(a: Point, b: Point, c: Point, d: Point): Point | null {
  const [r, s] = [minusPoint(b, a), minusPoint(d, c)];
  const across = cross(r, s);
  if (Math.abs(across) < 1e-12) return null;
  const t = cross(minusPoint(c, a), s) / across;
  const u = cross(minusPoint(c, a), r) / across;
  return t >= 0 && t <= 1 && u >= 0 && u <= 1 ? { x: a.x + r.x * t, y: a.y + r.y * t } : null;
}
