import { pair, type Pair } from '../units/length';

/** An amount added `times` over: twice for both sides, once for one direction only. */
export interface Growth {
  readonly each: Pair;
  readonly times: 0 | 1 | 2;
}

/**
 * An allowance school: the policy that leads from the seat to every cut size. A row of data, read by the one evaluator in `build/sizes.ts`.
 * Every number is a pair, metric | inch.
 */
export interface School {
  readonly id: string;
  readonly name: string;
  readonly idea: string;
  /** finished = seat − this, across and deep. */
  readonly seatGap: Pair;
  readonly seam: Pair;
  /** core = finished + this. */
  readonly coreAcross: Growth;
  readonly coreDeep: Growth;
  readonly coreThickness: Pair;
  /** Long cores go slack at the ends: beyond `beyond`, add `add` for every `per` of length, in proportion. */
  readonly longCore: { readonly beyond: Pair; readonly add: Pair; readonly per: Pair } | null;
  readonly wrap: {
    readonly loft: Pair;
    /** Where wadding lies when there is any. */
    readonly where: 'all-round' | 'faces';
    /** Core thickness over the finished height once wadding lies on the faces, if that differs. */
    readonly coreThicknessWrapped: Pair | null;
    /** Whether the school counts on a wrap to fill the cover. */
    readonly needed: boolean;
  };
  /** sewn boxing = finished height + this. */
  readonly boxingEase: Pair;
}

const ZERO = pair(0, 0);
const SEAM = pair(13, 1 / 2);

const paddedToTheLine: School = {
  id: 'padded-to-the-line',
  name: 'Padded to the line',
  idea: 'Foam and cover are both cut to the finished size; the wrap is not counted and does the filling.',
  seatGap: ZERO,
  seam: SEAM,
  coreAcross: { each: ZERO, times: 0 },
  coreDeep: { each: ZERO, times: 0 },
  coreThickness: ZERO,
  longCore: { beyond: pair(900, 36), add: pair(6, 1 / 4), per: pair(600, 24) },
  wrap: { loft: pair(25, 1), where: 'all-round', coreThicknessWrapped: null, needed: true },
  boxingEase: ZERO,
};

const bareAndOversize: School = {
  id: 'bare-and-oversize',
  name: 'Bare and oversize',
  idea: 'The foam is cut larger than the cover all round and thicker, and compresses into the corners; no wrap, or one on the faces only.',
  seatGap: ZERO,
  seam: SEAM,
  coreAcross: { each: pair(13, 1 / 2), times: 2 },
  coreDeep: { each: pair(13, 1 / 2), times: 2 },
  coreThickness: pair(25, 1),
  longCore: null,
  wrap: { loft: ZERO, where: 'faces', coreThicknessWrapped: ZERO, needed: false },
  boxingEase: ZERO,
};

/** The schools that ship, read-only. A shop's own schools join them as rows of the same kind. */
export const SHIPPED_SCHOOLS: readonly School[] = [paddedToTheLine, bareAndOversize];
