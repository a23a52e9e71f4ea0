import { distance, type Line, type Outline, type Point, type Segment } from './outline';
import { SAME_POINT_MM } from './tolerance';

/** Why an outline cannot be grown by an amount. */
export type OffsetProblem = 'radius-vanishes' | 'corner-closes' | 'parallel-joint';

export type Offset = { readonly ok: true; readonly outline: Outline } | { readonly ok: false; readonly code: OffsetProblem };

function moved(segment: Segment, mm: number): Segment | null {
  if (segment.kind === 'line') {
    const length = distance(segment.from, segment.to);
    const dx = ((segment.to.y - segment.from.y) / length) * mm;
    const dy = (-(segment.to.x - segment.from.x) / length) * mm;
    const shift = (p: Point): Point => ({ x: p.x + dx, y: p.y + dy });
    return { ...segment, from: shift(segment.from), to: shift(segment.to) };
  }
  const radius = segment.radius + Math.sign(segment.sweep) * mm;
  if (radius < -SAME_POINT_MM) return null;
  const scale = Math.max(0, radius) / segment.radius;
  const pull = (p: Point): Point => ({ x: segment.centre.x + (p.x - segment.centre.x) * scale, y: segment.centre.y + (p.y - segment.centre.y) * scale });
  return { ...segment, from: pull(segment.from), to: pull(segment.to), radius: Math.max(0, radius) };
}

/** Where the two endless lines cross, or null when they are parallel. */
function crossing(a: Line, b: Line): Point | null {
  const ax = a.to.x - a.from.x;
  const ay = a.to.y - a.from.y;
  const bx = b.to.x - b.from.x;
  const by = b.to.y - b.from.y;
  const cross = ax * by - ay * bx;
  if (Math.abs(cross) < 1e-12) return null;
  const t = ((b.from.x - a.from.x) * by - (b.from.y - a.from.y) * bx) / cross;
  return { x: a.from.x + ax * t, y: a.from.y + ay * t };
}

/**
 * Grows (mm > 0) or shrinks (mm < 0) an outline by a true offset: lines stay lines, arcs stay arcs about the same centre,
 * square corners are mitred. Joints between a line and an arc must be tangent.
 */
export function grow(outline: Outline, mm: number): Offset {
  if (mm === 0) return { ok: true, outline };
  const segments: Segment[] = [];
  for (const segment of outline.segments) {
    const next = moved(segment, mm);
    if (!next) return { ok: false, code: 'radius-vanishes' };
    segments.push(next);
  }
  const count = segments.length;
  for (let i = 0; i < count; i++) {
    const a = segments[i] as Segment;
    const b = segments[(i + 1) % count] as Segment;
    if (distance(a.to, b.from) <= SAME_POINT_MM) continue;
    const corner = a.kind === 'line' && b.kind === 'line' ? crossing(a, b) : null;
    if (!corner) return { ok: false, code: 'parallel-joint' };
    segments[i] = { ...a, to: corner };
    segments[(i + 1) % count] = { ...b, from: corner };
  }
  for (const [i, segment] of segments.entries()) {
    const was = outline.segments[i] as Segment;
    if (segment.kind === 'line' && was.kind === 'line') {
      const along = (segment.to.x - segment.from.x) * (was.to.x - was.from.x) + (segment.to.y - segment.from.y) * (was.to.y - was.from.y);
      if (along <= 0) return { ok: false, code: 'corner-closes' };
    }
  }
  return { ok: true, outline: { segments: segments.filter((s) => s.kind === 'line' || s.radius > SAME_POINT_MM) } };
}
