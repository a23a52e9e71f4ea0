import type { ZodType } from 'zod';
import type { Sizes } from '../../build/sizes';
import type { Outline } from '../../geometry/outline';
import type { Figure } from '../../kernel/figure';
import type { Issue } from '../../kernel/issue';
import type { Piece, Seam } from '../../piece/piece';
import type { OutlineMark } from '../../template/marks';
import type { Constants } from '../../shop/assumptions';
import type { Notions } from '../notions';

/** What a construction is given: the sizes by the school and the sewn outline, never the template. */
export interface CoverRequest {
  readonly sizes: Sizes;
  /** Seam line of the plates. */
  readonly sewn: Outline;
  /** Cut line of the plates. */
  readonly cut: Outline;
  /** Ties and buttons. */
  readonly marks: readonly OutlineMark[];
  readonly round: Figure;
  /** The crown of the faces that have one, where their plates are bowed out for it. */
  readonly bow: { readonly bowed: Outline; readonly faces: 1 | 2 } | null;
  /** Cloth between its selvedges, mm. */
  readonly usableMm: number;
  readonly clothThicknessMm: number;
  /** The cloth lies turned: the piece's width runs along the roll. */
  readonly railroaded: boolean;
  /** The shop's constants in the job's units. */
  readonly assume: Constants;
}

export interface Cover {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
  readonly notions: Notions;
  readonly opening: Figure;
  /** What a bowed plate has more than its band, eased in as it is sewn; null for flat plates. */
  readonly eased: Figure | null;
  /** Clips in the boxing's allowance so that it follows the curves: in each rounded corner, on each edge. */
  readonly clipsPerCorner: number;
  /** Clips along the other curves are this far apart; null where there are none. */
  readonly clipEveryMm: number | null;
  /** Corners that turn into the cushion. */
  readonly innerCorners: number;
  readonly problems: readonly Issue[];
}

/** A way of making a cover. Self-contained: adding one to the list in `constructions.ts` is all it takes. */
export interface ConstructionModule<C extends { readonly kind: string }> {
  readonly kind: C['kind'];
  /** Words the quick line understands. */
  readonly words: readonly string[];
  readonly schema: ZodType<C>;
  readonly make: (choices: C, request: CoverRequest) => Cover;
}
