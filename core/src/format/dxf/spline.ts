import type { Point } from '../../geometry/point';
import type { Cubic, Segment } from '../../geometry/segment';
import { fitCurve } from '../../template/fit-curve';
import { Unreadable } from '../unreadable';
import { number, numbers, type Entity } from './pairs';

/** Control points that one spline may have. */
const MOST_CONTROLS = 500;
/** Places that a curve without a plain Bézier form is looked at, between two knots, and how near the fitted curve runs to them, mm or the file's unit. */
const PLACES_A_SPAN = 24;
const FITTED = 0.002;

/** The Béziers of a clamped spline of degree 3, by inserting each inner knot until it stands three times (Boehm). */
export function splineCubics(controls: readonly Point[], knots: readonly number[]): Cubic[] {
  let points = [...controls];
  let ks = [...knots];
  const inner = [...new Set(ks)].filter((k) => k > (ks[3] ?? 0) && k < (ks[ks.length - 4] ?? 0));
  for (const knot of inner)
    while (ks.filter((k) => k === knot).length < 3) {
      const span = ks.findIndex((k, i) => k <= knot && knot < (ks[i + 1] ?? -Infinity));
      const next = points.slice(0, span - 2);
      for (let i = span - 2; i <= span; i++) {
        const [low, high] = [ks[i] ?? 0, ks[i + 3] ?? 1];
        const t = high === low ? 0 : (knot - low) / (high - low);
        const [p, q] = [points[i - 1] as Point, points[i] as Point];
        next.push({ x: p.x + (q.x - p.x) * t, y: p.y + (q.y - p.y) * t });
      }
      points = [...next, ...points.slice(span)];
      ks = [...ks.slice(0, span + 1), knot, ...ks.slice(span + 1)];
    }
  return Array.from({ length: Math.max(0, Math.floor((points.length - 1) / 3)) }, (_, i): Cubic => {
    const [from, c1, c2, to] = points.slice(3 * i, 3 * i + 4) as [Point, Point, Point, Point];
    return { kind: 'cubic', edge: 'front', from, c1, c2, to };
  });
}

/** A point of a weighted spline of any degree (de Boor, in homogeneous coordinates). */
function splinePoint(degree: number, controls: readonly Point[], weights: readonly number[], knots: readonly number[], t: number): Point {
  let span = degree;
  while (span < controls.length - 1 && t >= (knots[span + 1] ?? Infinity)) span++;
  const work = Array.from({ length: degree + 1 }, (_, i): [number, number, number] => {
    const at = span - degree + i;
    const [w, p] = [weights[at] ?? 1, controls[at] as Point];
    return [p.x * w, p.y * w, w];
  });
  for (let level = 1; level <= degree; level++)
    for (let i = degree; i >= level; i--) {
      const at = span - degree + i;
      const [low, high] = [knots[at] ?? 0, knots[at + degree - level + 1] ?? 0];
      const s = high === low ? 0 : (t - low) / (high - low);
      const [a, b] = [work[i - 1] as [number, number, number], work[i] as [number, number, number]];
      work[i] = [a[0] + (b[0] - a[0]) * s, a[1] + (b[1] - a[1]) * s, a[2] + (b[2] - a[2]) * s];
    }
  const [x, y, w] = work[degree] as [number, number, number];
  return { x: x / w, y: y / w };
}

/** A spline of the file: exact where it is a clamped cubic without weights, else fitted within a few thousandths. Throws `Unreadable` for one that is not whole. */
export function splineOf(entity: Entity): Segment[] {
  const degree = number(entity, 71, 3);
  const [knots, xs, ys, weights] = [numbers(entity, 40), numbers(entity, 10), numbers(entity, 20), numbers(entity, 41)];
  if (!xs.length && entity.pairs.some(({ code }) => code === 11)) throw new Unreadable(entity.line, 'a spline given by the points it runs through only');
  const controls = xs.map((x, i): Point => ({ x, y: ys[i] ?? 0 }));
  const whole = degree >= 1 && degree <= 5 && controls.length > degree && ys.length === xs.length && knots.length === controls.length + degree + 1;
  if (!whole || knots.some((knot, i) => knot < (knots[i - 1] ?? -Infinity)))
    throw new Unreadable(entity.line, 'a spline whose knots and points do not belong together');
  if (controls.length > MOST_CONTROLS) throw new Unreadable(entity.line, `a spline of more than ${MOST_CONTROLS} points`);
  if (weights.length && (weights.length !== controls.length || weights.some((weight) => !(weight > 0))))
    throw new Unreadable(entity.line, 'a spline with weights that cannot be');
  const plain = weights.every((weight) => Math.abs(weight - (weights[0] ?? 1)) < 1e-12);
  const clamped = knots.slice(0, degree + 1).every((k) => k === knots[0]) && knots.slice(-degree - 1).every((k) => k === knots.at(-1));
  if (plain && clamped && degree === 3) return splineCubics(controls, knots);

  const stops = [...new Set(knots.slice(degree, knots.length - degree))];
  const places = stops.slice(1).flatMap((to, i) => {
    const from = stops[i] ?? to;
    return Array.from({ length: PLACES_A_SPAN }, (_, k) => from + ((to - from) * (k + (i === 0 ? 0 : 1))) / (PLACES_A_SPAN - (i === 0 ? 1 : 0)));
  });
  const end = stops.at(-1) ?? 0;
  const points = places.map((t) => splinePoint(degree, controls, weights, knots, Math.min(t, end - 1e-12 * Math.abs(end))));
  return fitCurve(
    points.map((point) => ({ point, edge: 'front' as const })),
    FITTED,
  );
}
