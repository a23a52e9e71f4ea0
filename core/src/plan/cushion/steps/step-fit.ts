import { fit, type Fit, type FitRequest } from '../../../fit/fit';
import type { Cushion } from '../../../job/document';
import type { Issue } from '../../../kernel/issue';
import type { CushionContext } from './context';
import { fitProblems, fitRequestOf } from '../fit';
import type { Cored } from './step-core';
import type { Covered } from './step-cover';
import type { Sized } from './step-sizes';
import { laidLoft } from '../wrap';

/** How taut the cover lies on what is in it. */
export interface Fitted {
  readonly fit: Fit | null;
  /** What it was worked out from; null where the model does not hold for the construction or a layer is unknown. */
  readonly fitRequest: FitRequest | null;
  readonly problems: readonly Issue[];
}

/** The fourth step: the fit of the cover on the core that lies there. */
export function fittedCushion(
  cushion: Cushion,
  { school, profile, loftMm }: Sized,
  { crown, stretches }: Covered,
  { lying, wrapWay, rolls, cutCore }: Cored,
  { shop, assume }: CushionContext,
): Fitted {
  const fitRequest = profile.modelled
    ? fitRequestOf(cushion, lying.sizes, {
        // What is laid counts: the roll that the shop has, not the loft that was asked for.
        loftMm: laidLoft(loftMm, rolls, shop),
        padLoftMm: laidLoft(cushion.crown?.pads?.loftMm ?? 0, rolls, shop),
        way: wrapWay,
        school,
        stretches,
        assume,
        shop,
        crown: crown?.answer ?? null,
        profile,
        outlines: lying.outlines,
        heightShare: cutCore?.heightShare ?? 1,
      })
    : null;
  const prediction = fitRequest && fit(fitRequest, assume);
  return { fit: prediction, fitRequest, problems: prediction ? fitProblems(prediction, lying.sizes, loftMm, school, assume) : [] };
}
