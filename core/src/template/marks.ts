import * as z from 'zod';
import { alongOutline } from '../geometry/along';
import { edgeSpans, outlineBounds, type EdgeSpan, type Outline } from '../geometry/outline';
import type { Point } from '../geometry/point';

/** Sides of the seat that a tie may be on. */
export const MARK_EDGES = ['front', 'right', 'back', 'left'] as const;

const share = z.number().min(0).max(1);

/** A tie on an edge, by its share of the way along it; a button on the face, by its shares across and deep. So a mark follows its outline through every size. */
export const outlineMarkSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('tie'), edge: z.enum(MARK_EDGES), share }),
  z.strictObject({ kind: z.literal('button'), across: share, deep: share }),
]);
export type OutlineMark = z.infer<typeof outlineMarkSchema>;
export type TieMark = Extract<OutlineMark, { kind: 'tie' }>;
export type ButtonMark = Extract<OutlineMark, { kind: 'button' }>;

/** The longest run of an edge: what a tie on that side is measured along. */
function runOf(outline: Outline, edge: TieMark['edge']): EdgeSpan | null {
  const runs = edgeSpans(outline).filter((span) => span.edge === edge);
  return runs.length ? runs.reduce((a, b) => (b.end - b.start > a.end - a.start ? b : a)) : null;
}

/** Where a tie lies, mm round an outline from its first point; null where the outline has no such edge. */
export function tieAlong(outline: Outline, tie: TieMark): number | null {
  const run = runOf(outline, tie.edge);
  return run ? run.start + (run.end - run.start) * tie.share : null;
}

/** How far a tie is from the beginning of its edge, and how long that edge is, mm. */
export function tieDistance(outline: Outline, tie: TieMark): { readonly mm: number; readonly ofMm: number } | null {
  const run = runOf(outline, tie.edge);
  return run ? { mm: (run.end - run.start) * tie.share, ofMm: run.end - run.start } : null;
}

/** A button's place on an outline's face. */
export function buttonAt(outline: Outline, { across, deep }: ButtonMark): Point {
  const { minX, minY, maxX, maxY } = outlineBounds(outline);
  return { x: minX + (maxX - minX) * across, y: minY + (maxY - minY) * deep };
}

/** The mark moved to a point: a tie to the nearest place of any edge, a button there. */
export function markNear(outline: Outline, mark: OutlineMark, to: Point): OutlineMark {
  if (mark.kind === 'button') {
    const { minX, minY, maxX, maxY } = outlineBounds(outline);
    const within = (value: number): number => Math.max(0, Math.min(1, value));
    return { kind: 'button', across: within((to.x - minX) / (maxX - minX)), deep: within((to.y - minY) / (maxY - minY)) };
  }
  const along = alongOutline(outline, to, Infinity);
  if (along === null) return mark;
  const near = MARK_EDGES.flatMap((edge) => {
    const run = runOf(outline, edge);
    if (!run) return [];
    const at = Math.max(run.start, Math.min(run.end, along));
    return [{ edge, share: run.end > run.start ? (at - run.start) / (run.end - run.start) : 0, off: Math.abs(at - along) }];
  }).sort((a, b) => a.off - b.off)[0];
  return near ? { kind: 'tie', edge: near.edge, share: near.share } : mark;
}

/** So many ties evenly along an edge, half a pitch from its ends. */
export function evenTies(edge: TieMark['edge'], count: number): TieMark[] {
  return Array.from({ length: count }, (_, i) => ({ kind: 'tie', edge, share: (i + 0.5) / count }));
}
