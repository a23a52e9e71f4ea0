import { polygonOutline, rectangleOutline, type Outline } from '../../geometry/outline';
import type { ClothSlot } from '../../piece/material-ref';
import { PLAIN_PIECE, type Mark, type Piece } from '../../piece/piece';
import type { Stretch } from '../../piece/seam';

/** A piece of cloth: with the grain, seen, one a cushion, unless told otherwise. */
export function clothPiece(slot: ClothSlot, piece: Pick<Piece, 'id' | 'role' | 'label' | 'width' | 'height' | 'outline'> & Partial<Piece>): Piece {
  return { ...PLAIN_PIECE, grain: 'with-the-roll', face: 'visible', material: { kind: 'cloth', slot }, ...piece };
}

/** The allowances of a strip inside its cut edges, mm. */
export interface StripAllowances {
  readonly left: number;
  readonly right: number;
  readonly lower: number;
  readonly upper: number;
}

/** The seam line of a right-angled strip: its cut outline less the allowance of each edge. */
export function stripLine(widthMm: number, heightMm: number, { left, right, lower, upper }: StripAllowances): Outline {
  return polygonOutline([
    [left, lower, 'front'],
    [widthMm - right, lower, 'right'],
    [widthMm - right, heightMm - upper, 'back'],
    [left, heightMm - upper, 'left'],
  ]);
}

export type StripEdge = 'lower' | 'right' | 'upper' | 'left';
const CORNERS: Record<StripEdge, readonly [number, number]> = { lower: [0, 1], right: [1, 2], upper: [2, 3], left: [3, 0] };

/** One edge of a strip's seam line as a stretch of a seam. */
export function stripEdge({ id, sewn }: Piece, edge: StripEdge, foldedMm = 0): Stretch {
  const [a, b] = CORNERS[edge];
  const at = (i: number) => sewn?.segments[i]?.from ?? { x: NaN, y: NaN };
  return { piece: id, from: at(a), to: at(b), ...(foldedMm ? { foldedMm } : {}) };
}

/** The whole seam line of a piece as a stretch. */
export function allRound({ id, sewn }: Piece): Stretch {
  const start = sewn?.segments[0]?.from ?? { x: NaN, y: NaN };
  return { piece: id, from: start, to: start };
}

/** A plain strip of cloth. */
export function clothStrip(
  slot: ClothSlot,
  piece: Pick<Piece, 'id' | 'role' | 'label' | 'width' | 'height'> & Partial<Piece>,
  allowances: StripAllowances,
  marks: readonly Mark[],
): Piece {
  const [width, height] = [piece.width.value, piece.height.value];
  return clothPiece(slot, { ...piece, outline: rectangleOutline(width, height), sewn: stripLine(width, height, allowances), marks });
}

/** Notches opposite each other on both edges of a strip, at `x` from its left end; `lower` and `upper` are the allowances there. */
export function pairOfMarks(kind: Mark['kind'], x: number, heightMm: number, { lower, upper }: Pick<StripAllowances, 'lower' | 'upper'>): Mark[] {
  return [
    { kind, at: { x, y: lower }, outward: { x: 0, y: -1 } },
    { kind, at: { x, y: heightMm - upper }, outward: { x: 0, y: 1 } },
  ];
}
