import { isCorner } from '../geometry/measure';
import { closed, type Outline } from '../geometry/outline';
import { cross, plusPoint, type Point } from '../geometry/point';
import { directionOn, line, segmentLength, splitAt, type Cubic, type Segment } from '../geometry/segment';

const outwardOf = (way: Point): Point => ({ x: way.y, y: -way.x });

/** A curve from a trimmed corner that runs out into its side. */
function runningOut(edge: Segment['edge'], from: Point, to: Point, way: Point): Cubic {
  const third = Math.hypot(to.x - from.x, to.y - from.y) / 3;
  const c1 = { x: from.x + (to.x - from.x) / 3, y: from.y + (to.y - from.y) / 3 };
  return { kind: 'cubic', edge, from, c1, c2: plusPoint(to, way, -third), to };
}

const turnedRound = (curve: Cubic): Cubic => ({ ...curve, from: curve.to, c1: curve.c2, c2: curve.c1, to: curve.from });

/**
 * A knife-edge plate without ears: at every sharp outer corner both sides are taken in by `trimMm`, running out at `share` of each side (0 to ½). Smooth and
 * inner corners stay. The outline runs counter-clockwise.
 */
export function withoutEars(outline: Outline, trimMm: number, share: number): Outline {
  const { segments } = outline;
  const count = segments.length;
  // The corner that each side begins with, taken in; null where it is not a sharp outer one.
  const taken = segments.map((segment, i): Point | null => {
    const before = segments[(i + count - 1) % count] as Segment;
    const [arrives, leaves] = [directionOn(before, segmentLength(before)), directionOn(segment, 0)];
    if (!isCorner(before, segment) || cross(arrives, leaves) <= 0) return null;
    const [a, b] = [outwardOf(arrives), outwardOf(leaves)];
    const by = -trimMm / (1 + a.x * b.x + a.y * b.y);
    return { x: segment.from.x + (a.x + b.x) * by, y: segment.from.y + (a.y + b.y) * by };
  });
  if (trimMm === 0 || taken.every((point) => point === null)) return outline;
  return {
    segments: closed(
      segments.flatMap((segment, i): Segment[] => {
        const [start, end] = [taken[i], taken[(i + 1) % count]];
        const length = segmentLength(segment);
        let rest = segment;
        const made: Segment[] = [];
        if (start) {
          const [, after] = splitAt(rest, length * share);
          made.push(runningOut(segment.edge, start, after.from, directionOn(after, 0)));
          rest = after;
        }
        if (!end) return [...made, rest];
        const restLength = segmentLength(rest);
        const [middle, last] = splitAt(rest, restLength - length * share);
        const back = directionOn(last, 0);
        const foot = turnedRound(runningOut(segment.edge, end, last.from, { x: -back.x, y: -back.y }));
        return segmentLength(middle) > 1e-6 ? [...made, middle, foot] : [...made, line(segment.edge, middle.from, last.from), foot];
      }),
    ),
  };
}
