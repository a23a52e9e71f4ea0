import { area, outlineBounds, type Outline } from '../geometry/outline';
import { distance, type Point } from '../geometry/point';
import { reversed, segmentLength, type Segment } from '../geometry/segment';
import { counterClockwise, moved } from '../geometry/transform';
import { issue, type Issue } from '../kernel/issue';
import { withEdges } from '../template/edges';
import { mended, MOST_SEGMENTS, outlineProblems } from '../template/outline-json';
import type { ReadOutline } from './outline-file';

/** Ends within this belong together, mm; files round. */
const TOUCH_MM = 0.05;
/** Ends are looked for by cells of this, mm: hardly more than what belongs together, so that few others lie in them. */
const CELL_MM = 2 * TOUCH_MM;

/** Joins loose segments end to end into chains, each as long as possible; a chain may stay open. */
export function chained(segments: readonly Segment[]): Segment[][] {
  const left = new Set(segments.filter((segment) => segmentLength(segment) > 1e-9));
  // Cells hold only what is not in a chain yet: ten thousand equal outlines are as quick as one.
  const grid = new Map<string, Set<Segment>>();
  const key = ({ x, y }: Point, dx = 0, dy = 0): string => `${Math.round(x / CELL_MM) + dx},${Math.round(y / CELL_MM) + dy}`;
  for (const segment of left)
    for (const end of [segment.from, segment.to]) {
      const cell = grid.get(key(end)) ?? new Set();
      grid.set(key(end), cell.add(segment));
    }
  const take = (segment: Segment): boolean => {
    for (const end of [segment.from, segment.to]) grid.get(key(end))?.delete(segment);
    return left.delete(segment);
  };
  const near = (p: Point): Segment | null => {
    for (const dx of [-1, 0, 1])
      for (const dy of [-1, 0, 1])
        for (const segment of grid.get(key(p, dx, dy)) ?? []) if (distance(segment.from, p) <= TOUCH_MM || distance(segment.to, p) <= TOUCH_MM) return segment;
    return null;
  };
  const chains: Segment[][] = [];
  for (const first of segments) {
    if (!take(first)) continue;
    const chain = [first];
    for (const forward of [true, false])
      for (;;) {
        const end = forward ? (chain[chain.length - 1] as Segment).to : (chain[0] as Segment).from;
        if (chain.length > 1 && distance((chain[0] as Segment).from, (chain[chain.length - 1] as Segment).to) <= TOUCH_MM) break;
        const next = near(end);
        if (!next) break;
        take(next);
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
  // What is too fine is told by counting: whether it crosses itself is not asked.
  const tooFine = ({ segments }: Outline): boolean => segments.length > MOST_SEGMENTS;
  const sound = whole.filter((one) => tooFine(one) || outlineProblems(one).length === 0);
  const largest = [...(sound.length ? sound : whole)].sort((a, b) => Math.abs(area(b)) - Math.abs(area(a)))[0] as Outline;
  if (tooFine(largest)) return { ok: false, problems: [issue('error', 'outline-too-fine', '', { most: MOST_SEGMENTS })] };
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
