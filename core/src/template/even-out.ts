import { centreLine } from '../geometry/measure';
import { closed, type Outline } from '../geometry/outline';
import { between, type Point } from '../geometry/point';
import { mapped, pointOn, reversed, segmentLength, type EdgeName, type Segment } from '../geometry/segment';
import { crossingsOf, cutAt, startingAt, tidied } from '../geometry/transform';
import { fitCurve } from './fit-curve';

/** Which half is kept when an outline is evened out: the left, the right, or the mean of both. */
export type Keep = 'left' | 'right' | 'average';

const OTHER: Record<EdgeName, EdgeName> = { front: 'front', back: 'back', left: 'right', right: 'left', corner: 'corner' };

/** The runs of an outline on one side of an upright line, in order; a simple outline folded in its middle has one. */
function half(outline: Outline, x: number, side: 1 | -1): Segment[][] {
  const parts = outline.segments.flatMap((segment) => cutAt(segment, crossingsOf(segment, 'x', x)));
  const kept = parts.map((part) => (pointOn(part, segmentLength(part) / 2).x - x) * side > 0);
  const start = kept.findIndex((is, i) => is && !kept[(i + kept.length - 1) % kept.length]);
  const runs: Segment[][] = [];
  for (let n = 0; n < parts.length && start >= 0; n++) {
    const i = (start + n) % parts.length;
    if (!kept[i]) continue;
    if (n === 0 || !kept[(i + parts.length - 1) % parts.length]) runs.push([]);
    runs.at(-1)?.push(parts[i] as Segment);
  }
  return runs;
}

const flip =
  (x: number) =>
  (segment: Segment): Segment =>
    reversed({ ...mapped(segment, (p: Point) => ({ x: 2 * x - p.x, y: p.y }), true), edge: OTHER[segment.edge] });
const flipped = (run: readonly Segment[], x: number): Segment[] => [...run].reverse().map(flip(x));

/** The mean of two runs: of their points where they are made alike, else of places at equal shares of their lengths, with a curve laid through. */
function averaged(a: readonly Segment[], b: readonly Segment[]): Segment[] {
  const alike = a.length === b.length && a.every((segment, i) => segment.kind === b[i]?.kind && segment.kind !== 'arc');
  if (alike)
    return a.map((segment, i): Segment => {
      const other = b[i] as Segment;
      const ends = { from: between(segment.from, other.from, 0.5), to: between(segment.to, other.to, 0.5) };
      return segment.kind === 'cubic' && other.kind === 'cubic'
        ? { ...segment, ...ends, c1: between(segment.c1, other.c1, 0.5), c2: between(segment.c2, other.c2, 0.5) }
        : ({ ...segment, ...ends } as Segment);
    });
  const total = (run: readonly Segment[]): number => run.reduce((sum, segment) => sum + segmentLength(segment), 0);
  const at = (run: readonly Segment[], share: number): { readonly point: Point; readonly edge: EdgeName } => {
    let rest = total(run) * share;
    for (const segment of run) {
      const length = segmentLength(segment);
      if (rest <= length + 1e-9) return { point: pointOn(segment, Math.min(rest, length)), edge: segment.edge };
      rest -= length;
    }
    const last = run[run.length - 1] as Segment;
    return { point: last.to, edge: last.edge };
  };
  const places = Array.from({ length: AVERAGE_PLACES + 1 }, (_, i) => {
    const [p, q] = [at(a, i / AVERAGE_PLACES), at(b, i / AVERAGE_PLACES)];
    return { point: between(p.point, q.point, 0.5), edge: p.edge };
  });
  return fitCurve(places, AVERAGE_TOLERANCE_MM);
}

const AVERAGE_PLACES = 160;
const AVERAGE_TOLERANCE_MM = 0.3;

/** The outline made symmetric about its middle; null where its middle line cuts it more than twice, so that it has no halves to fold. */
export function evenOut(outline: Outline, keep: Keep): Outline | null {
  const x = centreLine(outline);
  const [lefts, rights] = [half(outline, x, -1), half(outline, x, 1)];
  const [left, right] = [lefts[0], rights[0]];
  if (lefts.length !== 1 || rights.length !== 1 || !left || !right) return null;
  const kept = keep === 'left' ? left : keep === 'right' ? flipped(right, x) : averaged(left, flipped(right, x));
  // Both ends of the half lie on the fold, exactly.
  const onFold = (p: Point): Point => ({ x, y: p.y });
  const straightened = kept.map((segment, i): Segment => ({
    ...segment,
    ...(i === 0 ? { from: onFold(segment.from) } : {}),
    ...(i === kept.length - 1 ? { to: onFold(segment.to) } : {}),
  }));
  return startingAt(tidied({ segments: closed([...straightened, ...flipped(straightened, x)]) }), 'front');
}
