import { outlineBounds, stationAt, type Outline } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { moved, sliced } from '../geometry/transform';
import { issue, type Issue, type IssueCode } from '../kernel/issue';
import { buttonAt, markNear, tieAlong, type OutlineMark } from '../template/marks';
import { outlineToJson } from '../template/outline-json';
import { outlineOf, shapeOf } from '../template/shapes/shapes';
import type { Cushion } from './document';

/** One seat across, made of several cushions. */
export interface SplitAsk {
  /** So many of one width … */
  readonly into?: number;
  /** … or these widths from the left, mm, as the seat was measured. */
  readonly widthsMm?: readonly number[];
  /** Between two cushions, mm. */
  readonly gapMm: number;
}

export type Split = { readonly ok: true; readonly cushions: readonly Cushion[] } | { readonly ok: false; readonly problems: readonly Issue[] };

/** Widths given one by one may miss the seat's width by this, mm. */
const WIDTHS_MM = 0.5;
export const MOST_SPLIT = 12;

const refused = (code: IssueCode, path: string, facts: Record<string, number | string> = {}): Split => ({
  ok: false,
  problems: [issue('error', code, path, facts)],
});

const round = (mm: number): number => Math.round(mm * 1e6) / 1e6;

/** Where the middle of the seat lies from the cushion's own, mm; undefined for a seat of its own, and for parts split before it was kept. */
export function seatMiddle({ split }: Pick<Cushion, 'split'>): Point | undefined {
  return split?.middle && { x: split.middle.xMm, y: split.middle.yMm };
}

/** What one of several is called, from the left. */
function nameOf(name: string, index: number, of: number): string {
  const words = of === 2 ? ['left', 'right'] : of === 3 ? ['left', 'middle', 'right'] : [];
  return `${name.slice(0, 100)}, ${words[index] ?? `${index + 1} of ${of}`}`;
}

/** A part of the whole's width, and how far it is moved along. */
interface Part {
  readonly part: Outline;
  readonly dx: number;
  readonly from: number;
  readonly to: number;
}

/** A mark that lies on this part of the outline, on the part's own edge or face; null where it belongs to another. */
function markOn(mark: OutlineMark, whole: Outline, { part, dx, from, to }: Part): OutlineMark | null {
  const along = mark.kind === 'tie' ? tieAlong(whole, mark) : null;
  const at = mark.kind === 'button' ? buttonAt(whole, mark) : along === null ? null : stationAt(whole, along).at;
  return at && at.x >= from && at.x <= to ? markNear(part, mark, { x: at.x + dx, y: at.y }) : null;
}

/**
 * Divides a cushion's outline across its width into several, with a gap between neighbours: either n equal parts of (W − (n − 1) × gap) ÷ n each, or parts of given widths that add up to
 * the width with their gaps. Facing edges match. Each part knows its place in the seat and where the seat's middle lies, so that a pattern continues over all of them. Everything else is
 * copied, except ticks and checks.
 */
export function splitCushion(cushion: Cushion, { into, widthsMm, gapMm }: SplitAsk): Split {
  if (shapeOf(cushion.template).check(cushion.template).length) return refused('split-not-for-outline', 'template');
  const { outline: drawn } = outlineOf(cushion.template);
  const box = outlineBounds(drawn);
  const whole = moved(drawn, -box.minX, -box.minY);
  const acrossMm = box.maxX - box.minX;
  const count = widthsMm?.length ?? into ?? 0;
  if (!Number.isInteger(count) || count < 2 || count > MOST_SPLIT) return refused('split-count', 'into', { most: MOST_SPLIT });
  if (!(gapMm >= 0) || gapMm > 200) return refused('split-gap', 'gapMm', { mostMm: 200 });
  const room = acrossMm - (count - 1) * gapMm;
  const widths = widthsMm ?? Array.from({ length: count }, () => room / count);
  const sum = widths.reduce((mm, width) => mm + width, 0);
  if (widths.some((mm) => !(mm >= 30))) return refused('split-too-narrow', 'widthsMm', { leastMm: 30 });
  if (Math.abs(sum - room) > WIDTHS_MM) return refused('split-widths-do-not-add-up', 'widthsMm', { sumMm: sum, roomMm: room });

  const parts: Cushion[] = [];
  const { bench: _bench, checks: _checks, marks = [], template, ...rest } = cushion;
  let from = 0;
  for (const [index, width] of widths.entries()) {
    const to = index === count - 1 ? acrossMm : from + width;
    const slice = sliced(whole, 'x', index === 0 ? -Infinity : from, index === count - 1 ? Infinity : to);
    if (!slice) return refused('split-not-for-outline', 'template');
    const part = moved(slice, -from, 0);
    const plain =
      template.shape === 'rectangle' &&
      Object.keys(template).every((key) => ['shape', 'widthMm', 'depthMm'].includes(key) || !template[key as keyof typeof template]);
    const { minX, maxX, minY, maxY } = outlineBounds(part);
    const middle = { xMm: round(acrossMm / 2 - from - (minX + maxX) / 2), yMm: round((box.maxY - box.minY - minY - maxY) / 2) };
    const own = marks.flatMap((mark) => markOn(mark, whole, { part, dx: -from, from, to }) ?? []);
    parts.push({
      ...rest,
      name: nameOf(cushion.name, index, count),
      template: plain ? { shape: 'rectangle', widthMm: round(to - from), depthMm: template.depthMm } : { shape: 'free', outline: outlineToJson(part) },
      ...(own.length ? { marks: own } : {}),
      split: { seat: cushion.name, index: index + 1, of: count, middle },
    });
    from = to + gapMm;
  }
  return { ok: true, cushions: parts };
}
