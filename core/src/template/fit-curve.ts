import { cubicAt } from '../geometry/cubic';
import { distance, dot, minusPoint, unit, type Point } from '../geometry/point';
import { line, type Cubic, type EdgeName, type Segment } from '../geometry/segment';

/** A place that a curve should pass near, and the edge it belongs to. */
export interface Place {
  readonly point: Point;
  readonly edge: EdgeName;
}

const CORNER_ANGLE = 0.6;
/** A corner is looked for over this much of the way on both sides, mm. */
const CORNER_REACH_MM = 14;

/** How far the way turns about one of its places, looked at over some millimetres on both sides; ends turn right round. */
function turnAt(points: readonly Point[], i: number, reachMm: number): number {
  const p = points[i] as Point;
  if (i === 0 || i === points.length - 1) return Math.PI;
  let [a, b] = [i, i];
  while (a > 0 && distance(points[a] as Point, p) < reachMm) a--;
  while (b < points.length - 1 && distance(points[b] as Point, p) < reachMm) b++;
  const [u, v] = [unit(minusPoint(p, points[a] as Point)), unit(minusPoint(points[b] as Point, p))];
  return Math.acos(Math.max(-1, Math.min(1, dot(u, v))));
}

/** Whether the way turns sharply at a place, and nowhere near it more. */
function turnsSharply(points: readonly Point[], i: number, reachMm: number): boolean {
  const turn = turnAt(points, i, reachMm);
  if (turn <= CORNER_ANGLE) return false;
  return points.every(
    (q, j) => j === i || j === 0 || j === points.length - 1 || distance(q, points[i] as Point) >= reachMm || turnAt(points, j, reachMm) <= turn,
  );
}

/** Where the way turns sharply: indices of corners, both ends counted in. */
export function cornersAlong(points: readonly Point[], reachMm = CORNER_REACH_MM): number[] {
  return points.flatMap((_, i) => (i === 0 || i === points.length - 1 || turnsSharply(points, i, reachMm) ? [i] : []));
}

const middleEdge = (places: readonly Place[]): EdgeName => places[Math.floor(places.length / 2)]?.edge ?? 'front';

/** The cubic with given tangents at its ends that lies nearest to the places, by least squares on chord length. */
function nearest(places: readonly Place[], leaves: Point, arrives: Point): { readonly curve: Cubic; readonly worst: number; readonly at: number } {
  const points = places.map((one) => one.point);
  const [from, to] = [points[0] as Point, points.at(-1) as Point];
  const along = [0];
  for (let i = 1; i < points.length; i++) along.push((along[i - 1] ?? 0) + distance(points[i] as Point, points[i - 1] as Point));
  const total = along.at(-1) ?? 1;
  let parameters = along.map((mm) => mm / total);
  let curve: Cubic = { kind: 'cubic', edge: middleEdge(places), from, c1: from, c2: to, to };
  for (let round = 0; round < 5; round++) {
    let [aa, ab, bb, ra, rb] = [0, 0, 0, 0, 0];
    points.forEach((p, i) => {
      const t = parameters[i] ?? 0;
      const u = 1 - t;
      const [b0, b1, b2, b3] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
      const [va, vb] = [
        { x: leaves.x * b1, y: leaves.y * b1 },
        { x: -arrives.x * b2, y: -arrives.y * b2 },
      ];
      const rest = { x: p.x - from.x * (b0 + b1) - to.x * (b2 + b3), y: p.y - from.y * (b0 + b1) - to.y * (b2 + b3) };
      aa += dot(va, va);
      ab += dot(va, vb);
      bb += dot(vb, vb);
      ra += dot(va, rest);
      rb += dot(vb, rest);
    });
    const determinant = aa * bb - ab * ab;
    const third = distance(from, to) / 3;
    let [alpha, beta] = Math.abs(determinant) < 1e-12 ? [third, third] : [(ra * bb - rb * ab) / determinant, (rb * aa - ra * ab) / determinant];
    // Handles that turn back, or reach further than the way itself, belong to no good curve.
    if (!(alpha > third * 0.05 && alpha < total / 2) || !(beta > third * 0.05 && beta < total / 2)) [alpha, beta] = [third, third];
    curve = {
      ...curve,
      c1: { x: from.x + leaves.x * alpha, y: from.y + leaves.y * alpha },
      c2: { x: to.x - arrives.x * beta, y: to.y - arrives.y * beta },
    };
    parameters = points.map((p, i) => footOf(curve, p, parameters[i] ?? 0));
  }
  let [worst, at] = [0, 0];
  points.forEach((p, i) => {
    const off = distance(p, cubicAt(curve, parameters[i] ?? 0));
    if (off > worst) [worst, at] = [off, i];
  });
  return { curve, worst, at };
}

/** The parameter of the curve's place nearest to p, from a first guess, by a few steps along the tangent. */
function footOf(curve: Cubic, p: Point, guess: number): number {
  let t = guess;
  for (let i = 0; i < 4; i++) {
    const here = cubicAt(curve, t);
    const ahead = cubicAt(curve, Math.min(1, t + 1e-4));
    const back = cubicAt(curve, Math.max(0, t - 1e-4));
    const way = {
      x: (ahead.x - back.x) / (Math.min(1, t + 1e-4) - Math.max(0, t - 1e-4)),
      y: (ahead.y - back.y) / (Math.min(1, t + 1e-4) - Math.max(0, t - 1e-4)),
    };
    const step = dot(minusPoint(p, here), way) / (dot(way, way) || 1);
    t = Math.max(0, Math.min(1, t + step));
  }
  return t;
}

/** How far a run of places stands off the straight line between its ends. */
function straightness(points: readonly Point[]): number {
  const [from, to] = [points[0] as Point, points.at(-1) as Point];
  const way = unit(minusPoint(to, from));
  return Math.max(...points.map((p) => Math.abs((p.x - from.x) * way.y - (p.y - from.y) * way.x)));
}

/** The way the places run about one of them, over some millimetres, so that noise does not turn it. */
function wayAt(points: readonly Point[], i: number, side: -1 | 0 | 1): Point {
  const reach = 10;
  let [a, b] = [i, i];
  if (side <= 0) while (a > 0 && distance(points[a] as Point, points[i] as Point) < reach) a--;
  if (side >= 0) while (b < points.length - 1 && distance(points[b] as Point, points[i] as Point) < reach) b++;
  return unit(minusPoint(points[b] as Point, points[a] as Point));
}

function fitRun(places: readonly Place[], leaves: Point, arrives: Point, tolerance: number): Segment[] {
  const points = places.map((one) => one.point);
  const [from, to] = [points[0] as Point, points.at(-1) as Point];
  if (places.length < 3 || straightness(points) <= tolerance) return [line(middleEdge(places), from, to)];
  const { curve, worst, at } = nearest(places, leaves, arrives);
  if (worst <= tolerance || places.length < 6) return [curve];
  const split = Math.max(2, Math.min(places.length - 3, at));
  const way = wayAt(points, split, 0);
  return [...fitRun(places.slice(0, split + 1), leaves, way, tolerance), ...fitRun(places.slice(split), way, arrives, tolerance)];
}

/**
 * Lines and curves through places that lie in order along a way, within `tolerance` mm: cut at corners and where the edge changes, each run one line or
 * as few smoothly joined cubics as it takes (after Schneider, “An algorithm for automatically fitting digitized curves”, 1990).
 */
export function fitCurve(places: readonly Place[], tolerance: number): Segment[] {
  const points = places.map((one) => one.point);
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last) return [];
  const closed = points.length > 3 && distance(first, last) < 1e-9;
  const sharp = new Set(cornersAlong(points));
  const smooth = places.flatMap((one, i) => (i > 0 && one.edge !== places[i - 1]?.edge ? [i] : []));
  const stops = [...new Set([...sharp, ...smooth])].sort((a, b) => a - b);
  // Round a curve without a corner the way at its seam is the one that goes on there.
  const around = closed ? [...points.slice(0, -1), ...points.slice(0, -1), ...points.slice(0, -1)] : points;
  const offset = closed ? points.length - 1 : 0;
  const seamIsSmooth = closed && !turnsSharply(around, offset, CORNER_REACH_MM);
  const wayThrough = (i: number, run: readonly Point[], side: -1 | 1): Point => {
    const onEnd = i === 0 || i === points.length - 1;
    const isSmooth = onEnd ? seamIsSmooth : !sharp.has(i);
    return isSmooth ? wayAt(around, i + offset, 0) : wayAt(run, side === 1 ? 0 : run.length - 1, side);
  };
  return stops.slice(1).flatMap((to, i) => {
    const from = stops[i] as number;
    const run = places.slice(from, to + 1);
    const own = run.map((one) => one.point);
    return fitRun(run, wayThrough(from, own, 1), wayThrough(to, own, -1), tolerance);
  });
}

/** A bit of line shorter than this between two others is a corner that was drawn with a thick pen, mm. */
const CORNER_BIT_MM = 6;

/** Straight pieces that are one within the tolerance joined, and corners that were cut short brought to where their sides meet. */
export function straightened(segments: readonly Segment[], tolerance: number): Segment[] {
  let out = [...segments];
  for (let i = 0; i < out.length && out.length > 3; i++) {
    const [a, b] = [out[i] as Segment, out[(i + 1) % out.length] as Segment];
    if (a.kind !== 'line' || b.kind !== 'line') continue;
    const way = unit(minusPoint(b.to, a.from));
    const off = Math.abs((a.to.x - a.from.x) * way.y - (a.to.y - a.from.y) * way.x);
    if (off > tolerance || dot(minusPoint(a.to, a.from), minusPoint(b.to, b.from)) < 0) continue;
    const joined = line(distance(a.from, a.to) > distance(b.from, b.to) ? a.edge : b.edge, a.from, b.to);
    out = out.map((one, k) => (k === i ? joined : one)).filter((_, k) => k !== (i + 1) % out.length);
    i = Math.max(-1, i - 2);
  }
  for (let i = 0; i < out.length && out.length > 3; i++) {
    const [a, bit, b] = [out[(i + out.length - 1) % out.length] as Segment, out[i] as Segment, out[(i + 1) % out.length] as Segment];
    if (bit.kind !== 'line' || distance(bit.from, bit.to) > CORNER_BIT_MM || a.kind !== 'line' || b.kind !== 'line') continue;
    const [r, s] = [minusPoint(a.to, a.from), minusPoint(b.to, b.from)];
    const across = r.x * s.y - r.y * s.x;
    if (Math.abs(across) < 0.2 * Math.hypot(r.x, r.y) * Math.hypot(s.x, s.y)) continue;
    const t = ((b.from.x - a.from.x) * s.y - (b.from.y - a.from.y) * s.x) / across;
    const tip = { x: a.from.x + r.x * t, y: a.from.y + r.y * t };
    if (distance(tip, bit.from) > CORNER_BIT_MM) continue;
    const [before, after] = [(i + out.length - 1) % out.length, (i + 1) % out.length];
    out = out.map((one, k): Segment => (k === before ? { ...one, to: tip } : k === after ? { ...one, from: tip } : one)).filter((_, k) => k !== i);
    i = -1;
  }
  return out;
}
