// The offsetter alone: the package's index brings clipping and triangulation with it, which are never used.
import { ClipperOffset, EndType, JoinType } from 'clipper2-ts/dist/Offset.js';
import { inArcs } from './biarc';
import { area, closed, flatten, type Outline } from './outline';
import { cross, distance, dot, minusPoint, plusPoint, unit, type Point } from './point';
import { polygonArea } from './polygon';
import { arcAbout, directionOn, line, onArc, pointOn, segmentLength, startAngle, type Arc, type EdgeName, type Segment } from './segment';
import { selfCrossing } from './simple';
import { counterClockwise, tidied } from './transform';
import { SAME_POINT_MM } from './tolerance';

/** How an outline is taken round a convex corner when it grows. */
export type Join = 'round' | 'mitre';

/** Why an outline cannot be grown or shrunk by an amount. */
export type OffsetProblem = 'nothing-left';

export type Offset =
  /** `exact`: made of moved lines and arcs; else a corner closed up and the polygon kernel trimmed it. */
  { readonly ok: true; readonly outline: Outline; readonly exact: boolean } | { readonly ok: false; readonly code: OffsetProblem };

/** Amount by edge, mm; positive outwards. */
export type EdgeAmounts = Readonly<Record<EdgeName, number>>;

/** A mitre longer than this many times its amount is cut off round. */
const MITRE_LIMIT = 8;

interface Moved {
  readonly was: Segment;
  readonly now: Segment;
  readonly mm: number;
}

function movedBy(segment: Segment, mm: number): Segment | null {
  if (segment.kind === 'arc') {
    const radius = segment.radius + Math.sign(segment.sweep) * mm;
    if (radius <= SAME_POINT_MM) return null;
    const pull = (p: Point): Point => plusPoint(segment.centre, minusPoint(p, segment.centre), radius / segment.radius);
    return { ...segment, from: pull(segment.from), to: pull(segment.to), radius };
  }
  const way = directionOn(segment, 0);
  const shift = { x: way.y * mm, y: -way.x * mm };
  return { ...segment, from: plusPoint(segment.from, shift), to: plusPoint(segment.to, shift) };
}

/** Where two segments, or the lines and circles they lie on, meet; nearest to `near` first. */
function meetings(a: Segment, b: Segment, near: Point): Point[] {
  const points: Point[] = [];
  if (a.kind === 'line' && b.kind === 'line') {
    const [r, s] = [minusPoint(a.to, a.from), minusPoint(b.to, b.from)];
    const across = cross(r, s);
    if (Math.abs(across) > 1e-12) points.push(plusPoint(a.from, r, cross(minusPoint(b.from, a.from), s) / across));
  } else if (a.kind === 'arc' && b.kind === 'arc') {
    const d = distance(a.centre, b.centre);
    const along = (a.radius ** 2 - b.radius ** 2 + d * d) / (2 * d);
    const high = a.radius ** 2 - along ** 2;
    if (d > SAME_POINT_MM && high >= -1e-9) {
      const way = unit(minusPoint(b.centre, a.centre));
      const foot = plusPoint(a.centre, way, along);
      const up = Math.sqrt(Math.max(0, high));
      points.push(plusPoint(foot, { x: -way.y, y: way.x }, up), plusPoint(foot, { x: way.y, y: -way.x }, up));
    }
  } else {
    const [l, c] = a.kind === 'line' ? [a, b as Arc] : [b, a as Arc];
    const way = directionOn(l, 0);
    const foot = plusPoint(l.from, way, dot(minusPoint(c.centre, l.from), way));
    const high = c.radius ** 2 - distance(foot, c.centre) ** 2;
    if (high >= -1e-9) points.push(plusPoint(foot, way, Math.sqrt(Math.max(0, high))), plusPoint(foot, way, -Math.sqrt(Math.max(0, high))));
  }
  return points.sort((p, q) => distance(p, near) - distance(q, near));
}

/** Whether a point of the line or circle a segment lies on is on the segment itself. */
function lies(segment: Segment, p: Point): boolean {
  if (segment.kind === 'arc') return onArc(segment, Math.atan2(p.y - segment.centre.y, p.x - segment.centre.x), 1e-9);
  const way = minusPoint(segment.to, segment.from);
  const t = dot(minusPoint(p, segment.from), way) / dot(way, way);
  return t >= -1e-9 && t <= 1 + 1e-9;
}

/** A segment ended, or begun, at a point of its line or circle. */
function trimmed(segment: Segment, end: 'from' | 'to', p: Point): Segment {
  if (segment.kind !== 'arc') return { ...segment, [end]: p };
  const angle = Math.atan2(p.y - segment.centre.y, p.x - segment.centre.x);
  const start = startAngle(segment);
  const turn = 2 * Math.PI;
  const wrap = (value: number): number => (segment.sweep > 0 ? ((value % turn) + turn) % turn : -(((-value % turn) + turn) % turn));
  const gone = wrap(angle - start);
  return end === 'to' ? { ...segment, to: p, sweep: gone } : { ...segment, from: p, sweep: segment.sweep - gone };
}

/** What goes between two moved segments that a convex corner has drawn apart. */
function filling(a: Moved, b: Moved, corner: Point, join: Join): Segment[] {
  const [p, q] = [a.now.to, b.now.from];
  const edge = a.was.edge === 'corner' ? b.was.edge : a.was.edge;
  if (Math.abs(a.mm - b.mm) > SAME_POINT_MM) return [line(edge, p, q)];
  const [ta, tb] = [directionOn(a.now, segmentLength(a.now)), directionOn(b.now, 0)];
  const across = cross(ta, tb);
  if (join === 'mitre' && Math.abs(across) > 1e-9) {
    const tip = plusPoint(p, ta, cross(minusPoint(q, p), tb) / across);
    if (distance(tip, corner) <= MITRE_LIMIT * Math.abs(a.mm)) return [line(a.was.edge, p, tip), line(b.was.edge, tip, q)];
  }
  const [u, v] = [minusPoint(p, corner), minusPoint(q, corner)];
  return [{ ...arcAbout(edge, corner, p, Math.atan2(cross(u, v), dot(u, v))), to: q }];
}

/** Lines and arcs moved and joined again; null where that does not give a simple curve. */
function exactly(outline: Outline, amounts: EdgeAmounts, join: Join): Outline | null {
  const kept = outline.segments.flatMap((was): Moved[] => {
    const mm = amounts[was.edge];
    const now = movedBy(was, mm);
    return now ? [{ was, now, mm }] : [];
  });
  if (kept.length < 2) return null;
  const segments: Segment[][] = kept.map(({ now }) => [now]);
  const ends = kept.map(({ now }) => now);
  for (let i = 0; i < kept.length; i++) {
    const j = (i + 1) % kept.length;
    const [a, b] = [ends[i] as Segment, ends[j] as Segment];
    if (distance(a.to, b.from) <= SAME_POINT_MM) continue;
    const [before, after] = [kept[i] as Moved, kept[j] as Moved];
    const corner = before.was.to;
    const neighbours = distance(corner, after.was.from) <= SAME_POINT_MM;
    const bend = cross(directionOn(before.was, segmentLength(before.was)), directionOn(after.was, 0));
    const apart = neighbours && Math.abs(before.mm - after.mm) <= SAME_POINT_MM && bend * before.mm > 0;
    const crossingAt = apart ? undefined : meetings(a, b, a.to).find((p) => (lies(a, p) && lies(b, p)) || (a.kind === 'line' && b.kind === 'line'));
    if (crossingAt) {
      ends[i] = trimmed(a, 'to', crossingAt);
      ends[j] = trimmed(b, 'from', crossingAt);
      continue;
    }
    if (!neighbours) return null;
    (segments[i] as Segment[]).push(...filling({ ...before, now: a }, { ...after, now: b }, corner, join));
  }
  const joined = segments.flatMap((run, i) => [ends[i] as Segment, ...run.slice(1)]);
  // A side that came out backwards has been swallowed by its neighbours.
  const backwards = kept.some(({ was }, i) => {
    const end = ends[i] as Segment;
    return was.kind === 'line'
      ? dot(minusPoint(end.to, end.from), directionOn(was, 0)) < -SAME_POINT_MM
      : end.kind === 'arc' && Math.sign(end.sweep) !== Math.sign((was as Arc).sweep);
  });
  if (backwards) return null;
  const result = tidied({ segments: closed(joined) });
  return result.segments.length > 1 && area(result) > 0 && !selfCrossing(result) ? result : null;
}

/** Flattened that finely, and kept on that grid, where the kernel has to trim. */
const KERNEL_MM = 0.02;
/** The kernel counts in whole numbers: so many of them to a millimetre. */
const KERNEL_PER_MM = 10_000;

/** The offset as the polygon kernel makes it: curves become short lines, each with the edge it came from. */
function byKernel(outline: Outline, mm: number, join: Join): Outline | null {
  const offsetter = new ClipperOffset(MITRE_LIMIT, KERNEL_MM * KERNEL_PER_MM);
  const whole = flatten(outline, KERNEL_MM).map(({ x, y }) => ({ x: Math.round(x * KERNEL_PER_MM), y: Math.round(y * KERNEL_PER_MM) }));
  offsetter.addPath(whole, join === 'round' ? JoinType.Round : JoinType.Miter, EndType.Polygon);
  const paths: { x: number; y: number }[][] = [];
  offsetter.execute(mm * KERNEL_PER_MM, paths);
  const largest = paths
    .map((path) => path.map(({ x, y }): Point => ({ x: x / KERNEL_PER_MM, y: y / KERNEL_PER_MM })))
    .sort((a, b) => Math.abs(polygonArea(b)) - Math.abs(polygonArea(a)))[0];
  if (!largest || largest.length < 3) return null;
  const samples = outline.segments.flatMap((segment) => {
    const length = segmentLength(segment);
    const count = Math.max(2, Math.ceil(length / 20));
    return Array.from({ length: count }, (_, i) => ({ edge: segment.edge, at: pointOn(segment, (length * (i + 0.5)) / count) }));
  });
  const edgeNear = (p: Point): EdgeName => {
    let [edge, nearest] = [samples[0]?.edge ?? 'front', Infinity];
    for (const { at, edge: name } of samples) {
      const away = (at.x - p.x) ** 2 + (at.y - p.y) ** 2;
      if (away < nearest) [edge, nearest] = [name, away];
    }
    return edge;
  };
  const sides = largest.map((from, i) => {
    const to = largest[(i + 1) % largest.length] as Point;
    return line(edgeNear({ x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }), from, to);
  });
  return tidied(counterClockwise({ segments: sides }));
}

const evenly = (mm: number): EdgeAmounts => ({ front: mm, right: mm, back: mm, left: mm, corner: mm });

/**
 * Grows (mm > 0) or shrinks (mm < 0) an outline by a true offset: lines stay lines, arcs stay arcs about the same centre; cubics go as arcs within
 * 0.01 mm. Convex corners are mitred or rounded, concave ones trimmed where they cross. Where something closes up the polygon kernel trims it.
 */
export function grow(outline: Outline, mm: number, join: Join = 'mitre'): Offset {
  if (mm === 0) return { ok: true, outline, exact: true };
  const arcs = inArcs(outline);
  const exact = exactly(arcs, evenly(mm), join);
  if (exact) return { ok: true, outline: exact, exact: true };
  const trimmedBy = byKernel(arcs, mm, join);
  return trimmedBy ? { ok: true, outline: trimmedBy, exact: false } : { ok: false, code: 'nothing-left' };
}

/** A rounded corner between two straight sides, which is set again between them once they have moved by amounts of their own. */
interface Fillet {
  readonly edge: EdgeName;
  readonly radius: number;
}

/**
 * Grows each edge by an amount of its own, as where a front runs under a rail. Rounded corners between straight sides keep their roundness, grown by
 * the lesser of the two; a side between others that grow otherwise is joined to them straight.
 */
export function growEdges(outline: Outline, amounts: EdgeAmounts, join: Join = 'mitre'): Offset {
  const values = new Set(outline.segments.map((segment) => amounts[segment.edge]));
  if (values.size === 1) return grow(outline, [...values][0] ?? 0, join);
  const arcs = inArcs(outline).segments;
  const fillets: (Fillet | null)[] = arcs.map((segment, i) => {
    const [before, after] = [arcs[(i + arcs.length - 1) % arcs.length], arcs[(i + 1) % arcs.length]];
    const rounded = segment.kind === 'arc' && segment.edge === 'corner' && segment.sweep > 0 && before?.kind === 'line' && after?.kind === 'line';
    return rounded && before && after
      ? { edge: segment.edge, radius: Math.max(0, segment.radius + Math.min(amounts[before.edge], amounts[after.edge])) }
      : null;
  });
  const sharp = arcs.flatMap((segment, i) => (fillets[i] ? [] : [segment]));
  const corners: (Fillet | undefined)[] = arcs.flatMap((_, i) => (fillets[i] ? [] : [fillets[(i + 1) % arcs.length] ?? undefined]));
  // Sharp corners first: sides moved by their own amounts and brought to meet.
  const squared = sharp.map((segment, i) => {
    const next = sharp[(i + 1) % sharp.length] as Segment;
    const at = corners[i] ? meetings(segment, next, segment.to)[0] : undefined;
    return { segment, at };
  });
  const base = squared.map(({ segment, at }, i) => {
    const start = (squared[(i + squared.length - 1) % squared.length] as (typeof squared)[number]).at;
    return { ...segment, ...(start ? { from: start } : {}), ...(at ? { to: at } : {}) };
  });
  const result = exactly({ segments: base }, amounts, join);
  if (!result) {
    const even = grow(outline, Math.min(...values), join);
    return even.ok ? { ...even, exact: false } : even;
  }
  if (result.segments.length !== base.length) return { ok: true, outline: result, exact: true };
  return { ok: true, outline: withFillets(result, corners), exact: true };
}

/** Rounds corners after the segments named, each between two straight sides. */
function withFillets(outline: Outline, corners: readonly (Fillet | undefined)[]): Outline {
  const { segments } = outline;
  const cut = segments.map((segment) => ({ from: segment.from, to: segment.to }));
  const arcs: (Arc | null)[] = segments.map((segment, i) => {
    const j = (i + 1) % segments.length;
    const next = segments[j] as Segment;
    const fillet = corners[i];
    if (!fillet || fillet.radius <= SAME_POINT_MM || segment.kind !== 'line' || next.kind !== 'line') return null;
    const [a, b] = [directionOn(segment, 0), directionOn(next, 0)];
    const angle = Math.atan2(cross(a, b), dot(a, b));
    const reach = fillet.radius * Math.tan(angle / 2);
    const from = plusPoint(segment.to, a, -reach);
    const centre = plusPoint(from, { x: -a.y, y: a.x }, fillet.radius);
    (cut[i] as { to: Point }).to = from;
    (cut[j] as { from: Point }).from = plusPoint(segment.to, b, reach);
    return arcAbout(fillet.edge, centre, from, angle);
  });
  return tidied({ segments: segments.flatMap((segment, i) => [{ ...segment, ...(cut[i] as { from: Point; to: Point }) }, ...(arcs[i] ? [arcs[i]] : [])]) });
}
