import { between, cross, unit, type Point } from './point';
import type { Cubic } from './kinds';

/** Abscissae and weights of Gauss and Legendre for 16 points on (−1, 1), half of them: the others mirror these. */
const GAUSS: readonly (readonly [number, number])[] = [
  [0.0950125098376374, 0.1894506104550685],
  [0.2816035507792589, 0.1826034150449236],
  [0.4580167776572274, 0.1691565193950025],
  [0.6178762444026438, 0.1495959888165767],
  [0.7554044083550031, 0.1246289712555339],
  [0.8656312023878317, 0.0951585116824928],
  [0.9445750230732326, 0.0622535239386479],
  [0.9894009349916499, 0.0271524594117541],
];
/** A curve is measured in this many equal parts: with 16 points each it is exact to far below a micrometre for any curve without a cusp. */
const PARTS = 8;

export function cubicAt({ from, c1, c2, to }: Cubic, t: number): Point {
  const u = 1 - t;
  const [a, b, c, d] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
  return { x: a * from.x + b * c1.x + c * c2.x + d * to.x, y: a * from.y + b * c1.y + c * c2.y + d * to.y };
}

/** First derivative by the parameter; where it vanishes (a control point on its end) a direction taken just beside it. */
export function cubicDerivative({ from, c1, c2, to }: Cubic, t: number): Point {
  const u = 1 - t;
  const of = (p0: number, p1: number, p2: number, p3: number): number => 3 * (u * u * (p1 - p0) + 2 * u * t * (p2 - p1) + t * t * (p3 - p2));
  const d = { x: of(from.x, c1.x, c2.x, to.x), y: of(from.y, c1.y, c2.y, to.y) };
  if (d.x !== 0 || d.y !== 0) return d;
  const e = t < 0.5 ? t + 1e-6 : t - 1e-6;
  const v = 1 - e;
  const near = (p0: number, p1: number, p2: number, p3: number): number => 3 * (v * v * (p1 - p0) + 2 * v * e * (p2 - p1) + e * e * (p3 - p2));
  return { x: near(from.x, c1.x, c2.x, to.x), y: near(from.y, c1.y, c2.y, to.y) };
}

function speed(curve: Cubic, t: number): number {
  const d = cubicDerivative(curve, t);
  return Math.hypot(d.x, d.y);
}

function lengthBetween(curve: Cubic, from: number, to: number): number {
  const [half, middle] = [(to - from) / 2, (to + from) / 2];
  return half * GAUSS.reduce((sum, [x, w]) => sum + w * (speed(curve, middle + half * x) + speed(curve, middle - half * x)), 0);
}

/** Length from the start to a parameter, mm, by Gauss–Legendre quadrature. */
export function cubicLength(curve: Cubic, to = 1): number {
  return Array.from({ length: PARTS }, (_, i) => lengthBetween(curve, (to * i) / PARTS, (to * (i + 1)) / PARTS)).reduce((a, b) => a + b, 0);
}

/** The parameter `along` mm from the start, by Newton's method kept within its bracket. */
export function cubicParameterAt(curve: Cubic, along: number): number {
  const total = cubicLength(curve);
  if (along <= 0 || total === 0) return 0;
  if (along >= total) return 1;
  let [low, high] = [0, 1];
  let t = along / total;
  for (let i = 0; i < 40; i++) {
    const off = cubicLength(curve, t) - along;
    if (Math.abs(off) < 1e-9) break;
    if (off > 0) high = t;
    else low = t;
    const next = t - off / Math.max(1e-12, speed(curve, t));
    t = next > low && next < high ? next : (low + high) / 2;
  }
  return t;
}

/** Its part of an enclosed area, mm²: ½∮(x dy − y dx), exact for a cubic. */
export function cubicArea({ from: p, c1: q, c2: r, to: s }: Cubic): number {
  return (6 * cross(p, q) + 3 * cross(p, r) + cross(p, s) + 3 * cross(q, r) + 3 * cross(q, s) + 6 * cross(r, s)) / 20;
}

/** Both halves at a parameter, by de Casteljau. */
export function cubicSplit(curve: Cubic, t: number): readonly [Cubic, Cubic] {
  const [a, b, c] = [between(curve.from, curve.c1, t), between(curve.c1, curve.c2, t), between(curve.c2, curve.to, t)];
  const [d, e] = [between(a, b, t), between(b, c, t)];
  const at = between(d, e, t);
  return [
    { ...curve, c1: a, c2: d, to: at },
    { ...curve, from: at, c1: e, c2: c },
  ];
}

/** Points from the start (not the end) whose chords stay within `tolerance`: halved until the control points lie that near their chord. */
export function cubicFlat(curve: Cubic, tolerance: number, depth = 0): Point[] {
  const chord = unit({ x: curve.to.x - curve.from.x, y: curve.to.y - curve.from.y });
  const off = (p: Point): number => {
    const v = { x: p.x - curve.from.x, y: p.y - curve.from.y };
    return chord.x === 0 && chord.y === 0 ? Math.hypot(v.x, v.y) : Math.abs(cross(chord, v));
  };
  // A cubic stays within 3/4 of its control points' distance from the chord.
  if (depth >= 16 || (depth > 0 && 0.75 * Math.max(off(curve.c1), off(curve.c2)) <= tolerance)) return [curve.from];
  const [a, b] = cubicSplit(curve, 0.5);
  return [...cubicFlat(a, tolerance, depth + 1), ...cubicFlat(b, tolerance, depth + 1)];
}

/** Where it runs level or upright between its ends. */
export function cubicExtremes(curve: Cubic): Point[] {
  const roots = (p0: number, p1: number, p2: number, p3: number): number[] => {
    const [a, b, c] = [p3 - 3 * p2 + 3 * p1 - p0, 2 * (p2 - 2 * p1 + p0), p1 - p0];
    if (Math.abs(a) < 1e-12) return Math.abs(b) < 1e-12 ? [] : [-c / b];
    const root = b * b - 4 * a * c;
    return root < 0 ? [] : [(-b + Math.sqrt(root)) / (2 * a), (-b - Math.sqrt(root)) / (2 * a)];
  };
  const { from, c1, c2, to } = curve;
  return [...roots(from.x, c1.x, c2.x, to.x), ...roots(from.y, c1.y, c2.y, to.y)].filter((t) => t > 0 && t < 1).map((t) => cubicAt(curve, t));
}

/** Radius of curvature at a parameter, mm, signed: positive where it turns left. */
export function cubicRadius(curve: Cubic, t: number): number {
  const { from, c1, c2, to } = curve;
  const d = cubicDerivative(curve, t);
  const second = (p0: number, p1: number, p2: number, p3: number): number => 6 * ((1 - t) * (p2 - 2 * p1 + p0) + t * (p3 - 2 * p2 + p1));
  const turn = cross(d, { x: second(from.x, c1.x, c2.x, to.x), y: second(from.y, c1.y, c2.y, to.y) });
  return turn === 0 ? Infinity : Math.hypot(d.x, d.y) ** 3 / turn;
}

const RADIUS_SAMPLES = 200;

export function cubicSmallestRadius(curve: Cubic): number {
  return Math.min(...Array.from({ length: RADIUS_SAMPLES + 1 }, (_, i) => Math.abs(cubicRadius(curve, i / RADIUS_SAMPLES))));
}
