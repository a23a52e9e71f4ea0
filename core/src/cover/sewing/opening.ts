import { edgeLength } from '../../geometry/outline';
import { issue, type Issue } from '../../kernel/issue';
import type { CoverRequest } from '../contract';

/** The smaller side of the core, mm: the one that goes in first. */
export const smallerSide = ({ sizes: { core } }: CoverRequest): number => Math.min(core.width.value, core.depth.value);

/** The opening that a soft core needs, mm, by the smaller side of it: part of that in a bag or as an insert that is pushed in, all of it folded by hand. */
export function softOpening({ contents: { fill, loose }, assume }: CoverRequest, smallerMm: number): number {
  return fill === 'by-hand' && !loose ? smallerMm : smallerMm * assume('softCoreOpening');
}

/** An opening that the core goes in through. */
export interface Opened {
  /** The whole opening, mm. */
  readonly openingMm: number;
  /** What of it shows, where pockets lie over its ends, mm; all of it where it is not said. */
  readonly clearMm?: number;
  /** Round each corner of the back that a stiff core needs open, mm; null where the back's length is no matter. */
  readonly roundCornerMm: number | null;
  /** The choice that lengthens it. */
  readonly path: string;
}

/** An opening too short for its core: a soft one by the way it is filled; one that cannot be squeezed needs the whole of its smaller side, and the back open. */
export function openingProblems(request: CoverRequest, { openingMm, clearMm = openingMm, roundCornerMm, path }: Opened): Issue[] {
  const { contents, sewn, ownZip } = request;
  const smaller = smallerSide(request);
  const back = roundCornerMm === null ? 0 : edgeLength(sewn, 'back') + 2 * roundCornerMm;
  const [thereMm, neededMm] = contents.stiff ? [openingMm, Math.max(smaller, back)] : [clearMm, softOpening(request, smaller)];
  return thereMm < neededMm - 1e-6
    ? [issue('warning', 'zip-too-short-for-core', ownZip ? 'madeForZip' : path, { openingMm: thereMm, neededMm, own: ownZip ? 1 : 0 })]
    : [];
}
