import { FLATTEN_MM, SAME_POINT_MM } from './tolerance';

/** Millimetres; x to the right, y from the front to the back, seen from above. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

/** Which side of the seat a piece of the outline belongs to. */
export type EdgeName = 'front' | 'right' | 'back' | 'left' | 'corner';

export interface Line {
  readonly kind: 'line';
  readonly edge: EdgeName;
  readonly from: Point;
  readonly to: Point;
}

/** Part of a circle; `sweep` in radians, positive counter-clockwise. */
export interface Arc {
  readonly kind: 'arc';
  readonly edge: EdgeName;
  readonly from: Point;
  readonly to: Point;
  readonly centre: Point;
  readonly radius: number;
  readonly sweep: number;
}

export type Segment = Line | Arc;

/** A closed, simple, counter-clockwise curve: each segment starts where the one before ended. */
export interface Outline {
  readonly segments: readonly Segment[];
}

export const distance = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y);

/** A rectangle from the origin, its corners rounded by `radius` (0 or more, at most half the shorter side). */
export function rectangleOutline(width: number, depth: number, radius = 0): Outline {
  const r = radius;
  const line = (edge: EdgeName, x1: number, y1: number, x2: number, y2: number): Line => ({ kind: 'line', edge, from: { x: x1, y: y1 }, to: { x: x2, y: y2 } });
  const corner = (cx: number, cy: number, start: number): Arc => {
    const at = (angle: number): Point => ({ x: cx + r * Math.cos(angle), y: cy + r * Math.sin(angle) });
    return { kind: 'arc', edge: 'corner', from: at(start), to: at(start + Math.PI / 2), centre: { x: cx, y: cy }, radius: r, sweep: Math.PI / 2 };
  };
  const sides: Segment[] = [
    line('front', r, 0, width - r, 0),
    corner(width - r, r, -Math.PI / 2),
    line('right', width, r, width, depth - r),
    corner(width - r, depth - r, 0),
    line('back', width - r, depth, r, depth),
    corner(r, depth - r, Math.PI / 2),
    line('left', 0, depth - r, 0, r),
    corner(r, r, Math.PI),
  ];
  return { segments: sides.filter((segment) => segmentLength(segment) > SAME_POINT_MM) };
}

/** Length of one segment, mm. */
export function segmentLength(segment: Segment): number {
  return segment.kind === 'line' ? distance(segment.from, segment.to) : segment.radius * Math.abs(segment.sweep);
}

/** Point on a segment, `along` mm from its start. */
export function pointOn(segment: Segment, along: number): Point {
  const length = segmentLength(segment);
  const t = length === 0 ? 0 : along / length;
  if (segment.kind === 'line') {
    return { x: segment.from.x + (segment.to.x - segment.from.x) * t, y: segment.from.y + (segment.to.y - segment.from.y) * t };
  }
  const start = Math.atan2(segment.from.y - segment.centre.y, segment.from.x - segment.centre.x);
  const angle = start + segment.sweep * t;
  return { x: segment.centre.x + segment.radius * Math.cos(angle), y: segment.centre.y + segment.radius * Math.sin(angle) };
}

/** Length all round, mm. */
export function perimeter(outline: Outline): number {
  return outline.segments.reduce((total, segment) => total + segmentLength(segment), 0);
}

/** Enclosed area, mm², by Green's theorem: the polygon of the segment ends plus each arc's circular segment. Positive counter-clockwise. */
export function area(outline: Outline): number {
  return outline.segments.reduce((total, s) => {
    const cross = (s.from.x * s.to.y - s.to.x * s.from.y) / 2;
    const bulge = s.kind === 'arc' ? (s.radius * s.radius * (s.sweep - Math.sin(s.sweep))) / 2 : 0;
    return total + cross + bulge;
  }, 0);
}

/** The outline as points, each curve replaced by chords that stay within `tolerance` mm; the first point is not repeated. */
export function flatten(outline: Outline, tolerance = FLATTEN_MM): Point[] {
  return outline.segments.flatMap((segment) => {
    if (segment.kind === 'line') return [segment.from];
    const most = 2 * Math.acos(Math.max(0, 1 - tolerance / segment.radius));
    const count = Math.max(1, Math.ceil(Math.abs(segment.sweep) / most));
    const length = segmentLength(segment);
    return Array.from({ length: count }, (_, i) => pointOn(segment, (length * i) / count));
  });
}

export interface Bounds {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** The smallest upright rectangle round the points (at least one). */
export function bounds(points: readonly Point[]): Bounds {
  const xs = points.map((p) => p.x);
  const ys = points.map((p) => p.y);
  return { minX: Math.min(...xs), minY: Math.min(...ys), maxX: Math.max(...xs), maxY: Math.max(...ys) };
}

export interface Station {
  readonly at: Point;
  /** Unit vector pointing out of the outline. */
  readonly outward: Point;
  readonly segment: Segment;
}

/** The place `along` mm round the outline from its first point (taken modulo the perimeter). */
export function stationAt(outline: Outline, along: number): Station {
  const total = perimeter(outline);
  let rest = ((along % total) + total) % total;
  for (const segment of outline.segments) {
    const length = segmentLength(segment);
    if (rest <= length) return { at: pointOn(segment, rest), outward: outwardOn(segment, rest), segment };
    rest -= length;
  }
  const last = outline.segments[outline.segments.length - 1] as Segment;
  return { at: last.to, outward: outwardOn(last, segmentLength(last)), segment: last };
}

function outwardOn(segment: Segment, along: number): Point {
  if (segment.kind === 'line') {
    const length = segmentLength(segment) || 1;
    return { x: (segment.to.y - segment.from.y) / length, y: -(segment.to.x - segment.from.x) / length };
  }
  const at = pointOn(segment, along);
  const sign = Math.sign(segment.sweep) / segment.radius;
  return { x: (at.x - segment.centre.x) * sign, y: (at.y - segment.centre.y) * sign };
}

export interface EdgeSpan {
  readonly edge: EdgeName;
  /** Distance round the outline from its first point, mm. */
  readonly start: number;
  readonly end: number;
}

/** Where each run of one edge lies along the outline; neighbouring segments of one edge are one run. */
export function edgeSpans(outline: Outline): EdgeSpan[] {
  const spans: EdgeSpan[] = [];
  let along = 0;
  for (const segment of outline.segments) {
    const end = along + segmentLength(segment);
    const last = spans[spans.length - 1];
    if (last && last.edge === segment.edge) spans[spans.length - 1] = { ...last, end };
    else spans.push({ edge: segment.edge, start: along, end });
    along = end;
  }
  return spans;
}
