import { isHanded } from '../geometry/measure';
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
  /** Which way its right side faces in the cushion: outlines are drawn from above. `each-way`: half of its copies face up and half down. */
  readonly facing: 'up' | 'down' | 'each-way';
  /** Of its copies for one cushion, so many are cut turned over: their right side faces down and the outline has a left and a right. */
  readonly turned: number;
  /** Whether it is seen in the finished cushion. */
  readonly face: 'visible' | 'hidden';
  /** Cut longer by this altogether and trimmed at the join; counted when laying and buying, never in a size. */
  readonly trimMm: number;
  /** Joins inside the piece that are not pieces of their own (bias strips). */
  readonly joins: number;
}

/** Whether a piece is laid on its material; what is cut out of seamed drops is not, its drops are. */
export const isLaid = ({ partOf }: Pick<Piece, 'partOf'>): boolean => !partOf?.drop;

/**
 * Of a piece's copies for one cushion, how many are the mirror image of its outline on cloth that lies right side up: none where its outline is its own mirror image.
 */
export function turnedCopies({ facing, countPerCushion, outline, material }: Pick<Piece, 'facing' | 'countPerCushion' | 'outline' | 'material'>): number {
  if (facing === 'up' || material.kind !== 'cloth' || !isHanded(outline)) return 0;
  return facing === 'down' ? countPerCushion : Math.floor(countPerCushion / 2);
}

/** How a piece's copies are cut of which some are turned over, in a few words; empty where none is. */
export function turnedWords({ turned, countPerCushion }: Pick<Piece, 'turned' | 'countPerCushion'>): string {
  if (turned === 0) return '';
  if (turned === countPerCushion) return 'turned over';
  return turned === 1 ? 'one turned over' : `${turned} turned over`;
}

/** What most pieces are: one a cushion, no marks, hidden. */
export const PLAIN_PIECE = {
  remark: '',
  part: { index: 1, of: 1 },
  countPerCushion: 1,
  sewn: null,
  marks: [],
  grain: 'any',
  facing: 'up',
  turned: 0,
  face: 'hidden',
  trimMm: 0,
  joins: 0,
} as const satisfies Partial<Piece>;
