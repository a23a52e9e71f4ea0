import type { Check } from '../job/document';
import type { CushionPlan } from '../plan/cushion/cushion-plan';

export type CheckPlace = 'widthMm' | 'depthMm' | 'edgeMm' | 'middleMm';

export interface Comparison {
  readonly place: CheckPlace;
  readonly promisedMm: number;
  readonly measuredMm: number | null;
  /** measured − promised. */
  readonly offMm: number | null;
  readonly within: boolean | null;
}

/** A dressed cushion is as promised when plan and edge are within these, mm; soft goods cannot be measured finer. */
export const CHECK_TOLERANCE: Record<CheckPlace, number> = { widthMm: 6, depthMm: 6, edgeMm: 6, middleMm: 10 };

/**
 * What a dressed cushion measures when all went as planned: the cover as it is sewn, a flat plate drawn in by its crown, and the middle standing proud by the
 * predicted crown of each face that has one. A wedge is measured at its thick edge, and in the middle of its slope.
 */
export function promised({ sizes, fit, fitRequest, crown, source }: CushionPlan): Record<CheckPlace, number> | null {
  if (!sizes) return null;
  const { width, depth, height } = sizes.sewn;
  const drawn = source.crown?.way === 'flat' ? crown?.answer : null;
  const middle = sizes.slope ? (height.value + sizes.slope.sewn.value) / 2 : height.value;
  return {
    widthMm: width.value - (drawn?.drawInAcrossMm ?? 0),
    depthMm: depth.value - (drawn?.drawInAlongMm ?? 0),
    edgeMm: height.value,
    middleMm: middle + (fitRequest?.crownedFaces ?? 0) * (fit?.crownMm ?? 0),
  };
}

/** The measures of a check beside what was promised: on the day it was measured, where that was kept with it. */
export function compare(plan: CushionPlan, check: Partial<Pick<Check, CheckPlace | 'promised'>>): Comparison[] {
  const target = check.promised ?? promised(plan);
  if (!target) return [];
  return (Object.keys(CHECK_TOLERANCE) as CheckPlace[]).map((place) => {
    const measuredMm = check[place] ?? null;
    const offMm = measuredMm === null ? null : measuredMm - target[place];
    return { place, promisedMm: target[place], measuredMm, offMm, within: offMm === null ? null : Math.abs(offMm) <= CHECK_TOLERANCE[place] };
  });
}
