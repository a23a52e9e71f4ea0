import type { Ordered } from '../../../bench/order';
import type { Cushion } from '../../../job/document';
import type { Piece } from '../../../piece/piece';
import type { CushionContext } from './context';
import { facesOf } from '../crown';
import type { Known } from '../cushion-plan';
import type { LookedOver } from '../old/look-over';
import type { Cored } from './step-core';
import type { Covered } from './step-cover';
import type { Sized } from './step-sizes';
import { coreWork, operationsFor, workOrder } from './work';

/** What the work is done on. */
export interface Workpieces extends Pick<Known, 'keptCover'> {
  readonly looked: LookedOver | null;
  readonly pieces: readonly Piece[];
}

/** The fifth step: everything that is done, in its order. */
export function workedCushion(
  source: Cushion,
  { keptCover, looked, pieces }: Workpieces,
  { sizes, profile, loftMm }: Sized,
  { cover, muslin, wrapWay }: Pick<Covered, 'cover' | 'muslin'> & Pick<Cored, 'wrapWay'>,
  context: CushionContext,
): Ordered {
  const { shop, assume } = context;
  const core = coreWork({
    source,
    shop,
    sizes,
    pieces,
    looked,
    wrapWay,
    wrapped: loftMm > 0,
    faces: facesOf(source, profile),
    onBoard: profile.onBoard,
    muslin,
    assume,
  });
  return workOrder(operationsFor(cover, keptCover, core), { source, job: context, shop, seams: cover.seams, pieces, assume });
}
