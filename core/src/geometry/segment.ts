import { cubicArea, cubicAt, cubicDerivative, cubicExtremes, cubicFlat, cubicLength, cubicParameterAt, cubicSmallestRadius, cubicSplit } from './cubic';
import type { Arc, EdgeName, Line, Segment } from './kinds';
import { cross, distance, unit, type Point } from './point';

export { EDGE_NAMES } from './kinds';
export type { Arc, Cubic, EdgeName, Line, Segment } from './kinds';

export const line = (edge: EdgeName, from: Point, to: Point): Line => ({ kind: 'line', edge, from, to });

/** The arc from one point that sweeps (radians, positive counter-clockwise) about a centre. */
export function arcAbout(edge: EdgeName, centre: Point, from: Point, sweep: number): Arc {
  const [c, s] = [Math.cos(sweep), Math.sin(sweep)];
  const [dx, dy] = [from.x - centre.x, from.y - centre.y];
  const to = { x: centre.x + dx * c - dy * s, y: centre.y + dx * s + dy * c };
  return { kind: 'arc', edge, from, to, centre, radius: Math.hypot(dx, dy), sweep };
}

/** The arc from one point to another that bulges by `rise` to the right of the way (outwards on a counter-clockwise outline); a line for no rise. */
export function arcByRise(edge: EdgeName, from: Point, to: Point, rise: number): Segment {
  const chord = distance(from, to);
  if (Math.abs(rise) < 1e-9 || chord === 0) return line(edge, from, to);
  const radius = (chord * chord) / (8 * Math.abs(rise)) + Math.abs(rise) / 2;
  const way = unit({ x: to.x - from.x, y: to.y - from.y });
  const right = { x: way.y, y: -way.x };
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const back = rise - Math.sign(rise) * radius;
  const centre = { x: middle.x + right.x * back, y: middle.y + right.y * back };
  const sweep = Math.sign(rise) * 4 * Math.atan((2 * Math.abs(rise)) / chord);
  return { ...arcAbout(edge, centre, from, sweep), to, radius };
}

/** Length of one segment, mm. */
export function segmentLength(segment: Segment): number {
  if (segment.kind === 'line') return distance(segment.from, segment.to);
  return segment.kind === 'arc' ? segment.radius * Math.abs(segment.sweep) : cubicLength(segment);
}

/** Its part of the enclosed area by Green's theorem, mm². */
export function segmentArea(s: Segment): number {
  if (s.kind === 'cubic') return cubicArea(s);
  const chord = cross(s.from, s.to) / 2;
  return s.kind === 'line' ? chord : chord + (s.radius * s.radius * (s.sweep - Math.sin(s.sweep))) / 2;
}

/** Point on a segment, `along` mm from its start. */
export function pointOn(segment: Segment, along: number): Point {
  if (segment.kind === 'cubic') return cubicAt(segment, cubicParameterAt(segment, along));
  const length = segmentLength(segment);
  const t = length === 0 ? 0 : along / length;
  if (segment.kind === 'line') return { x: segment.from.x + (segment.to.x - segment.from.x) * t, y: segment.from.y + (segment.to.y - segment.from.y) * t };
  const angle = startAngle(segment) + segment.sweep * t;
  return { x: segment.centre.x + segment.radius * Math.cos(angle), y: segment.centre.y + segment.radius * Math.sin(angle) };
}

/** Point on a segment at a parameter from 0 (its start) to 1. On a curve equal steps are not equal lengths, but no length has to be inverted: searches go by it. */
export function pointAt(segment: Segment, t: number): Point {
  return segment.kind === 'cubic' ? cubicAt(segment, t) : pointOn(segment, t * segmentLength(segment));
}

/** Length from the start of a segment to a parameter, mm. */
export function lengthTo(segment: Segment, t: number): number {
  return segment.kind === 'cubic' ? cubicLength(segment, t) : t * segmentLength(segment);
}

/** A box that holds a segment: the smallest of a line or an arc, of a curve that of its control points. */
export function boxAround(segment: Segment): { readonly minX: number; readonly maxX: number; readonly minY: number; readonly maxY: number } {
  const points = segment.kind === 'cubic' ? [segment.from, segment.c1, segment.c2, segment.to] : extremesOf(segment);
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)];
  return { minX: Math.min(...xs), maxX: Math.max(...xs), minY: Math.min(...ys), maxY: Math.max(...ys) };
}

export const startAngle = (arc: Arc): number => Math.atan2(arc.from.y - arc.centre.y, arc.from.x - arc.centre.x);

/** Unit vector along a segment, `along` mm from its start. */
export function directionOn(segment: Segment, along: number): Point {
  if (segment.kind === 'line') return unit({ x: segment.to.x - segment.from.x, y: segment.to.y - segment.from.y });
  if (segment.kind === 'cubic') return unit(cubicDerivative(segment, cubicParameterAt(segment, along)));
  const at = pointOn(segment, along);
  const sign = Math.sign(segment.sweep) / segment.radius;
  return { x: -(at.y - segment.centre.y) * sign, y: (at.x - segment.centre.x) * sign };
}

/** Points from the start (not the end) whose chords stay within `tolerance` mm of the segment. */
export function flattenSegment(segment: Segment, tolerance: number): Point[] {
  if (segment.kind === 'line') return [segment.from];
  if (segment.kind === 'cubic') return cubicFlat(segment, tolerance);
  const most = 2 * Math.acos(Math.max(0, 1 - tolerance / segment.radius));
  const { centre, radius, sweep } = segment;
  const count = Math.max(1, Math.ceil(Math.abs(sweep) / most));
  const start = startAngle(segment);
  const points: Point[] = [segment.from];
  for (let i = 1; i < count; i++) {
    const angle = start + (sweep * i) / count;
    points.push({ x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) });
  }
  return points;
}

/** The points of a segment that may lie furthest out: its ends, and where it runs level or upright. */
export function extremesOf(segment: Segment): Point[] {
  if (segment.kind === 'line') return [segment.from, segment.to];
  if (segment.kind === 'cubic') return [segment.from, segment.to, ...cubicExtremes(segment)];
  const { centre, radius } = segment;
  const quarters = [0, 1, 2, 3].map((q) => (q * Math.PI) / 2).filter((angle) => onArc(segment, angle));
  return [segment.from, segment.to, ...quarters.map((angle) => ({ x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) }))];
}

/** Whether the direction `angle` from the centre meets an arc. */
export function onArc(arc: Arc, angle: number, slack = 1e-12): boolean {
  const turn = 2 * Math.PI;
  const from = startAngle(arc);
  const gone = arc.sweep > 0 ? angle - from : from - angle;
  const within = ((gone % turn) + turn) % turn;
  return within <= Math.abs(arc.sweep) + slack || within >= turn - slack;
}

/** The segment run the other way. */
export function reversed(segment: Segment): Segment {
  if (segment.kind === 'line') return { ...segment, from: segment.to, to: segment.from };
  if (segment.kind === 'arc') return { ...segment, from: segment.to, to: segment.from, sweep: -segment.sweep };
  return { ...segment, from: segment.to, c1: segment.c2, c2: segment.c1, to: segment.from };
}

/** The two parts of a segment at `along` mm from its start. */
export function splitAt(segment: Segment, along: number): readonly [Segment, Segment] {
  const at = pointOn(segment, along);
  if (segment.kind === 'line')
    return [
      { ...segment, to: at },
      { ...segment, from: at },
    ];
  if (segment.kind === 'cubic') return cubicSplit(segment, cubicParameterAt(segment, along));
  const sweep = segment.sweep * (along / segmentLength(segment));
  return [
    { ...segment, to: at, sweep },
    { ...segment, from: at, sweep: segment.sweep - sweep },
  ];
}

/** The segment with every point mapped; the map must keep shapes (move, turn, mirror). `mirrors`: it turns left into right. */
export function mapped<S extends Segment>(segment: S, map: (p: Point) => Point, mirrors: boolean): S {
  const moved = { ...segment, from: map(segment.from), to: map(segment.to) };
  if (segment.kind === 'arc') return { ...moved, centre: map(segment.centre), sweep: mirrors ? -segment.sweep : segment.sweep };
  return segment.kind === 'cubic' ? { ...moved, c1: map(segment.c1), c2: map(segment.c2) } : moved;
}

/** Smallest radius of curvature, mm; Infinity for a line. */
export function smallestRadiusOf(segment: Segment): number {
  if (segment.kind === 'line') return Infinity;
  return segment.kind === 'arc' ? segment.radius : cubicSmallestRadius(segment);
}
