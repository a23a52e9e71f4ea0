import { outlineBounds } from '../geometry/outline';
import type { Operation } from '../piece/operation';
import type { Piece } from '../piece/piece';
import { formatLength, formatLengthUnit } from '../units/format';
import type { Pair, UnitSystem } from '../units/length';
import { CHANGED_MM, type KeptAsCut } from './ticks';

/** A seam narrower than this frays out or cannot be held at the needle, mm. */
export const LEAST_SEAM_MM = 6;

/** How a piece of another size can still be used: what is trimmed off its width and height, and with which seam it is sewn where that has to be narrower. */
export interface Adapting {
  readonly trimMm: readonly [number, number];
  readonly seamMm: number | null;
}

/** The seam allowance of a piece: what lies outside its seam line on the narrowest side, mm; null where it has none. */
function seamOf({ outline, sewn }: Piece): number | null {
  if (!sewn) return null;
  const [cut, line] = [outlineBounds(outline), outlineBounds(sewn)];
  const seam = Math.min(line.minX - cut.minX, cut.maxX - line.maxX, line.minY - cut.minY, cut.maxY - line.maxY);
  return seam > 0 ? seam : null;
}

/**
 * How a piece that was cut at other sizes becomes the planned one. Too large, it is trimmed; too small, it is sewn with a narrower seam: each edge gives up
 * half of what is missing. Null when the seam would be narrower than 6 mm, or the piece has none.
 */
export function adapting(piece: Piece, [width, height]: readonly [number, number]): Adapting | null {
  const more = [width - piece.width.value, height - piece.height.value] as const;
  const trimMm = [Math.max(0, more[0]), Math.max(0, more[1])] as const;
  const missing = Math.max(0, -more[0], -more[1]);
  if (missing <= CHANGED_MM) return { trimMm, seamMm: null };
  const seam = seamOf(piece);
  const seamMm = seam === null ? 0 : seam - missing / 2;
  return seamMm >= LEAST_SEAM_MM ? { trimMm, seamMm } : null;
}

/** The steps after cutting, each with a caution for every piece in hand that is kept as it was cut. */
export function withKept(operations: readonly Operation[], pieces: readonly Piece[], kept: KeptAsCut, units: UnitSystem, step: Pair): Operation[] {
  const decided = pieces.filter(({ id }) => kept[id]);
  if (decided.length === 0) return [...operations];
  const length = (mm: number): string => formatLength(mm, units, step);
  const words = ({ id, label, width, height }: Piece): string => {
    const one = kept[id];
    if (!one) return '';
    const size = `${length(one.sizes[0])} × ${length(one.sizes[1])}`;
    const plan = `${length(width.value)} × ${length(height.value)}`;
    return `${label} is as it was cut, ${size}; planned ${plan}${one.seamMm === undefined ? '' : `: sew it with a seam of ${formatLengthUnit(one.seamMm, units, step)}`}.`;
  };
  return operations.map((operation) => {
    const here = operation.phase === 'cut' ? [] : decided.filter(({ id }) => operation.pieces.includes(id));
    return here.length ? { ...operation, cautions: [...operation.cautions, ...here.map(words)] } : operation;
  });
}
