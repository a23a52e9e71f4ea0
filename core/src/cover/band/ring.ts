import { stripRun, type SkinRun } from '../../form/skin';
import { grow } from '../../geometry/offset';
import { stationAt, type Outline } from '../../geometry/outline';
import type { Mark, Piece } from '../../piece/piece';
import { stripEdge } from '../sewing/cloth-piece';

/** An outline grown by `mm`, or taken in where it is negative; null where nothing is left. */
export function offsetOrNull(outline: Outline, mm: number): Outline | null {
  if (mm === 0) return outline;
  const made = grow(outline, mm);
  return made.ok ? made.outline : null;
}

/** Notches at the four quarters of a round, from its first place. */
export function quarterMarks(outline: Outline, roundMm: number): Mark[] {
  return [0, 1, 2, 3].map((i) => {
    const { at, outward } = stationAt(outline, (roundMm * i) / 4);
    return { kind: 'quarter', at, outward };
  });
}

/** The same quarters on both edges of a strip whose seam line starts at `fromMm`. */
export function quarterPlaces(roundMm: number, fromMm: number): number[] {
  return [0, 1, 2, 3].map((i) => fromMm + (roundMm * i) / 4);
}

/** Where a strip stands that goes once round a seam line from its first place. */
export function ringRun(strip: Piece, roundMm: number): SkinRun {
  const [lower, upper] = [stripEdge(strip, 'lower'), stripEdge(strip, 'upper')];
  return stripRun(strip.id, { fromMm: 0, toMm: roundMm, x: lower.from.x }, { lowerY: lower.from.y, upperY: upper.from.y });
}
