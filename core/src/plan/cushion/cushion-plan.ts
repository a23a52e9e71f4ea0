import type { Outlines } from '../../allowance/outlines';
import type { Cover, EdgeProfile, FieldGroup, Notion } from '../../cover/contract';
import type { Asked } from '../../filling/old-core';
import type { Fit, FitRequest } from '../../fit/fit';
import type { ClosedLines } from '../../form/form';
import type { Outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import type { Figure } from '../../kernel/figure';
import type { Issue } from '../../kernel/issue';
import type { Operation } from '../../piece/operation';
import type { Piece } from '../../piece/piece';
import type { Sizes } from '../../piece/sizes';
import type { School, WrapWay } from '../../shop/schools';
import type { Cushion } from '../../job/document';
import type { PlannedCrown } from './crown';
import type { LookedOver } from './old/look-over';
import type { PlannedLongCore } from './old/old-cores';

/** What a cushion's construction is called; its way of working stays in its module, so that a plan is data and can be sent from one thread to another. */
export interface ConstructionWords {
  readonly kind: string;
  readonly name: string;
  /** A few words on its choices; may be empty. */
  readonly detail: string;
  /** The groups that it has choices in. */
  readonly groups: readonly FieldGroup[];
}

/** What is known of a cushion whether or not it can be made. Paths of its problems start at the cushion, or with `cloth` at the job. */
export interface Known {
  /** The very object that was planned: what `previous` is recognised by. */
  readonly source: Cushion;
  readonly construction: ConstructionWords;
  /** The template's outline as it was measured; null where its measures make none. */
  readonly seat: Outline | null;
  /** What the seat asks of its core, for judging the old one. */
  readonly asked: Asked;
  /** Loft of the wadding that fills a hollow, mm. */
  readonly padLoftMm: number;
  /** The old cover goes back on, made ready like this; null where a new one is made. */
  readonly keptCover: 'wash' | 'restitch' | null;
  readonly problems: readonly Issue[];
}

/** A cushion that cannot be made as it stands: its problems say why, and nothing more is derived. */
export interface Blocked extends Known {
  readonly state: 'blocked';
  readonly school: School | null;
  readonly sizes: null;
  readonly outlines: null;
  readonly profile: null;
  readonly lines: null;
  readonly wrap: null;
  readonly wrapWay: WrapWay;
  readonly cornerFilling: null;
  readonly pieces: readonly [];
  readonly cuts: readonly [];
  readonly cover: null;
  readonly coreNotions: readonly [];
  readonly operations: readonly [];
  readonly looked: null;
  readonly fit: null;
  readonly fitRequest: null;
  readonly crown: null;
  readonly longCore: null;
}

/** Everything derived from a cushion that can be made. */
export interface Planned extends Known {
  readonly state: 'planned';
  readonly school: School;
  readonly sizes: Sizes;
  /** In one frame: the finished one's box lies at the origin. */
  readonly outlines: Outlines;
  readonly profile: EdgeProfile;
  /** What is seen of the cover when it is closed. */
  readonly lines: ClosedLines;
  readonly wrap: Figure;
  readonly wrapWay: WrapWay;
  /** Loose wadding for corners and packed ends, grams. */
  readonly cornerFilling: Figure | null;
  readonly pieces: readonly Piece[];
  /** The pieces as they are laid, in the order of `pieces`. */
  readonly cuts: readonly Cut[];
  /** The cover as it is made, or as the old one was: then it is neither cut, bought nor sewn. */
  readonly cover: Cover;
  /** What core and wrap are held together with. */
  readonly coreNotions: readonly Notion[];
  /** The work order, every step after what it waits for. */
  readonly operations: readonly Operation[];
  /** What looking over the old core comes to. */
  readonly looked: LookedOver | null;
  readonly fit: Fit | null;
  /** What the fit was worked out from. */
  readonly fitRequest: FitRequest | null;
  readonly crown: PlannedCrown | null;
  /** One long core out of old ones, where some were put in. */
  readonly longCore: PlannedLongCore | null;
}

export type CushionPlan = Blocked | Planned;

/** A piece made ready for laying: its polygon with the trim-off in it, and a name for that content. */
export interface Cut {
  readonly piece: Piece;
  readonly polygon: readonly Point[];
  readonly count: number;
  /** Copies that are cut turned over: the polygon is the mirror image. */
  readonly turned: boolean;
  readonly hash: string;
}

/** A cushion that cannot be made: what is known of it, and why. */
export function blocked(known: Omit<Known, 'problems'>, school: School | null, problems: readonly Issue[]): Blocked {
  return {
    ...known,
    problems,
    state: 'blocked',
    school,
    sizes: null,
    outlines: null,
    profile: null,
    lines: null,
    wrap: null,
    wrapWay: 'faces',
    cornerFilling: null,
    pieces: [],
    cuts: [],
    cover: null,
    coreNotions: [],
    operations: [],
    looked: null,
    fit: null,
    fitRequest: null,
    crown: null,
    longCore: null,
  };
}

/** The questions of a cushion that have no answer yet. */
export function unanswered({ crown, longCore }: CushionPlan): readonly (PlannedCrown | PlannedLongCore)[] {
  return [crown, longCore].filter((one) => one !== null).filter((one) => one.answer === null);
}
