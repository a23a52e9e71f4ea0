import { withLooks } from '../../../bench/looks';
import type { Ordered } from '../../../bench/order';
import type { Cushion } from '../../../job/document';
import type { Figure } from '../../../kernel/figure';
import type { Operation } from '../../../piece/operation';
import type { Piece } from '../../../piece/piece';
import type { CushionContext } from './context';
import { facesOf } from '../crown';
import type { Known } from '../cushion-plan';
import { savingParts } from '../old/kept-parts';
import type { LookedOver } from '../old/look-over';
import type { Cored } from './step-core';
import type { Covered } from './step-cover';
import type { Sized } from './step-sizes';
import { triedFirst, withPackedEnds } from './fitting-steps';
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
  { sizes, profile, loftMm, testFit }: Sized,
  { cover, muslin, wrapWay, endFilling }: Pick<Covered, 'cover' | 'muslin'> & Pick<Cored, 'wrapWay'> & { readonly endFilling: Figure | null },
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
  const steps = afterSaving(
    savingParts(source, { units: context.units, step: shop.document.step }, assume),
    triedFirst(withPackedEnds(operationsFor(cover, keptCover, core), endFilling, assume), testFit, assume),
  );
  return workOrder(withLooks(steps, assume), { source, job: context, shop, seams: cover.seams, pieces, assume });
}

/** The old cover comes off, and gives what is kept of it, before anything is cut. */
function afterSaving(saved: readonly Operation[], steps: readonly Operation[]): Operation[] {
  const ids = saved.map(({ id }) => id);
  return [...saved, ...steps.map((step) => (ids.length && step.phase === 'cut' ? { ...step, after: [...step.after, ...ids] } : step))];
}
