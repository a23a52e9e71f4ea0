import { aheadOn } from './around';
import type { Outline } from './outline';
import { distance, type Point } from './point';
import { boxAround, lengthTo, pointAt, pointOn, segmentLength, startAngle, type Arc, type Segment } from './segment';

/** Places looked at on a curve before the nearest is refined. */
const LOOKS = 64;
/** Times the stretch about it is cut by a third: to a thousandth of a micrometre. */
const REFINED = 50;

/** How far along a segment the place nearest to a point lies, mm from its start. */
function nearestOn(segment: Segment, p: Point): number {
  const length = segmentLength(segment);
  if (segment.kind === 'line') {
    const [dx, dy] = [segment.to.x - segment.from.x, segment.to.y - segment.from.y];
    const t = length > 0 ? ((p.x - segment.from.x) * dx + (p.y - segment.from.y) * dy) / length : 0;
    return Math.max(0, Math.min(length, t));
  }
  if (segment.kind === 'arc') return length * nearestOnArc(segment, p);
  const off = (t: number): number => distance(pointAt(segment, t), p);
  let best = 0;
  let least = off(0);
  for (let i = 1; i <= LOOKS; i++) {
    const here = off(i / LOOKS);
    if (here < least) [best, least] = [i, here];
  }
  let [low, high] = [Math.max(0, best - 1) / LOOKS, Math.min(LOOKS, best + 1) / LOOKS];
  for (let i = 0; i < REFINED; i++) {
    const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
    if (off(a) < off(b)) high = b;
    else low = a;
  }
  return lengthTo(segment, (low + high) / 2);
}

/** The share of an arc at which it is nearest to a point: in the point's own direction from the centre, otherwise at an end. */
function nearestOnArc(arc: Arc, p: Point): number {
  const turn = 2 * Math.PI;
  const angle = Math.atan2(p.y - arc.centre.y, p.x - arc.centre.x) - startAngle(arc);
  const gone = arc.sweep > 0 ? angle : -angle;
  const share = (((gone % turn) + turn) % turn) / Math.abs(arc.sweep);
  if (share <= 1) return share;
  return distance(arc.from, p) <= distance(arc.to, p) ? 0 : 1;
}

/** Whether a point may lie within a distance of a segment: a quick look at its box. */
function mayBeNear(segment: Segment, { x, y }: Point, within: number): boolean {
  const { minX, maxX, minY, maxY } = boxAround(segment);
  return x >= minX - within && x <= maxX + within && y >= minY - within && y <= maxY + within;
}

/** How far round an outline a point lies, mm from its first point; null where it is further off the outline than `within`. */
export function alongOutline(outline: Outline, p: Point, within: number): number | null {
  let before = 0;
  let best: { along: number; off: number } | null = null;
  for (const segment of outline.segments) {
    const length = segmentLength(segment);
    // The ends are looked at as they are: most places are ends, and a search would only come near them.
    const [start, end] = [distance(segment.from, p), distance(segment.to, p)];
    for (const [along, off] of [
      [0, start],
      [length, end],
    ] as const)
      if (off <= 1e-9) return before + along;
    before += length;
    if (!mayBeNear(segment, p, within)) continue;
    const on = nearestOn(segment, p);
    const off = distance(pointOn(segment, on), p);
    if (off <= within && (!best || off < best.off)) best = { along: before - length + on, off };
  }
  return best?.along ?? null;
}

/** Points on a curve between two corners of a run, besides its ends. */
const BETWEEN = 12;

/** The stretch of an outline from one place on it to another, counter-clockwise, mm round it from its first point, as points; all round where both are one. */
export function runAlong(outline: Outline, from: number, to: number): Point[] {
  const round = outline.segments.reduce((sum, segment) => sum + segmentLength(segment), 0);
  const long = from === to ? round : aheadOn(round, from, to);
  const points: Point[] = [];
  for (const turn of [0, round]) {
    let before = turn;
    for (const segment of outline.segments) {
      const length = segmentLength(segment);
      const [a, b] = [Math.max(0, from - before), Math.min(length, from + long - before)];
      before += length;
      if (b <= a) continue;
      const steps = segment.kind === 'line' ? 1 : BETWEEN + 1;
      for (let i = points.length ? 1 : 0; i <= steps; i++) points.push(pointOn(segment, a + ((b - a) * i) / steps));
    }
  }
  return points;
}
