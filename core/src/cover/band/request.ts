import type { Outline } from '../../geometry/outline';
import type { Figure } from '../../kernel/figure';
import type { PlaquePlaces } from '../plaque/ask';
import type { Plaque } from '../plaque/plaque';
import type { Reached } from './reach';

/** How the boxing's ends meet the zip plaque: seamed to it plainly, folded back as a pocket, with a placket of its own, or hemmed and lapped over it. */
export const ZIP_ENDS = ['plain', 'pocket', 'placket', 'hemmed'] as const;
export type ZipEnds = (typeof ZIP_ENDS)[number];

export interface EndAsk {
  readonly kind: ZipEnds;
  readonly pocket: Figure;
  /** Turned in at a hemmed end, and how far its fold laps over the plaque. */
  readonly hem: Figure;
  readonly lap: Figure;
  readonly placketLength: Figure;
  /** A placket's end is folded back so far short of its other one, mm. */
  readonly placketShortMm: number;
}

/** Where the stitches of a roll go along both edges of plate and band. */
export interface RollMarks {
  readonly alongMm: readonly number[];
  readonly insetMm: number;
}

export interface BoxingRequest {
  /** The plates' seam line. */
  readonly sewn: Outline;
  readonly round: Figure;
  /** Height of the boxing as it is cut, and the allowances of its two seams. */
  readonly cutHeight: Figure;
  readonly lower: Figure;
  readonly upper: Figure;
  readonly seam: Figure;
  /** Seamed at every corner instead of wrapped round. */
  readonly panels: boolean;
  /** The opening, and the plaque that fills it with so much cut beyond it at each end; null where the band has none. */
  readonly opened: { readonly reached: Reached; readonly plaque: (opening: Figure, end: Figure, places: PlaquePlaces) => Plaque } | null;
  /** What is left open for the hand, where it is. */
  readonly handOpening: Figure;
  readonly ends: EndAsk;
  /** Longest strip the cloth gives, mm; Infinity when strips run along the roll. */
  readonly stripMm: number;
  /** Stitches of a roll: mm round the seam line, and how far inside both edges; none where it is not given. */
  readonly roll?: RollMarks | null;
  /** Ties, mm round the seam line. */
  readonly tiesMm: readonly number[];
  readonly jointClearMm: number;
  /** A join is seen from the front so far behind its corners, mm. */
  readonly frontClearMm: number;
  /** Joins of the plates, mm round the seam line: those of the band lie under them. */
  readonly plateJoinsMm: readonly number[];
  readonly trimOffMm: number;
}
