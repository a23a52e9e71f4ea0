import type { Outline } from '../geometry/outline';
import type { Point } from '../geometry/point';

/** A part of a plate: the piece, and the seam line inside which it is the one that shows; null for all that is left. */
export interface SkinPlate {
  readonly piece: string;
  readonly within: Outline | null;
}

/** How a face of the cushion lies on its plates: each place of the plan at its own coordinates, unless `lie` is given. */
export interface SkinFace {
  readonly plates: readonly SkinPlate[];
  /** Where the left front corner of the plan's box lies on the piece, and how the plan is stretched from there; `deep` is −1 for a plate that comes back underneath. */
  readonly lie?: { readonly from: Point; readonly across: number; readonly deep: number };
  /** The plate's own seam line where it was domed for its crown. */
  readonly domed?: Outline;
}

/** A run of the band: what stands over a stretch of the rim, between two shares of its height. */
export interface SkinRun {
  readonly piece: string;
  /** Along the plan's seam line from its first point, mm, counter-clockwise. A run may go on beyond the whole round. */
  readonly fromMm: number;
  readonly toMm: number;
  readonly low: number;
  readonly high: number;
  /** The piece's own places at the run's corners, seen from outside: lower left, lower right, upper right, upper left. */
  readonly corners: readonly [Point, Point, Point, Point];
}

/** Which line a welt's cord follows: the rim above, the rim below, or all round one plate that runs over the front. */
export type CordLine = 'upper' | 'lower' | 'over-front';

/** A folded strip of cloth along the outside of the band: a tie laid along it from its mark, or a handle. */
export interface SkinStrap {
  readonly piece: string;
  /** Its ends along the plan's seam line, mm from its first point. It runs clockwise where the second is the lesser. */
  readonly fromMm: number;
  readonly toMm: number;
  readonly wideMm: number;
  /** A tie lies just over the band's lower edge, a handle over its middle. */
  readonly kind: 'tie' | 'handle';
  /** Where the side that is seen begins on the piece: its lower left corner. */
  readonly onPiece: Point;
}

/** How the pieces of a cover lie on the closed cushion. Between its runs the band is looked up by the nearest one. */
export interface Skin {
  readonly upper: SkinFace;
  /** Null where a board closes it. */
  readonly lower: SkinFace | null;
  readonly band: readonly SkinRun[];
  /** The welt's strip along each line that it follows. */
  readonly cords: readonly { readonly piece: string; readonly line: CordLine }[];
  /** What is fastened on its outside. */
  readonly straps?: readonly SkinStrap[];
  /** Where the zip's teeth are seen: a run of the rim, at a share of the height. */
  readonly zip?: { readonly fromMm: number; readonly toMm: number; readonly share: number } | null;
  /** The seam line that the plates meet in where it is not the sewn size's own. */
  readonly rim?: Outline;
}

/** A face on one plate that lies as it is drawn. */
export function flatFace(piece: string): SkinFace {
  return { plates: [{ piece, within: null }] };
}

/** A right-angled strip's run: its own seam line from `x`, `widthMm` of it, between two heights of the piece. */
export function stripRun(
  piece: string,
  place: { readonly fromMm: number; readonly toMm: number; readonly x: number },
  at: { readonly lowerY: number; readonly upperY: number; readonly low?: number; readonly high?: number },
): SkinRun {
  const { fromMm, toMm, x } = place;
  const { lowerY, upperY, low = 0, high = 1 } = at;
  const right = x + toMm - fromMm;
  return {
    piece,
    fromMm,
    toMm,
    low,
    high,
    corners: [
      { x, y: lowerY },
      { x: right, y: lowerY },
      { x: right, y: upperY },
      { x, y: upperY },
    ],
  };
}
