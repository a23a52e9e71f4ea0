import { area, outlineBounds, type Outline } from '../geometry/outline';
import { distance } from '../geometry/point';
import { reversed, segmentLength, type Segment } from '../geometry/segment';
import { counterClockwise, moved } from '../geometry/transform';
import { issue, type Issue } from '../kernel/issue';
import { withEdges } from '../template/edges';
import { mended, MOST_SEGMENTS, outlineProblems } from '../template/outline-json';
import type { ReadOutline } from './outline-file';

/** Ends within this belong together, mm; files round. */
const TOUCH_MM = 0.05;

/** Loose segments put end to end into chains, each as long as it goes; a chain may be open. */
export function chained(segments: readonly Segment[]): Segment[][] {
  const left = new Set(segments.filter((segment) => segmentLength(segment) > 1e-9));
  const grid = new Map<string, Segment[]>();
  const key = (x: number, y: number): string => `${Math.round(x)},${Math.round(y)}`;
  for (const segment of left)
    for (const end of [segment.from, segment.to]) {
      const cell = grid.get(key(end.x, end.y)) ?? [];
      cell.push(segment);
      grid.set(key(end.x, end.y), cell);
    }
  const near = (p: Segment['to']): Segment | null => {
    for (const dx of [-1, 0, 1])
      for (const dy of [-1, 0, 1])
        for (const segment of grid.get(key(p.x + dx, p.y + dy)) ?? []) {
          if (!left.has(segment)) continue;
          if (distance(segment.from, p) <= TOUCH_MM) return segment;
          if (distance(segment.to, p) <= TOUCH_MM) return segment;
        }
    return null;
  };
  const chains: Segment[][] = [];
  for (const first of segments) {
    if (!left.delete(first)) continue;
    const chain = [first];
    for (const forward of [true, false])
      for (;;) {
        const end = forward ? (chain[chain.length - 1] as Segment).to : (chain[0] as Segment).from;
        if (chain.length > 1 && distance((chain[0] as Segment).from, (chain[chain.length - 1] as Segment).to) <= TOUCH_MM) break;
        const next = near(end);
        if (!next) break;
        left.delete(next);
        const starts = distance(next.from, end) <= TOUCH_MM;
        if (forward) chain.push(starts ? next : reversed(next));
        else chain.unshift(starts ? reversed(next) : next);
      }
    chains.push(chain);
  }
  return chains;
}

/** Takes the largest closed chain of a file as the outline, its box at the origin; says what else was there. */
export function outlineOfChains(chains: readonly (readonly Segment[])[], notes: readonly Issue[]): ReadOutline {
  const whole = chains.map((chain) => ({ segments: chain })).filter((one) => one.segments.length >= 2);
  if (!whole.length) return { ok: false, problems: [issue('error', 'file-without-outline', '')] };
  const sound = whole.filter((one) => outlineProblems(one).length === 0);
  const largest = [...(sound.length ? sound : whole)].sort((a, b) => Math.abs(area(b)) - Math.abs(area(a)))[0] as Outline;
  if (largest.segments.length > MOST_SEGMENTS) return { ok: false, problems: [issue('error', 'outline-too-fine', '', { most: MOST_SEGMENTS })] };
  const problems = outlineProblems(largest);
  if (problems.length) return { ok: false, problems };
  const turned = withEdges(counterClockwise(mended(largest)));
  const box = outlineBounds(turned);
  const others = whole.length - 1;
  return {
    ok: true,
    outline: moved(turned, -box.minX, -box.minY),
    notes: [...notes, ...(others > 0 ? [issue('note', 'more-outlines', '', { others })] : [])],
  };
}

/** A note that a file did not say its units, and what was taken. */
export const unitsNotSaid = (): Issue => issue('warning', 'units-not-said', '');
