import type { ZodType } from 'zod';
import type { ClosedLines } from '../form/form';
import type { Skin } from '../form/skin';
import type { Outline } from '../geometry/outline';
import type { Figure } from '../kernel/figure';
import type { Issue } from '../kernel/issue';
import type { ClothSlot } from '../piece/material-ref';
import type { Operation } from '../piece/operation';
import type { Piece } from '../piece/piece';
import type { Seam } from '../piece/seam';
import type { RollPlan } from '../piece/roll';
import type { StaplePlan } from '../piece/staples';
import type { ClothNature } from '../material/material';
import type { GivenSize, Sizes } from '../piece/sizes';
import type { Assumed, Constants } from '../shop/assumptions';
import type { Sentences } from '../kernel/sentences';
import type { FillWay } from '../shop/ways';
import type { OwnZip } from './sewing/own-zip';
import type { OutlineMark } from '../template/marks';
import type { UnitSystem } from '../units/length';

/** What a construction has to know of a cloth: how it lies and how it is worked. */
export interface ClothFacts extends ClothNature {
  readonly name: string | null;
  /** Between its selvedges, mm. */
  readonly usableMm: number;
  readonly thicknessMm: number;
  /** The cloth lies turned: the piece's width runs along the roll. */
  readonly railroaded: boolean;
  readonly oneWay: boolean;
  /** Gives like stretch vinyl. */
  readonly stretches: boolean;
  /** How deep across the cloth its bias strips run from edge to edge, mm. */
  readonly biasDepthMm: number;
}

/** What the cover goes round, as far as filling it asks for other steps. */
export interface Contents {
  readonly layers: number;
  /** Its two faces differ: the softer one goes up. */
  readonly softUp: boolean;
  /** Springs are never bagged or compressed. */
  readonly sprung: boolean;
  /** Thickness of each layer of feather, mm. */
  readonly featherMm: readonly number[];
  /** Places where foam would lie on springs. */
  readonly foamOnSprings: number;
  /** The top layer runs down over the front. */
  readonly overFront: boolean;
  /** Goes in as it is, never squeezed through a short opening: springs, compressed slab, a glued-up block. */
  readonly stiff: boolean;
  /** A soft insert by itself, such as feather: pushed in by hand. */
  readonly loose: boolean;
  /** How a core that is neither of these goes in. */
  readonly fill: FillWay;
  /** A word on the core that goes back in: its mark, and whether its old cover is the pattern; empty otherwise. */
  readonly belongs: string;
}

/** What a construction is given: the sizes and their outlines, never the template. */
export interface CoverRequest {
  readonly sizes: Sizes;
  /** Seam line of the plates. */
  readonly sewn: Outline;
  /** Cut line of the plates. */
  readonly cut: Outline;
  readonly core: Outline;
  /** Ties and buttons. */
  readonly marks: readonly OutlineMark[];
  /** Seam line round. */
  readonly round: Figure;
  /** The crown of the faces that have one, where their plates are domed for it. */
  readonly dome: { readonly outline: Outline; readonly faces: 1 | 2 } | null;
  readonly cloth: (slot: ClothSlot) => ClothFacts;
  readonly contents: Contents;
  /** The salvaged zip that the cover is made for; null where new tape, or whichever zip fits, goes into an opening that the choices make. */
  readonly ownZip: OwnZip | null;
  /** Handles kept off the old cover, for each of the cushions. */
  readonly keptHandles: number;
  /** The shop's constants in the job's units. */
  readonly assume: Constants;
}

/** How a cover is closed. */
export type Closing =
  | {
      readonly kind: 'zip';
      readonly reach: string;
      readonly opening: Figure;
      /** New tape for it, as it is cut. */
      readonly tape: Figure;
      /** The zip as it is set in: the new tape, or the salvaged zip that the cover is made for. */
      readonly setIn: Figure;
      readonly sliders: Figure;
    }
  | { readonly kind: 'hand'; readonly opening: Figure }
  /** `tape`: so much of hook, and as much of loop. */
  | { readonly kind: 'hook-and-loop'; readonly opening: Figure; readonly tape: Figure }
  | { readonly kind: 'envelope'; readonly overlap: Figure }
  | { readonly kind: 'staples'; readonly round: Figure; readonly count: Figure };

/** What is bought by length or count besides cloth, foam and wadding; for one cushion. */
export interface Notion {
  readonly ware:
    'zip' | 'slider' | 'hook-and-loop' | 'cord' | 'thread' | 'twine' | 'buttons' | 'eyelets' | 'bag' | 'film' | 'staples' | 'thin-foam' | 'fill' | 'adhesive';
  /** As it stands on the list of what to buy. */
  readonly name: string;
  readonly sold: 'run' | 'count' | 'weight' | 'volume';
  readonly amount: Figure;
  /** Used on the filled cushion: an old cover that goes back on needs it too. */
  readonly onFilled?: true;
}

export interface Cover {
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
  readonly closings: readonly Closing[];
  readonly notions: readonly Notion[];
  readonly operations: readonly Operation[];
  /** Where it is stapled, and in which order; only where it is. */
  readonly staples?: StaplePlan | null;
  /** In which order its edge is rolled and where it is tufted; only where it is. */
  readonly roll?: RollPlan | null;
  /** What a domed plate has more than its band, eased in as it is sewn; null for flat plates. */
  readonly eased: Figure | null;
  /** How its pieces lie on the closed cushion; null where there is nothing to show. */
  readonly skin: Skin | null;
  readonly problems: readonly Issue[];
}

/** The edge of the finished cushion: what the section shows and what the fit model may assume. */
export interface EdgeProfile {
  /** Two faces and a band between them; two faces that meet; ends on a body. */
  readonly kind: 'band' | 'knife' | 'body';
  /** What the cover holds apart at the edge: height of the band as sewn, in the middle of a wedge. */
  readonly heightMm: number;
  /** Radius of the front's upper and lower edge, where the plate runs over them. */
  readonly roundedFront?: { readonly topMm: number; readonly bottomMm: number };
  /** How many faces stand proud, where the construction leaves no choice. */
  readonly crownedFaces: 1 | 2 | null;
  /** Whether the plates can be domed for a crown. */
  readonly domes: boolean;
  /** The underside is a board. */
  readonly onBoard: boolean;
  /** Loft of the wadding that the construction itself lays in the middle of a face, mm. */
  readonly middleLoftMm?: number;
  /** Cord round the edges: its thickness, and whether round both plates or the top one. */
  readonly welt: { readonly cordMm: number; readonly on: 'both' | 'top' } | null;
  /** Whether the fit model holds for it. */
  readonly modelled: boolean;
}

/** What a choice is about: how the cover is made, how it is closed, or what it has besides. */
export type FieldGroup = 'made' | 'closing' | 'extras';

/** One of a construction's choices, as the tray shows it. `key` is the document's own; a value left out is "as the shop has it". */
export type Field<C> = {
  readonly key: keyof C & string;
  readonly label: string;
  /** Which of the tray's parts it stands in; the first where it is not said. */
  readonly group?: Exclude<FieldGroup, 'made'>;
  /** It says how long the opening is: of no account while the cover is made for a salvaged zip. */
  readonly opens?: true;
  /** Shown only then; always where it is not given. */
  shown?(choices: C): boolean;
} & (
  | {
      readonly kind: 'choice';
      readonly options: readonly { readonly value: string; readonly name: string }[];
      readonly usual: string;
      /** Which of them suit the other choices; all where it is not said. One chosen that does not suit is passed over. */
      offered?(choices: C): readonly string[];
      /** Where the usual one depends on other choices, or on how the cloths are worked. */
      usualFor?(choices: C, cloth: (slot: ClothSlot) => ClothNature): string;
    }
  | { readonly kind: 'count'; readonly least: number; readonly most: number; readonly usual: number }
  | {
      readonly kind: 'length';
      readonly minMm: number;
      readonly maxMm: number;
      readonly usual: Assumed | 'school seam' | 'half the height' | 'by its flange' | 'by the thickness';
    }
);

/** The measures that sizes start from. */
export interface SizeAsk {
  readonly given: GivenSize;
  readonly acrossMm: number;
  readonly deepMm: number;
  /** Of the size that was given. */
  readonly heightMm: number;
  readonly system: UnitSystem;
  readonly assume: Constants;
}

/** An outline that a construction is asked to cover. */
export interface Suitor {
  readonly outline: Outline;
  /** A wedge: its two edges differ. */
  readonly sloping: boolean;
}

/** The least that every construction's choices hold; the rest is the construction's own. */
export interface Choices {
  readonly kind: string;
  readonly seamMm?: number | undefined;
  readonly [choice: string]: unknown;
}

/** What there is to say of a cover beside others. */
export interface CoverTraits {
  /** Where its zip shows, in a few words; empty where it has none. */
  readonly zip: string;
  /** Comes off and goes into the wash. */
  readonly washable: boolean;
  /** What its edge looks like. */
  readonly edge: string;
  /** What is hard about making it. */
  readonly hard: string;
}

/** A way of making a cover. It owns its words, pieces, seams and steps: adding one is a folder and a line in `list.ts`. */
export interface Construction<C extends Choices = Choices> {
  readonly kind: C['kind'];
  /** As it is chosen: `boxed`, `knife edge`. */
  readonly name: string;
  /** One sentence on what it is for. */
  readonly idea: string;
  /** What is said of the problems that only it has. */
  readonly sentences?: Sentences;
  /** What the height of the cushion is called, where it is not a height. */
  readonly heightWord?: string;
  /** Words the quick line understands: for the construction itself, and for choices of it. */
  readonly words: readonly string[];
  readonly choiceWords: Readonly<Record<string, Partial<C>>>;
  readonly schema: ZodType<C>;
  defaults(): C;
  readonly fields: readonly Field<C>[];
  /** What can still be corrected in each of its orders of work, and until when, by the value of its choice `order`. */
  readonly orders?: Readonly<Record<string, string>>;
  /** The cloths it can be made of besides the main one. */
  readonly slots: readonly ClothSlot[];
  /** What is usually measured for it; the seat where it is not said. */
  readonly given?: GivenSize;
  /** Why it cannot cover an outline; empty where it can. */
  suits(suitor: Suitor): Issue[];
  /** Its own way from the given size to all others; where it has none, or null, the allowance school leads. */
  sizes?(choices: C, ask: SizeAsk): Sizes | null;
  /** The flange of its welts, and how many of its edges are welted, where it may differ from the seam allowance; null where there is none. `cloth`: how thick the welt's is. */
  flange?(choices: C, welt: { readonly cloth: Figure; readonly assume: Constants }): { readonly flange: Figure; readonly edges: 1 | 2 } | null;
  /** How large its plate and its band are cut, and how large it is sewn, where that is not as the school has it. */
  cutSizes?(choices: C, request: Pick<CoverRequest, 'sizes' | 'assume'>): Partial<Pick<Sizes, 'cut' | 'boxingCut' | 'sewn'>>;
  /** The seam line of its plates, where that is not the sewn size's own outline. */
  seamLine?(sewn: Outline, sizes: Sizes): Outline;
  /** It makes and fills the feather of the filling itself: the feather layers of a core, or all there is. */
  fillsFeather?(choices: C): 'feather' | 'all';
  /** Asks for felt round the springs, or round the whole core where there are none: so thick, or null for the shop's usual one. */
  felt?(choices: C): { readonly mm: number | null };
  make(choices: C, request: CoverRequest): Cover;
  profile(choices: C, sizes: Sizes, assume: Constants): EdgeProfile;
  /** The lines it leaves on the closed cushion, for drawing it. */
  lines(choices: C, of: { readonly widthMm: number; readonly assume: Constants }): ClosedLines;
  /** For laying it beside others. */
  traits(choices: C): CoverTraits;
  /** A few words on the choices: `welted`. */
  says(choices: C): string;
}

/** One construction among others. Each is only ever given choices that its own schema let through, which the type of a list cannot say. */
export function oneOfMany<C extends Choices>(construction: Construction<C>): Construction {
  return construction as unknown as Construction;
}
