import * as z from 'zod';
import { bounds, closed, isClosed, type Outline } from '../geometry/outline';
import { distance, type Point } from '../geometry/point';
import { EDGE_NAMES, line, segmentLength, type Arc, type Segment } from '../geometry/segment';
import { selfCrossing } from '../geometry/simple';
import { counterClockwise } from '../geometry/transform';
import { FLATTEN_MM, SAME_POINT_MM } from '../geometry/tolerance';
import { issue, type Issue } from '../kernel/issue';

const coordinate = z.number().min(-100_000).max(100_000);
const point = z.tuple([coordinate, coordinate]);

/** Segments that one outline may have: a traced edge has tens, a file of short lines hundreds. */
export const MOST_SEGMENTS = 2000;

/** One segment to its end point: straight; an arc of so many degrees, positive counter-clockwise; or a cubic with its control points. */
const segmentSchema = z.strictObject({
  to: point,
  edge: z.enum(EDGE_NAMES).optional(),
  sweepDeg: z.number().min(-359).max(359).optional(),
  c1: point.optional(),
  c2: point.optional(),
});

/** A closed outline as open JSON: a start, and segments that end where it started. Millimetres, x to the right, y from the front to the back. */
export const outlineSchema = z.strictObject({
  format: z.literal('yardland/outline@1'),
  start: point,
  segments: z.array(segmentSchema).min(2).max(MOST_SEGMENTS),
});
export type OutlineJson = z.infer<typeof outlineSchema>;

const at = ([x, y]: readonly [number, number]): Point => ({ x, y });

/** The arc between two points that turns by an angle (radians). A line for none. */
export function arcBetween(edge: Segment['edge'], from: Point, to: Point, sweep: number): Segment {
  if (Math.abs(sweep) < 1e-9) return line(edge, from, to);
  const chord = distance(from, to);
  const radius = chord / (2 * Math.sin(Math.abs(sweep) / 2));
  // The centre lies left of the way on an arc that turns left; nearer than the chord's middle when it turns more than half round.
  const reach = chord / 2 / Math.tan(sweep / 2) / (chord || 1);
  const centre = { x: (from.x + to.x) / 2 - (to.y - from.y) * reach, y: (from.y + to.y) / 2 + (to.x - from.x) * reach };
  return { kind: 'arc', edge, from, to, centre, radius, sweep } satisfies Arc;
}

/** The outline of a document; not yet checked for being closed and simple: see `outlineProblems`. */
export function outlineFromJson(json: OutlineJson): Outline {
  let from = at(json.start);
  const segments = json.segments.map((one): Segment => {
    const [to, edge] = [at(one.to), one.edge ?? 'front'];
    const start = from;
    from = to;
    if (one.c1 && one.c2) return { kind: 'cubic', edge, from: start, c1: at(one.c1), c2: at(one.c2), to };
    return arcBetween(edge, start, to, ((one.sweepDeg ?? 0) * Math.PI) / 180);
  });
  return { segments: segments.filter((segment) => segmentLength(segment) > SAME_POINT_MM) };
}

/** A drawing's micrometre: documents hold no more figures than mean anything. */
const rounded = (value: number): number => Math.round(value * 1e6) / 1e6 + 0;

export function outlineToJson(outline: Outline): OutlineJson {
  const pair = (p: Point): [number, number] => [rounded(p.x), rounded(p.y)];
  const first = outline.segments[0];
  return {
    format: 'yardland/outline@1',
    start: pair(first?.from ?? { x: 0, y: 0 }),
    segments: outline.segments.map((segment) => ({
      to: pair(segment.to),
      edge: segment.edge,
      ...(segment.kind === 'arc' ? { sweepDeg: Math.round(((segment.sweep * 180) / Math.PI) * 1e9) / 1e9 } : {}),
      ...(segment.kind === 'cubic' ? { c1: pair(segment.c1), c2: pair(segment.c2) } : {}),
    })),
  };
}

/** Ends further apart than this are a gap, not a slip of the pen. */
export const GAP_MM = 0.5;

/** The ends brought together where they nearly meet, and the way turned counter-clockwise. */
export function mended(outline: Outline): Outline {
  return isClosed(outline, GAP_MM) && !isClosed(outline) ? counterClockwise({ segments: closed(outline.segments) }) : counterClockwise(outline);
}

/** No seat is larger across or deep than this, mm; the measured shapes end at it too. */
export const MOST_ACROSS_MM = 20_000;
/** Curves of one outline, and points that they come to when they are drawn: a traced edge has tens, and thousands. */
export const MOST_CURVES = 600;
export const MOST_POINTS = 30_000;

/** Points of a curve when it is drawn as chords, estimated from above without drawing it. */
function pointsOf(segment: Segment): number {
  if (segment.kind === 'line') return 1;
  if (segment.kind === 'arc') return 1 + Math.abs(segment.sweep) / (2 * Math.acos(1 - Math.min(1, FLATTEN_MM / segment.radius)));
  const legs = [segment.from, segment.c1, segment.c2, segment.to];
  // A cubic's chords are no more than those of a circle as long as its control points are apart.
  const length = legs.slice(1).reduce((mm, p, i) => mm + distance(legs[i] as Point, p), 0);
  return 1 + Math.sqrt(length / FLATTEN_MM);
}

/** Why an outline is beyond what a cushion can be, found without any geometry on it; null where it is not. */
function beyond({ segments }: Outline): Issue | null {
  const points = segments.flatMap((segment) => (segment.kind === 'cubic' ? [segment.from, segment.c1, segment.c2] : [segment.from]));
  // An arc may bulge beyond its ends by its radius and more: twice it at most.
  const bulge = Math.max(0, ...segments.map((segment) => (segment.kind === 'arc' && Math.abs(segment.sweep) > Math.PI ? 2 * segment.radius : 0)));
  const { minX, minY, maxX, maxY } = bounds(points);
  const acrossMm = Math.max(maxX - minX, maxY - minY) + bulge;
  if (acrossMm > MOST_ACROSS_MM) return issue('error', 'outline-too-large', 'outline', { acrossMm, mostMm: MOST_ACROSS_MM });
  const curves = segments.filter(({ kind }) => kind !== 'line').length;
  const drawn = segments.reduce((count, segment) => count + pointsOf(segment), 0);
  return curves > MOST_CURVES || drawn > MOST_POINTS ? issue('error', 'outline-too-many-curves', 'outline', { curves, points: Math.round(drawn) }) : null;
}

/** Why an outline cannot be a cushion's: too large or too fine, open, or crossing itself. */
export function outlineProblems(outline: Outline): Issue[] {
  const { segments } = outline;
  const [first, last] = [segments[0], segments.at(-1)];
  if (!first || !last || segments.length < 2) return [issue('error', 'outline-empty', 'outline')];
  const tooMuch = beyond(outline);
  if (tooMuch) return [tooMuch];
  if (!isClosed(outline, GAP_MM)) return [issue('error', 'outline-open', 'outline', { gapMm: distance(last.to, first.from) })];
  const crossing = selfCrossing(outline);
  return crossing ? [issue('error', 'outline-crosses-itself', 'outline', { xMm: crossing.x, yMm: crossing.y })] : [];
}
