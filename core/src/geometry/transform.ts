import { closed, outlineBounds, area, type Outline } from './outline';
import { cross, distance, minusPoint, type Point } from './point';
import { boxAround, lengthTo, line, mapped, pointAt, pointOn, reversed, segmentLength, splitAt, type EdgeName, type Segment } from './segment';
import { SAME_POINT_MM } from './tolerance';

export function moved(outline: Outline, dx: number, dy: number): Outline {
  const map = (p: Point): Point => ({ x: p.x + dx, y: p.y + dy });
  return { segments: outline.segments.map((segment) => mapped(segment, map, false)) };
}

/** Turned about the origin, radians counter-clockwise. */
export function turned(outline: Outline, angle: number): Outline {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const map = (p: Point): Point => ({ x: p.x * c - p.y * s, y: p.x * s + p.y * c });
  return { segments: outline.segments.map((segment) => mapped(segment, map, false)) };
}

const OTHER_SIDE: Record<EdgeName, EdgeName> = { front: 'front', back: 'back', left: 'right', right: 'left', corner: 'corner' };

/** Folded over the upright line at `x`: left becomes right. Still counter-clockwise, and still starting with the same edge where it is its own mirror. */
export function mirrored(outline: Outline, x: number): Outline {
  const map = (p: Point): Point => ({ x: 2 * x - p.x, y: p.y });
  const segments = outline.segments.map((segment) => reversed({ ...mapped(segment, map, true), edge: OTHER_SIDE[segment.edge] })).reverse();
  return startingAt({ segments }, outline.segments[0]?.edge ?? 'front');
}

/** The outline run counter-clockwise, whichever way it came. */
export function counterClockwise(outline: Outline): Outline {
  return area(outline) >= 0 ? outline : { segments: outline.segments.map(reversed).reverse() };
}

/** The same curve with its first segment of an edge first; as it is when there is none. */
export function startingAt(outline: Outline, edge: EdgeName): Outline {
  const { segments } = outline;
  const index = segments.findIndex((one, i) => one.edge === edge && segments[(i + segments.length - 1) % segments.length]?.edge !== edge);
  return index <= 0 ? outline : { segments: [...segments.slice(index), ...segments.slice(0, index)] };
}

/** Neighbours that are one straight line or one arc of the same edge joined into one; what has no length left out. */
export function tidied(outline: Outline): Outline {
  const out: Segment[] = [];
  for (const segment of outline.segments) {
    if (segmentLength(segment) <= SAME_POINT_MM) continue;
    const last = out.at(-1);
    const joined = last && joinedWith(last, segment);
    if (joined) out[out.length - 1] = joined;
    else out.push(segment);
  }
  const [first, last] = [out[0], out.at(-1)];
  const round = out.length > 2 && first && last ? joinedWith(last, first) : null;
  return { segments: closed(round ? [round, ...out.slice(1, -1)] : out) };
}

function joinedWith(a: Segment, b: Segment): Segment | null {
  if (a.edge !== b.edge || a.kind === 'cubic' || b.kind === 'cubic') return null;
  if (a.kind === 'line' && b.kind === 'line') {
    const [p, q] = [minusPoint(a.to, a.from), minusPoint(b.to, b.from)];
    const straight = Math.abs(cross(p, q)) <= 1e-9 * Math.hypot(p.x, p.y) * Math.hypot(q.x, q.y) && p.x * q.x + p.y * q.y > 0;
    return straight ? { ...a, to: b.to } : null;
  }
  if (a.kind === 'arc' && b.kind === 'arc' && Math.sign(a.sweep) === Math.sign(b.sweep) && Math.abs(a.sweep + b.sweep) < 2 * Math.PI - 1e-6)
    return distance(a.centre, b.centre) <= SAME_POINT_MM && Math.abs(a.radius - b.radius) <= SAME_POINT_MM
      ? { ...a, to: b.to, sweep: a.sweep + b.sweep }
      : null;
  return null;
}

/** Where a segment crosses the line on which `axis` is `at`, as distances along it, strictly between its ends. */
export function crossingsOf(segment: Segment, axis: 'x' | 'y', at: number): number[] {
  const { minX, maxX, minY, maxY } = boxAround(segment);
  const [least, most] = axis === 'x' ? [minX, maxX] : [minY, maxY];
  if (at < least || at > most) return [];
  const length = segmentLength(segment);
  // A cubic or an arc crosses an upright at most three times; between so many samples each crossing is alone.
  const steps = segment.kind === 'line' ? 1 : 24;
  const off = (t: number): number => pointAt(segment, t)[axis] - at;
  const found: number[] = [];
  for (let i = 0; i < steps; i++) {
    let [low, high] = [i / steps, (i + 1) / steps];
    const [a, b] = [off(low), off(high)];
    if (a === 0 || b === 0 || Math.sign(a) === Math.sign(b)) {
      if (b === 0 && i < steps - 1) found.push(high);
      continue;
    }
    for (let k = 0; k < 60; k++) {
      const middle = (low + high) / 2;
      if (Math.sign(off(middle)) === Math.sign(a)) low = middle;
      else high = middle;
    }
    found.push((low + high) / 2);
  }
  return found.map((t) => lengthTo(segment, t)).filter((along) => along > SAME_POINT_MM && along < length - SAME_POINT_MM);
}

/** The segment in parts, cut at these distances along it. */
export function cutAt(segment: Segment, places: readonly number[]): Segment[] {
  const parts: Segment[] = [];
  let rest = segment;
  let gone = 0;
  for (const along of places) {
    const [a, b] = splitAt(rest, along - gone);
    parts.push(a);
    rest = b;
    gone = along;
  }
  return [...parts, rest];
}

/**
 * The outline made wider (`axis` x) or deeper (y) by `mm`, 0 or more, without touching its curves: cut through the middle of its box and spread, as a
 * paper pattern is. Lines stay lines and arcs arcs; the middle stays where it is.
 */
export function spread(outline: Outline, axis: 'x' | 'y', mm: number): Outline {
  if (mm <= 0) return outline;
  const box = outlineBounds(outline);
  const middle = axis === 'x' ? (box.minX + box.maxX) / 2 : (box.minY + box.maxY) / 2;
  const parts = outline.segments.flatMap((segment) => cutAt(segment, crossingsOf(segment, axis, middle)));
  const shift =
    (by: number) =>
    (p: Point): Point =>
      axis === 'x' ? { x: p.x + by, y: p.y } : { x: p.x, y: p.y + by };
  const kept = parts.flatMap((part) => {
    const off = pointOn(part, segmentLength(part) / 2)[axis] - middle;
    // What lies on the cut itself goes with neither side: it is bridged.
    return Math.abs(off) <= SAME_POINT_MM ? [] : [mapped(part, shift((Math.sign(off) * mm) / 2), false)];
  });
  const bridged = kept.flatMap((part, i) => {
    const next = kept[(i + 1) % kept.length] as Segment;
    return distance(part.to, next.from) <= SAME_POINT_MM ? [part] : [part, line(part.edge === 'corner' ? next.edge : part.edge, part.to, next.from)];
  });
  return tidied({ segments: bridged });
}

/**
 * The part of an outline between two levels of `axis`, closed with straight cuts. Null where a cut would meet the outline more than twice, so that the part
 * would fall into pieces.
 */
export function sliced(outline: Outline, axis: 'x' | 'y', from: number, to: number): Outline | null {
  const crossing = (at: number): number => outline.segments.reduce((count, segment) => count + crossingsOf(segment, axis, at).length, 0);
  const { minX, maxX, minY, maxY } = outlineBounds(outline);
  const [least, most] = axis === 'x' ? [minX, maxX] : [minY, maxY];
  const cuts = [from, to].filter((at) => at > least + SAME_POINT_MM && at < most - SAME_POINT_MM);
  if (cuts.some((at) => crossing(at) !== 2)) return null;
  const kept = outline.segments
    .flatMap((segment) =>
      cutAt(
        segment,
        cuts.flatMap((at) => crossingsOf(segment, axis, at)).sort((a, b) => a - b),
      ),
    )
    .filter((segment) => {
      const middle = pointOn(segment, segmentLength(segment) / 2)[axis];
      // A level that cuts nothing keeps everything, also what only touches it.
      return (middle > from || !cuts.includes(from)) && (middle < to || !cuts.includes(to));
    });
  const names: Record<'x' | 'y', readonly [EdgeName, EdgeName]> = { x: ['left', 'right'], y: ['front', 'back'] };
  return {
    segments: closed(
      kept.flatMap((segment, i): Segment[] => {
        const next = kept[(i + 1) % kept.length] as Segment;
        const gap = Math.hypot(next.from.x - segment.to.x, next.from.y - segment.to.y) > SAME_POINT_MM;
        return gap
          ? [segment, line(names[axis][Math.abs(segment.to[axis] - from) < Math.abs(segment.to[axis] - to) ? 0 : 1], segment.to, next.from)]
          : [segment];
      }),
    ),
  };
}
