import { closed, outlineBounds, type Outline } from '../geometry/outline';
import { distance, type Point } from '../geometry/point';
import { directionOn, line, pointOn, segmentLength, splitAt, type Cubic, type EdgeName, type Segment } from '../geometry/segment';
import { arcBetween } from './outline-json';

/** A segment between other ends: a line stays straight, an arc turns by the same angle, a curve keeps its handles' offsets from its ends. */
function between(segment: Segment, from: Point, to: Point): Segment {
  if (segment.kind === 'line') return line(segment.edge, from, to);
  if (segment.kind === 'arc') return arcBetween(segment.edge, from, to, segment.sweep);
  const shift = (p: Point, was: Point, now: Point): Point => ({ x: p.x + now.x - was.x, y: p.y + now.y - was.y });
  return { ...segment, from, c1: shift(segment.c1, segment.from, from), c2: shift(segment.c2, segment.to, to), to };
}

function replaced(outline: Outline, changes: ReadonlyMap<number, Segment>): Outline {
  return { segments: outline.segments.map((segment, i) => changes.get(i) ?? segment) };
}

/** Moves the point in which segment `index` begins. */
export function movePoint(outline: Outline, index: number, to: Point): Outline {
  const { segments } = outline;
  const before = (index + segments.length - 1) % segments.length;
  const [a, b] = [segments[before], segments[index]];
  return a && b
    ? replaced(
        outline,
        new Map([
          [before, between(a, a.from, to)],
          [index, between(b, to, b.to)],
        ]),
      )
    : outline;
}

/** Moves a handle of a curve, or the middle of an arc (which then bulges through it). */
export function moveHandle(outline: Outline, index: number, handle: 'c1' | 'c2' | 'middle', to: Point): Outline {
  const segment = outline.segments[index];
  if (segment?.kind === 'cubic' && handle !== 'middle') return replaced(outline, new Map([[index, { ...segment, [handle]: to }]]));
  if (segment && handle === 'middle') return replaced(outline, new Map([[index, arcThrough(segment, to)]]));
  return outline;
}

/** The arc on a segment's chord that bulges as far as `to` stands off it; straight for less than half a millimetre. */
function arcThrough({ edge, from, to: end }: Segment, to: Point): Segment {
  const chord = distance(from, end);
  if (chord === 0) return line(edge, from, end);
  const off = ((to.x - from.x) * (end.y - from.y) - (to.y - from.y) * (end.x - from.x)) / chord;
  return Math.abs(off) < 0.5 ? line(edge, from, end) : arcBetween(edge, from, end, 4 * Math.atan((2 * off) / chord));
}

/** A new point in the middle of a segment. */
export function insertPoint(outline: Outline, index: number): Outline {
  const segment = outline.segments[index];
  if (!segment) return outline;
  const [a, b] = splitAt(segment, segmentLength(segment) / 2);
  return { segments: [...outline.segments.slice(0, index), a, b, ...outline.segments.slice(index + 1)] };
}

/** The outline without the point in which segment `index` begins: its neighbours are joined straight, or by a curve where both curve. Three points stay. */
export function removePoint(outline: Outline, index: number): Outline {
  const { segments } = outline;
  if (segments.length <= 3) return outline;
  const before = (index + segments.length - 1) % segments.length;
  const [a, b] = [segments[before], segments[index]];
  if (!a || !b) return outline;
  const joined = a.kind === 'line' || b.kind === 'line' ? line(a.edge, a.from, b.to) : curveFrom(a, b);
  return { segments: closed(segments.flatMap((segment, i) => (i === before ? [joined] : i === index ? [] : [segment]))) };
}

/** A curve that leaves as one segment does and arrives as another. */
function curveFrom(a: Segment, b: Segment): Cubic {
  const reach = distance(a.from, b.to) / 3;
  const [leaves, arrives] = [directionOn(a, 0), directionOn(b, segmentLength(b))];
  return {
    kind: 'cubic',
    edge: a.edge,
    from: a.from,
    c1: { x: a.from.x + leaves.x * reach, y: a.from.y + leaves.y * reach },
    c2: { x: b.to.x - arrives.x * reach, y: b.to.y - arrives.y * reach },
    to: b.to,
  };
}

/** Makes a segment straight, an arc or a curve; an arc or curve starts with a slight bulge outwards. */
export function setKind(outline: Outline, index: number, kind: Segment['kind']): Outline {
  const segment = outline.segments[index];
  if (!segment || segment.kind === kind) return outline;
  const { edge, from, to } = segment;
  if (kind === 'line') return replaced(outline, new Map([[index, line(edge, from, to)]]));
  if (kind === 'arc') {
    const middle = pointOn(segment, segmentLength(segment) / 2);
    const bulged = arcThrough(segment, middle);
    return replaced(outline, new Map([[index, bulged.kind === 'arc' ? bulged : arcBetween(edge, from, to, Math.PI / 6)]]));
  }
  const reach = segmentLength(segment) / 3;
  const [leaves, arrives] = [directionOn(segment, 0), directionOn(segment, segmentLength(segment))];
  const cubic: Cubic = {
    kind: 'cubic',
    edge,
    from,
    c1: { x: from.x + leaves.x * reach, y: from.y + leaves.y * reach },
    c2: { x: to.x - arrives.x * reach, y: to.y - arrives.y * reach },
    to,
  };
  return replaced(outline, new Map([[index, cubic]]));
}

/** Says which side of the seat a segment belongs to. */
export function setEdge(outline: Outline, index: number, edge: EdgeName): Outline {
  return { segments: outline.segments.map((segment, i) => (i === index ? { ...segment, edge } : segment)) };
}

/** Two points this near are each other's mirror image, mm. */
const MIRROR_MM = 2;

/** The point that mirrors point `index` over the upright middle of the outline; null where none does, or it lies on the middle itself. */
export function mirrorOf(outline: Outline, index: number): number | null {
  const { minX, maxX } = outlineBounds(outline);
  const p = outline.segments[index]?.from;
  if (!p) return null;
  const wanted = { x: minX + maxX - p.x, y: p.y };
  const found = outline.segments.findIndex((segment, i) => i !== index && distance(segment.from, wanted) <= MIRROR_MM);
  return found === -1 ? null : found;
}

/** Moves a point and, the other way, the one that mirrors it. */
export function movePointMirrored(outline: Outline, index: number, to: Point): Outline {
  const { minX, maxX } = outlineBounds(outline);
  const other = mirrorOf(outline, index);
  const first = movePoint(outline, index, to);
  return other === null ? first : movePoint(first, other, { x: minX + maxX - to.x, y: to.y });
}
