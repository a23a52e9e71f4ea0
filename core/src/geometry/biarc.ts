import { cubicAt, cubicDerivative, cubicRadius, cubicSplit } from './cubic';
import type { Outline } from './outline';
import { cross, distance, dot, minusPoint, plusPoint, unit, type Point } from './point';
import { line, segmentLength, type Arc, type Cubic, type EdgeName, type Segment } from './segment';
import { OFFSET_ARCS_MM } from './tolerance';

/** The arc that leaves `from` in direction `way` and ends in `to`; a line where it would be straight. */
function arcLeaving(edge: EdgeName, from: Point, way: Point, to: Point): Segment {
  const chord = minusPoint(to, from);
  const turn = cross(way, chord);
  const length = Math.hypot(chord.x, chord.y);
  if (Math.abs(turn) < 1e-9 * length) return line(edge, from, to);
  const radius = (length * length) / (2 * turn);
  const centre = { x: from.x - way.y * radius, y: from.y + way.x * radius };
  const sweep = 2 * Math.atan2(turn, dot(way, chord));
  return { kind: 'arc', edge, from, to, centre, radius: Math.abs(radius), sweep } satisfies Arc;
}

/** Two arcs that leave and arrive as a curve does and touch smoothly in between: the joint halves the tangents' way. */
function biarc({ edge, from, to }: Cubic, leaving: Point, arriving: Point): Segment[] {
  const v = minusPoint(to, from);
  const t = plusPoint(leaving, arriving);
  const [vt, vv, tt] = [dot(v, t), dot(v, v), 2 * (1 - dot(leaving, arriving))];
  const d =
    Math.abs(tt) < 1e-9
      ? Math.abs(dot(v, arriving)) < 1e-9
        ? Math.sqrt(vv) / 2
        : vv / (4 * dot(v, arriving))
      : (-vt + Math.sqrt(Math.max(0, vt * vt + tt * vv))) / tt;
  const [a, b] = [plusPoint(from, leaving, d), plusPoint(to, arriving, -d)];
  const joint = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  const first = arcLeaving(edge, from, leaving, joint);
  const backwards = arcLeaving(edge, to, { x: -arriving.x, y: -arriving.y }, joint);
  const second: Segment = backwards.kind === 'arc' ? { ...backwards, from: joint, to, sweep: -backwards.sweep } : line(edge, joint, to);
  return [first, second].filter((segment) => segmentLength(segment) > 1e-9);
}

const SAMPLES = 9;

/** Largest distance of a curve from the arcs that stand for it: each sample against the nearest arc or line. */
function strayOf(curve: Cubic, arcs: readonly Segment[]): number {
  return Math.max(
    ...Array.from({ length: SAMPLES }, (_, i) => {
      const p = cubicAt(curve, (i + 1) / (SAMPLES + 1));
      return Math.min(
        ...arcs.map((arc) => {
          if (arc.kind === 'arc') return Math.abs(distance(p, arc.centre) - arc.radius);
          return Math.abs(cross(unit(minusPoint(arc.to, arc.from)), minusPoint(p, arc.from)));
        }),
      );
    }),
  );
}

/** Where a curve changes the side it turns to, so that no arc has to turn both ways. */
function inflexion(curve: Cubic): number | null {
  let before = Math.sign(cubicRadius(curve, 0.001));
  for (let i = 1; i <= 40; i++) {
    const t = Math.min(0.999, i / 40);
    const now = Math.sign(cubicRadius(curve, t));
    if (now !== 0 && before !== 0 && now !== before) {
      let [low, high] = [(i - 1) / 40, t];
      for (let k = 0; k < 40; k++) {
        const middle = (low + high) / 2;
        if (Math.sign(cubicRadius(curve, middle)) === before) low = middle;
        else high = middle;
      }
      return (low + high) / 2;
    }
    if (now !== 0) before = now;
  }
  return null;
}

/** A cubic as smoothly joined arcs that stay within `tolerance` mm of it: what offsets and measures that want arcs work on. */
export function arcsOf(curve: Cubic, tolerance: number, depth = 0): Segment[] {
  if (distance(curve.from, curve.c1) + distance(curve.c1, curve.c2) + distance(curve.c2, curve.to) < 1e-6) return [line(curve.edge, curve.from, curve.to)];
  const turns = depth === 0 ? inflexion(curve) : null;
  if (turns !== null && turns > 0.01 && turns < 0.99) return cubicSplit(curve, turns).flatMap((half) => arcsOf(half, tolerance, 1));
  const arcs = biarc(curve, unit(cubicDerivative(curve, 0)), unit(cubicDerivative(curve, 1)));
  if (depth >= 14 || (arcs.length > 0 && strayOf(curve, arcs) <= tolerance)) return arcs;
  return cubicSplit(curve, 0.5).flatMap((half) => arcsOf(half, tolerance, depth + 1));
}

/** The outline with its curves as lines and arcs: offsets move those exactly. */
export function inArcs(outline: Outline): Outline {
  return { segments: outline.segments.flatMap((segment) => (segment.kind === 'cubic' ? arcsOf(segment, OFFSET_ARCS_MM) : [segment])) };
}
