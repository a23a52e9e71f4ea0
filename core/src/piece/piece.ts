import type { Outline } from '../geometry/outline';
import type { Point } from '../geometry/point';
import type { Figure } from '../kernel/figure';
import type { MaterialRef } from './material-ref';

/** What a piece is in its cushion. Constructions share these words; what a piece is called on paper is its own label. */
export type PieceRole =
  // covers
  | 'plate'
  // a whole width of cloth that a wide plate is made of
  | 'drop'
  | 'boxing'
  | 'panel'
  | 'side-panel'
  | 'side-boxing'
  | 'plaque'
  | 'base'
  | 'placket'
  | 'welt'
  | 'band'
  | 'flange'
  | 'edge-strip'
  | 'body'
  | 'end'
  | 'tie'
  | 'handle'
  | 'inner-plate'
  | 'inner-band'
  | 'muslin'
  | 'channel'
  | 'wall'
  | 'dust-cover'
  | 'button'
  | 'patch'
  // fillings
  | 'foam'
  | 'filling'
  | 'felt'
  | 'wrap-face'
  | 'wrap-border'
  | 'wrap-blanket'
  | 'wrap-end'
  | 'wrap-parcel'
  | 'crown-pad'
  | 'hollow-pad';
export type MarkKind = 'centre-front' | 'centre-back' | 'mid' | 'corner' | 'quarter' | 'zip-end' | 'open-end' | 'fold' | 'tie' | 'button' | 'tuft' | 'roll';

/**
 * A notch: a place on the seam line and the direction out of the piece; it is cut from the cut edge towards that place. Or a place on the face that is chalked (a
 * button, a tuft, a stitch of a roll): then `outward` is zero.
 */
export interface Mark {
  readonly kind: MarkKind;
  readonly at: Point;
  readonly outward: Point;
}

/** Whether a mark is cut into the edge; the others are chalked on the face. */
export const isNotch = ({ outward }: Mark): boolean => outward.x !== 0 || outward.y !== 0;

/** One thing to cut. `outline` is the line the knife follows; `sewn`, where there is one, the line the needle follows. */
export interface Piece {
  /** Stable: says what it is, never its place in a list. */
  readonly id: string;
  readonly role: PieceRole;
  /** What is written on it: `boxing 2 of 3`, `foam, layer 1`. */
  readonly label: string;
  /** A few words more for lists; may be empty. */
  readonly remark: string;
  /** Which of several of a role: strip 2 of 3, layer 1 of 2. */
  readonly part: { readonly index: number; readonly of: number };
  /** A part of a plate too wide for its cloth: of which plate, and the seamed drops that it is cut out of; null where it is laid by itself. */
  readonly partOf?: { readonly plate: string; readonly drop: string | null };
  /** Of a layer that is glued up, or wadding that is butted together: which part. */
  readonly glued?: { readonly index: number; readonly of: number };
  readonly material: MaterialRef;
  readonly countPerCushion: number;
  readonly width: Figure;
  readonly height: Figure;
  readonly outline: Outline;
  /** Cut out of its middle: a ring's inside. */
  readonly holes?: readonly Outline[];
  readonly sewn: Outline | null;
  /** Lines on its face along which other pieces are sewn onto it. */
  readonly placements?: readonly Outline[];
  readonly marks: readonly Mark[];
  readonly grain: 'with-the-roll' | 'along-the-hide' | 'bias' | 'any';
  /** Its length runs along the roll instead of across it. */
  readonly alongRoll?: boolean;
  /** Whether it is seen in the finished cushion. */
  readonly face: 'visible' | 'hidden';
  /** Cut longer by this altogether and trimmed at the join; counted when laying and buying, never in a size. */
  readonly trimMm: number;
  /** Joins inside the piece that are not pieces of their own (bias strips). */
  readonly joins: number;
}

/** Whether a piece is laid on its material; what is cut out of seamed drops is not, its drops are. */
export const isLaid = ({ partOf }: Pick<Piece, 'partOf'>): boolean => !partOf?.drop;

/** What most pieces are: one a cushion, no marks, hidden. */
export const PLAIN_PIECE = {
  remark: '',
  part: { index: 1, of: 1 },
  countPerCushion: 1,
  sewn: null,
  marks: [],
  grain: 'any',
  face: 'hidden',
  trimMm: 0,
  joins: 0,
} as const satisfies Partial<Piece>;
