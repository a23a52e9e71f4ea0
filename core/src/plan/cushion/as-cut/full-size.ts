import type { Outline } from '../../../geometry/outline';
import type { Piece } from '../../../piece/piece';
import type { CushionPlan } from '../cushion-plan';

/** Which outline is printed or saved full size: as measured, one of the sizes, or the plate as it is cut. */
export const TEMPLATE_SIZES = ['given', 'seat', 'finished', 'core', 'cut'] as const;
export type TemplateSize = (typeof TEMPLATE_SIZES)[number];

/** An outline at full size, with its name; `piece` where it is one, with its seam line, holes and marks. */
export interface FullSize {
  readonly outline: Outline;
  readonly words: string;
  readonly piece: Piece | null;
}

/** The plate where there is one, the larger where they differ; else whatever of cloth is largest: an end, a body. */
function mainPiece(pieces: readonly Piece[]): Piece | undefined {
  const area = ({ width, height }: Piece): number => width.value * height.value;
  return pieces
    .filter(({ material, grain }) => material.kind === 'cloth' && grain !== 'bias')
    .sort((a, b) => Number(b.role === 'plate') - Number(a.role === 'plate') || area(b) - area(a))[0];
}

/** A piece by its id, or the outline of a size; null where the plan has none. Solve first: a plate that is domed is what it is only then. */
export function fullSize(one: CushionPlan, size: TemplateSize, pieceId: string | null): FullSize | null {
  if (pieceId !== null || size === 'cut') {
    const piece = pieceId === null ? mainPiece(one.pieces) : one.pieces.find(({ id }) => id === pieceId);
    return piece ? { outline: piece.outline, words: piece.label, piece } : null;
  }
  const name = size === 'given' ? one.source.given : size;
  const outline = one.outlines?.[name];
  return outline ? { outline, words: name, piece: null } : null;
}
