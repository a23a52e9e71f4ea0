import { aheadOn } from './around';
import { distance, type Point } from './point';
import { arcAbout, directionOn, extremesOf, flattenSegment, line, pointOn, segmentArea, segmentLength, type EdgeName, type Segment } from './segment';
import { FLATTEN_MM, SAME_POINT_MM } from './tolerance';

/** A closed, simple, counter-clockwise curve: each segment starts where the one before ended. */
export interface Outline {
  readonly segments: readonly Segment[];
}

/** Radii of the four corners, mm: front left, front right, back right, back left. */
export type CornerRadii = readonly [number, number, number, number];

/** A rectangle from the origin, its corners rounded by one radius or four (0 or more, neighbours together no longer than their side). */
export function rectangleOutline(width: number, depth: number, radius: number | CornerRadii = 0): Outline {
  const [fl, fr, br, bl] = typeof radius === 'number' ? [radius, radius, radius, radius] : radius;
  const corner = (cx: number, cy: number, r: number, start: number): Segment =>
    arcAbout('corner', { x: cx, y: cy }, { x: cx + r * Math.cos(start), y: cy + r * Math.sin(start) }, Math.PI / 2);
  const side = (edge: EdgeName, x1: number, y1: number, x2: number, y2: number): Segment => line(edge, { x: x1, y: y1 }, { x: x2, y: y2 });
  const sides: Segment[] = [
    side('front', fl, 0, width - fr, 0),
    corner(width - fr, fr, fr, -Math.PI / 2),
    side('right', width, fr, width, depth - br),
    corner(width - br, depth - br, br, 0),
    side('back', width - br, depth, bl, depth),
    corner(bl, depth - bl, bl, Math.PI / 2),
    side('left', 0, depth - bl, 0, fl),
    corner(fl, fl, fl, Math.PI),
  ];
  return { segments: closed(sides.filter((segment) => segmentLength(segment) > SAME_POINT_MM)) };
}

/** An outline of straight sides through points, counter-clockwise, each side with its edge's name. */
export function polygonOutline(corners: readonly (readonly [x: number, y: number, edge: EdgeName])[]): Outline {
  const points = corners.map(([x, y]) => ({ x, y }));
  const sides = corners.map(([, , edge], i) => line(edge, points[i] as Point, points[(i + 1) % points.length] as Point));
  return { segments: sides.filter((side) => segmentLength(side) > SAME_POINT_MM) };
}

/** The segments with each start put exactly on the end before it. */
export function closed(segments: readonly Segment[]): Segment[] {
  return segments.map((segment, i) => ({ ...segment, from: (segments[(i + segments.length - 1) % segments.length] as Segment).to }));
}

/** Length all round, mm. */
export function perimeter(outline: Outline): number {
  return outline.segments.reduce((total, segment) => total + segmentLength(segment), 0);
}

/** Enclosed area, mm², by Green's theorem, exact for lines, arcs and cubics. Positive counter-clockwise. */
export function area(outline: Outline): number {
  return outline.segments.reduce((total, segment) => total + segmentArea(segment), 0);
}

/** The outline as points, each curve replaced by chords that stay within `tolerance` mm; the first point is not repeated. */
export function flatten(outline: Outline, tolerance = FLATTEN_MM): Point[] {
  return outline.segments.flatMap((segment) => flattenSegment(segment, tolerance));
}

export interface Bounds {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** The smallest upright rectangle round the points (at least one). */
export function bounds(points: readonly Point[]): Bounds {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { x, y } of points) {
    minX = Math.min(minX, x);
    minY = Math.min(minY, y);
    maxX = Math.max(maxX, x);
    maxY = Math.max(maxY, y);
  }
  return { minX, minY, maxX, maxY };
}

/** The smallest upright rectangle round an outline, exact for its curves. */
export function outlineBounds(outline: Outline): Bounds {
  const points: Point[] = [];
  for (const segment of outline.segments) {
    // The end of a segment is the start of the next.
    if (segment.kind === 'line') points.push(segment.from);
    else points.push(...extremesOf(segment));
  }
  return bounds(points);
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
  let rest = aheadOn(total, 0, along);
  for (const segment of outline.segments) {
    const length = segmentLength(segment);
    if (rest <= length) return { at: pointOn(segment, rest), outward: outwardOn(segment, rest), segment };
    rest -= length;
  }
  const last = outline.segments[outline.segments.length - 1] as Segment;
  return { at: last.to, outward: outwardOn(last, segmentLength(last)), segment: last };
}

function outwardOn(segment: Segment, along: number): Point {
  const way = directionOn(segment, along);
  return { x: way.y, y: -way.x };
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

/** Length of all that is called by one edge's name, mm. */
export function edgeLength(outline: Outline, wanted: EdgeName): number {
  return edgeSpans(outline).reduce((mm, { edge, start, end }) => mm + (edge === wanted ? end - start : 0), 0);
}

/** Whether each segment starts where the one before ended. */
export function isClosed(outline: Outline, tolerance = SAME_POINT_MM): boolean {
  const { segments } = outline;
  return (
    segments.length > 1 &&
    segments.every((segment, i) => distance((segments[(i + segments.length - 1) % segments.length] as Segment).to, segment.from) <= tolerance)
  );
}
