import type { Check } from '../job/document';
import type { CushionPlan } from '../job/plan-cushion';

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

/** What was promised: the finished plan and edge height, and the middle standing proud by the predicted crown of both faces. */
export function promised(plan: CushionPlan): Record<CheckPlace, number> | null {
  const { sizes, fit } = plan;
  if (!sizes) return null;
  const { width, depth, height } = sizes.finished;
  return { widthMm: width.value, depthMm: depth.value, edgeMm: height.value, middleMm: height.value + 2 * (fit?.crownMm ?? 0) };
}

/** The measures of a check beside what was promised. */
export function compare(plan: CushionPlan, check: Partial<Pick<Check, CheckPlace>>): Comparison[] {
  const target = promised(plan);
  if (!target) return [];
  return (Object.keys(CHECK_TOLERANCE) as CheckPlace[]).map((place) => {
    const measuredMm = check[place] ?? null;
    const offMm = measuredMm === null ? null : measuredMm - target[place];
    return { place, promisedMm: target[place], measuredMm, offMm, within: offMm === null ? null : Math.abs(offMm) <= CHECK_TOLERANCE[place] };
  });
}
