import type { Check } from '../job/document';
import { promised, type CheckPlace } from './check';
import type { CushionPlan } from '../plan/cushion/cushion-plan';
import type { Plan } from '../plan/plan';

/** Where a check is held against what was promised: its four measures, and the crown, which is middle less edge. */
export const POINT_PLACES = ['crownMm', 'widthMm', 'depthMm', 'edgeMm', 'middleMm'] as const;
export type PointPlace = (typeof POINT_PLACES)[number];

/** How points may be grouped. */
export const POINT_GROUPS = ['school', 'filling', 'wrap', 'construction'] as const;
export type PointGroup = (typeof POINT_GROUPS)[number];

/** One measure of one check: what was promised, what was measured. */
export interface CheckPoint {
  /** The cushion's place in its job, and the check's in the cushion. */
  readonly cushion: number;
  readonly check: number;
  readonly name: string;
  readonly day: string;
  readonly place: PointPlace;
  readonly promisedMm: number;
  readonly measuredMm: number;
  /** What was promised was kept with the check; otherwise it is what the plan promises now. */
  readonly ofItsDay: boolean;
  readonly groups: Readonly<Record<PointGroup, string>>;
}

function groupsOf({ school, source, construction, wrap }: CushionPlan, plan: Plan): Record<PointGroup, string> {
  const names = source.core.layers.map(({ grade }) => plan.shop.stock(grade)?.name ?? grade);
  return {
    school: school?.name ?? source.school,
    filling: [...new Set(names)].join(' + ') || 'no foam',
    wrap: wrap && wrap.value > 0 ? `${Math.round(wrap.value)} mm` : 'none',
    construction: construction.name,
  };
}

function measures(check: Partial<Pick<Check, CheckPlace>>): Partial<Record<PointPlace, number>> {
  const { widthMm, depthMm, edgeMm, middleMm } = check;
  const all = { widthMm, depthMm, edgeMm, middleMm, crownMm: middleMm !== undefined && edgeMm !== undefined ? middleMm - edgeMm : undefined };
  return Object.fromEntries(Object.entries(all).filter(([, mm]) => mm !== undefined));
}

/** Every measure of a plan's checks beside what was promised. Cushions that cannot be made now, and whose check did not keep its promise, give none. */
export function pointsOf(plan: Plan): CheckPoint[] {
  return plan.cushions.flatMap((one, cushion) =>
    (one.source.checks ?? []).flatMap((check, i): CheckPoint[] => {
      const target = check.promised ?? promised(one);
      if (!target) return [];
      const [promise, found] = [measures(target), measures(check)];
      return POINT_PLACES.flatMap((place): CheckPoint[] => {
        const [promisedMm, measuredMm] = [promise[place], found[place]];
        if (promisedMm === undefined || measuredMm === undefined) return [];
        const about = { cushion, check: i, name: one.source.name, day: check.date, ofItsDay: check.promised !== undefined };
        return [{ ...about, place, promisedMm, measuredMm, groups: groupsOf(one, plan) }];
      });
    }),
  );
}

/** The points of one place, those furthest off first. */
export function furthestFirst<P extends CheckPoint>(points: readonly P[], place: PointPlace): P[] {
  const off = ({ measuredMm, promisedMm }: P): number => Math.abs(measuredMm - promisedMm);
  return points.filter((one) => one.place === place).sort((a, b) => off(b) - off(a));
}
