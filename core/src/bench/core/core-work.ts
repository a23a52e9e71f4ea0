import { perimeter } from '../../geometry/outline';
import type { Figure } from '../../kernel/figure';
import type { Tool } from '../../piece/operation';
import type { Piece } from '../../piece/piece';
import type { Constants } from '../../shop/assumptions';
import type { WrapFix } from '../../shop/schools';

/** What is cut with, as far as the hand must be warned of it. */
export type CutTool = 'saw' | 'knife' | 'hot-wire';

/** What is done to an old core before it goes back in. */
export type Refreshing = 'pad' | 'wrap' | 'frame' | 'glue' | 'splice' | 'air' | 'steam';

/** Everything of a core that its operations are made from. */
export interface CoreWork {
  readonly pieces: readonly Piece[];
  /** Height of the core. */
  readonly coreHighMm: number;
  /** The old core goes back in, or old ones are joined. */
  readonly kept: boolean;
  readonly refresh: readonly Refreshing[];
  readonly tool: CutTool;
  readonly layers: readonly { readonly overFront: boolean; readonly bevelMm: number | null }[];
  /** Of a wedge: the core's height at its thick and its thin edge, and where the thin one is. */
  readonly slope: { readonly thick: Figure; readonly thin: Figure; readonly end: 'front' | 'back' } | null;
  /** The fillings among the layers that are spring units, by id. */
  readonly springs: readonly string[];
  /** Faces that have crown pads. */
  readonly crownedFaces: 1 | 2;
  /** The two faces of the core differ. */
  readonly softUp: boolean;
  /** The grades among the layers that are compressed slab, by id. */
  readonly slabs: readonly string[];
  /** How the wrap is laid on and, where it is not stapled, how its edges are closed, in words; and how it is held. Null without one. */
  readonly wrapping: {
    readonly lay: string;
    readonly close: string;
    readonly fix: WrapFix;
    /** Its corners are cut out and meet on the core's upright edges. */
    readonly mitred: boolean;
  } | null;
  /** The muslin that lies between springs and the foam on them; none where there is none. */
  readonly muslin: Piece | null;
  readonly assume: Constants;
}

/** Wide foam and fine dust, blades and vapour: said where the hand meets them. */
export const CAUTION = {
  saw: 'Foam saw or knife: blade guard down, fingers out of the line; wear a dust mask with old foam.',
  knife: 'Foam knife: long strokes, away from you, fingers out of the line; wear a dust mask with old foam.',
  'hot-wire': 'Hot wire: open the window, the fumes are harmful; it burns, and foam can catch fire: never leave it on.',
  glue: 'Spray adhesive: open the window, nothing burning near, keep overspray off the faces.',
  springs: 'Springs are under load: look the unit’s covering over for tears before it goes in.',
  edgeOnly: 'Glue only at the edge, never on a face: a hard spot is felt.',
  staples: 'Staples in the edge seam only, where nothing bears on them: on a face they are felt and tear the wadding.',
  loose: 'Nothing holds it: loose wadding rolls up. Hold it flat while the cover goes on.',
  mould: 'Old dust and mould: wear a mask.',
} as const;

/** What foam is cut with, as it is laid out. */
export const CUT_WITH = { saw: 'foam saw', knife: 'foam knife', 'hot-wire': 'hot wire' } as const satisfies Record<CoreWork['tool'], Tool>;

export const ids = (pieces: readonly Piece[]): string[] => pieces.map(({ id }) => id);
/** Length of the cuts round all copies of a piece, mm. */
export const round = (piece: Piece): number => piece.countPerCushion * perimeter(piece.outline);
