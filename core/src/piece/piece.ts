import type { Outline } from '../geometry/outline';
import type { Point } from '../geometry/point';
import type { Figure } from '../kernel/figure';

export type PieceRole =
  | 'plate'
  | 'boxing'
  | 'side-panel'
  | 'plaque'
  | 'welt'
  | 'foam'
  | 'filling'
  | 'wrap-face'
  | 'wrap-border'
  | 'wrap-blanket'
  | 'wrap-end'
  | 'wrap-parcel'
  | 'crown-pad'
  | 'hollow-pad';
/** What a piece is cut from; `old-core`: from the foam that is there already. */
export type PieceMaterial = 'cover' | 'foam' | 'old-core' | 'filling' | 'wadding';
export type MarkKind = 'centre-front' | 'centre-back' | 'corner' | 'zip-end' | 'fold' | 'tie' | 'button';

/** A notch, or where a button goes (then `outward` is nothing): a place on the seam line and the way out of the piece. It is cut from the cut edge towards that place. */
export interface Mark {
  readonly kind: MarkKind;
  readonly at: Point;
  readonly outward: Point;
}

/** One thing to cut. `outline` is the line the knife follows; `sewn`, where there is one, the line the needle follows. */
export interface Piece {
  readonly id: string;
  readonly role: PieceRole;
  /** What it is called where its role alone does not say it. */
  readonly name?: string;
  /** Which of several of a role: strip 2 of 3, layer 1 of 2. */
  readonly part: { readonly index: number; readonly of: number };
  /** Of a layer that is glued up, or wadding that is butted together: which part. */
  readonly glued?: { readonly index: number; readonly of: number };
  readonly material: PieceMaterial;
  /** Foam and other fillings: what it is of, by id. */
  readonly grade: string | null;
  /** The same: its thickness, mm. */
  readonly thicknessMm: number | null;
  readonly countPerCushion: number;
  readonly width: Figure;
  readonly height: Figure;
  readonly outline: Outline;
  readonly sewn: Outline | null;
  readonly marks: readonly Mark[];
  readonly grain: 'with-the-roll' | 'bias' | 'any';
  /** Cut longer by this altogether and trimmed at the join; counted when laying and buying, never in a size. */
  readonly trimMm: number;
  /** Joins inside the piece that are not pieces of their own (bias strips). */
  readonly joins: number;
}

/** A seam: what meets what. `edges` are measured on the pieces, so that a wrong piece shows as an unequal pair. */
export interface Seam {
  readonly id: SeamKind;
  readonly count: number;
  readonly rows: number;
  readonly edges: readonly [SeamEdge, SeamEdge];
  /** How much longer the second edge is on purpose, worked in as it is sewn, mm. */
  readonly easedMm: number;
}

export type SeamKind = 'plaque-slit' | 'plaque-ends' | 'boxing-joins' | 'panel-corners' | 'welt-top' | 'welt-bottom' | 'band-to-top' | 'band-to-bottom';

export interface SeamEdge {
  readonly role: PieceRole;
  readonly lengthMm: number;
}

/** Longest difference between the two edges of a seam that is not eased on purpose, mm. */
export const SEAM_PAIR_MM = 1;

/** The seams whose two edges differ by more than the tolerance. */
export function unequalSeams(seams: readonly Seam[]): Seam[] {
  return seams.filter((seam) => Math.abs(seam.edges[0].lengthMm + seam.easedMm - seam.edges[1].lengthMm) > SEAM_PAIR_MM);
}
