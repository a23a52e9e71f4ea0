import { joinCost, refreshCost, replaceCost } from './old-core-cost';
import { oldestPrice } from './prices';
import { stageReplacements, type Staged } from './staging';
import type { Judged } from '../../filling/old-core';
import type { Figure } from '../../kernel/figure';
import type { Shop } from '../../shop/shop';
import type { UnitSystem } from '../../units/length';
import { lookedOver } from '../cushion/old/look-over';
import type { Plan } from '../plan';
import type { CushionPlan } from '../cushion/cushion-plan';

/** What becomes of one old core in money. */
export interface OldCoreCosts {
  /** Null where it is beyond that. */
  readonly refresh: Figure | null;
  readonly replace: Figure;
  /** The oldest day that a price of new foam and wadding is of; null where one has none. */
  readonly pricedOn: string | null;
}

/** What refreshing and replacing one old core cost; null where it was not looked over. */
export function oldCoreCosts(one: CushionPlan, shop: Shop, units: UnitSystem): OldCoreCosts | null {
  const looked = lookedOver(one);
  if (!looked || !one.sizes) return null;
  const core = { widthMm: one.sizes.core.width.value, depthMm: one.sizes.core.depth.value };
  const wrapMm = one.wrap?.value ?? 0;
  const refreshing = { items: looked.refresh, core, heightMm: one.sizes.core.height.value, wrapLoftMm: wrapMm, padLoftMm: one.padLoftMm };
  return {
    refresh: looked.judged.verdict === 'replace' ? null : refreshCost(refreshing, shop, units),
    replace: replaceCost(one.source.core.layers, core, wrapMm, shop, units),
    pricedOn: newPrice(one, wrapMm, shop),
  };
}

/** The oldest day that the prices of a new core, and of its wrap, are of; null where one has none. */
function newPrice({ source }: CushionPlan, wrapMm: number, shop: Shop): string | null {
  return oldestPrice([...source.core.layers.map(({ grade }) => shop.stock(grade)?.pricedOn), ...(wrapMm > 0 ? [shop.waddingNear(wrapMm)?.pricedOn] : [])]);
}

/** What it costs to join old cores to one long core, beside a new one; null where none are, or they cannot be joined. */
export function longCoreCosts(
  one: CushionPlan,
  shop: Shop,
  units: UnitSystem,
): { readonly join: Figure; readonly replace: Figure; readonly pricedOn: string | null } | null {
  const answer = one.longCore?.answer;
  if (answer?.kind !== 'plan' || !one.sizes) return null;
  const core = { widthMm: one.sizes.core.width.value, depthMm: one.sizes.core.depth.value };
  const wrapLoftMm = one.wrap?.value ?? 0;
  return {
    join: joinCost({ ...answer.plan, core, heightMm: one.sizes.core.height.value, wrapLoftMm, padLoftMm: one.padLoftMm }, shop, units),
    replace: replaceCost(one.source.core.layers, core, wrapLoftMm, shop, units),
    pricedOn: newPrice(one, wrapLoftMm, shop),
  };
}

export interface StagedJob {
  /** Cushions whose old core was looked over, with what each costs. */
  readonly rows: readonly (OldCoreCosts & { readonly cushion: number; readonly verdict: Judged['verdict'] })[];
  /** By index of `rows`, worst first. */
  readonly staged: readonly Staged[];
  readonly spent: number;
}

/** All old cores of a job, and which replacements its budget pays now. */
export function stagedJob(plan: Plan): StagedJob {
  const rows = plan.cushions.flatMap((one, cushion) => {
    const [looked, costs] = [lookedOver(one), oldCoreCosts(one, plan.shop, plan.job.units)];
    return looked && costs ? [{ cushion, quantity: one.source.quantity, judged: looked.judged, ...costs }] : [];
  });
  const staging = stageReplacements(
    rows.map(({ judged, quantity, replace }) => ({ judged, quantity, replaceCost: replace.value })),
    plan.job.budget ?? null,
  );
  return {
    rows: rows.map(({ cushion, judged, refresh, replace, pricedOn }) => ({ cushion, verdict: judged.verdict, refresh, replace, pricedOn })),
    ...staging,
  };
}
