import { refreshCost, replaceCost } from './old-core-cost';
import { stageReplacements, type Staged } from './staging';
import type { Judged } from '../../filling/old-core';
import type { Figure } from '../../kernel/figure';
import type { Shop } from '../../shop/shop';
import type { UnitSystem } from '../../units/length';
import { lookedOver } from '../cushion/old/look-over';
import type { Plan } from '../plan';
import type { CushionPlan } from '../cushion/cushion-plan';

/** What refreshing and replacing one old core cost; refreshing is null where it is beyond that. */
export function oldCoreCosts(one: CushionPlan, shop: Shop, units: UnitSystem): { readonly refresh: Figure | null; readonly replace: Figure } | null {
  const looked = lookedOver(one);
  if (!looked || !one.sizes) return null;
  const core = { widthMm: one.sizes.core.width.value, depthMm: one.sizes.core.depth.value };
  const wrapMm = one.wrap?.value ?? 0;
  const refreshing = { items: looked.refresh, core, heightMm: one.sizes.core.height.value, wrapLoftMm: wrapMm, padLoftMm: one.padLoftMm };
  return {
    refresh: looked.judged.verdict === 'replace' ? null : refreshCost(refreshing, shop, units),
    replace: replaceCost(one.source.core.layers, core, wrapMm, shop, units),
  };
}

export interface StagedJob {
  /** Cushions whose old core was looked over, with what each costs. */
  readonly rows: readonly {
    readonly cushion: number;
    readonly verdict: Judged['verdict'];
    readonly refresh: Figure | null;
    readonly replace: Figure;
  }[];
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
  return { rows: rows.map(({ cushion, judged, refresh, replace }) => ({ cushion, verdict: judged.verdict, refresh, replace })), ...staging };
}
