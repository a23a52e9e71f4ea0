import { aheadOn, apartOn } from '../../geometry/around';
import { isCorner } from '../../geometry/measure';
import type { Outline } from '../../geometry/outline';
import { distance, type Point } from '../../geometry/point';
import { directionOn, pointOn, segmentLength, type Segment } from '../../geometry/segment';

/** A place on the rim of a cushion: the seam line of its plates. */
export interface RimPoint {
  readonly at: Point;
  /** Round the seam line from its first point, mm. */
  readonly mm: number;
  /** Square to the rim and out of it; at a corner half-way between both sides. */
  readonly outward: Point;
  /** To the nearest sharp corner round the rim, mm; Infinity where there is none. */
  readonly fromCornerMm: number;
}

/** Where a rim has to have a point: a place round it, mm, or wherever it crosses a line of the plan. */
export interface RimStops {
  readonly alongMm: readonly number[];
  readonly crossing: readonly { readonly axis: 'x' | 'y'; readonly at: number }[];
}

/** Chords lie this near to the rim's curves, mm. */
const CHORD_MM = 0.15;
/** Two places of the rim nearer than this are one, mm. */
const SAME_MM = 0.02;

/** How far apart points on a segment may lie so that chords stay near it, mm. */
function pitchOn(segment: Segment, stepMm: number): number {
  if (segment.kind === 'line') return stepMm;
  if (segment.kind === 'arc') return Math.min(stepMm, segment.radius * 2 * Math.acos(Math.max(0, 1 - CHORD_MM / segment.radius)));
  return Math.min(stepMm, 8);
}

/** Where the straight or finely divided run between two places crosses a line of the plan, by halving. */
function crossingOn(segment: Segment, from: number, to: number, { axis, at }: RimStops['crossing'][number]): number | null {
  const off = (mm: number): number => pointOn(segment, mm)[axis] - at;
  let [low, high] = [from, to];
  const [first, last] = [off(low), off(high)];
  if (first === 0 || last === 0 || first > 0 === last > 0) return null;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (off(middle) > 0 === first > 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** The rim as points at most `stepMm` apart, with one at every corner and every stop. */
export function rimOf({ segments }: Outline, stepMm: number, stops: RimStops): RimPoint[] {
  const lengths = segments.map(segmentLength);
  const total = lengths.reduce((sum, mm) => sum + mm, 0);
  const wanted = stops.alongMm.map((mm) => aheadOn(total, 0, mm));
  const corners: number[] = [];
  let start = 0;
  const starts = lengths.map((mm, i) => {
    const at = start;
    const before = segments[(i + segments.length - 1) % segments.length] as Segment;
    if (isCorner(before, segments[i] as Segment)) corners.push(at);
    start += mm;
    return at;
  });
  const cornerGap = (mm: number): number => Math.min(Infinity, ...corners.map((at) => apartOn(total, mm, at)));
  const all = segments.flatMap((segment, i): RimPoint[] => {
    const [from, length] = [starts[i] ?? 0, lengths[i] ?? 0];
    const count = Math.max(1, Math.ceil(length / pitchOn(segment, stepMm)));
    const even = Array.from({ length: count }, (_, k) => (length * k) / count);
    const own = wanted.map((mm) => mm - from).filter((mm) => mm > SAME_MM && mm < length - SAME_MM);
    const crossed = stops.crossing.flatMap((stop) =>
      even.flatMap((mm, k) => {
        const found = crossingOn(segment, mm, even[k + 1] ?? length, stop);
        return found === null ? [] : [found];
      }),
    );
    const exact = [...own, ...crossed.filter((mm) => mm > SAME_MM && mm < length - SAME_MM)];
    // A stop takes the place of the even point that lies close to it.
    const kept = even.filter((mm) => mm === 0 || exact.every((one) => Math.abs(one - mm) > 0.25 * (length / count)));
    const places = [...kept, ...exact].sort((a, b) => a - b).filter((mm, k, all) => k === 0 || mm - (all[k - 1] as number) > SAME_MM);
    const before = segments[(i + segments.length - 1) % segments.length] as Segment;
    return places.map((mm) => ({ at: pointOn(segment, mm), mm: from + mm, outward: outwardAt(segment, mm, before), fromCornerMm: cornerGap(from + mm) }));
  });
  // Segments shorter than a hair would give two points in one place.
  return all.filter(({ at }, i) => distance(at, (all[(i + 1) % all.length] as RimPoint).at) > SAME_MM);
}

/** Out of the rim; at the start of a segment half-way between it and the one before, as long as keeps both sides parallel, but at most twice. */
function outwardAt(segment: Segment, mm: number, before: Segment): Point {
  const way = directionOn(segment, mm);
  const out = { x: way.y, y: -way.x };
  if (mm > 0) return out;
  const came = directionOn(before, segmentLength(before));
  const other = { x: came.y, y: -came.x };
  const sum = { x: out.x + other.x, y: out.y + other.y };
  const long = Math.hypot(sum.x, sum.y);
  if (long < 0.2) return out;
  const miter = Math.min(2, 2 / long);
  return { x: (sum.x / long) * miter, y: (sum.y / long) * miter };
}
