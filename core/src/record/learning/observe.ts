import { fit, type FitRequest } from '../../fit/fit';
import type { Check } from '../../job/document';
import type { CushionPlan } from '../../plan/cushion/cushion-plan';
import type { Constants } from '../../shop/assumptions';
import { promised } from '../check';

/** The constants that a check can tell about, by their keys in the shop's calibration. */
export const LEARNT = ['waddingLoftShare', 'sideLoftShare', 'waddingPa'] as const;
export type LearntKey = (typeof LEARNT)[number];
export type Theta = Readonly<Record<LearntKey, number>>;

/** What hands measure to, mm, on the middle less the edge. */
export const SIGMA_MM = 2;

/** A check as the learning sees it: what was measured, and what the model says it would be under other constants. */
export interface Observation {
  readonly school: string;
  /** Middle less edge, mm, as it was measured. */
  readonly measuredMm: number;
  /** The same under these constants. */
  readonly model: (theta: Theta) => number;
}

/** The fit asked anew with other constants, from what it was asked with those in use. */
function asked(request: FitRequest, used: Theta, theta: Theta): FitRequest {
  const [face, side] = [theta.waddingLoftShare / used.waddingLoftShare, theta.sideLoftShare / used.sideLoftShare];
  return {
    ...request,
    wrapLoftMm: request.wrapLoftMm * face,
    padLoftMm: request.padLoftMm * face,
    sideLoftAcrossMm: request.sideLoftAcrossMm * side,
    sideLoftAlongMm: request.sideLoftAlongMm * side,
    waddingPa: theta.waddingPa,
  };
}

/** What a check of a planned cushion tells; null where middle or edge was not measured, or no crown is predicted well enough to be held against it. */
export function observed(plan: CushionPlan, check: Check, used: Theta, assume: Constants): Observation | null {
  const { fitRequest: request, fit: predicted, school } = plan;
  const target = promised(plan);
  if (!request || !predicted || predicted.rough || !school || !target || check.middleMm === undefined || check.edgeMm === undefined) return null;
  // On a wedge the middle differs from the edge without any crown.
  const flatMm = target.middleMm - target.edgeMm - request.crownedFaces * predicted.crownMm;
  return {
    school: school.id,
    measuredMm: check.middleMm - check.edgeMm,
    model: (theta) => flatMm + request.crownedFaces * fit(asked(request, used, theta), assume).crownMm,
  };
}
