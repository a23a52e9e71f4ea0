import { judge, judgeCover, type Judged } from '../filling/old-core';
import { refreshList, type RefreshItem } from '../filling/refresh';
import type { Shop } from '../shop/shop';
import type { UnitSystem } from '../units/length';
import { refreshCost, replaceCost } from '../cost/old-core-cost';
import { stageReplacements, type Staged } from '../cost/staging';
import type { Figure } from '../kernel/figure';
import type { Cushion } from './document';
import type { CushionPlan } from './plan-cushion';
import type { Plan } from './plan';

/** What looking over one cushion's old core comes to. */
export interface LookedOver {
  readonly judged: Judged;
  readonly refresh: readonly RefreshItem[];
}

/** The verdict on a cushion's old core and what it takes to bring it back, hollows filled with wadding of `padLoftMm`; null while nothing was found of it. */
export function lookedOver({ source, sizes, asked, padLoftMm }: Pick<CushionPlan, 'source' | 'sizes' | 'asked' | 'padLoftMm'>): LookedOver | null {
  const old = source.seat?.old;
  if (!old || !sizes) return null;
  const looked = old.findings.length > 0 || old.middleMm !== undefined || old.hardness25N !== undefined || old.densityKgM3 !== undefined;
  if (!looked && !asked.certified) return null;
  const judged = judge(old, asked);
  const core = { widthMm: sizes.core.width.value, depthMm: sizes.core.depth.value };
  return { judged, refresh: refreshList(old, judged, core, padLoftMm) };
}

/** The old cover's verdict; null where nothing was said of it. */
export function lookedOverCover({ seat }: Cushion): ReturnType<typeof judgeCover> | null {
  return seat?.oldCover ? judgeCover(seat.oldCover.findings) : null;
}

/** How the old cover is made ready to go back on; null where a new one is made: none was looked over, it is past use, or a new one is wanted all the same. */
export function keptCover(cushion: Cushion): 'wash' | 'restitch' | null {
  const judged = lookedOverCover(cushion);
  if (!judged || judged.verdict === 'renew' || cushion.seat?.oldCover?.renew) return null;
  return judged.verdict;
}

/** What refreshing and replacing one old core cost; refreshing is null where it is beyond that. */
export function oldCoreCosts(one: CushionPlan, shop: Shop, units: UnitSystem): { readonly refresh: Figure | null; readonly replace: Figure } | null {
  const looked = lookedOver(one);
  if (!looked || !one.sizes) return null;
  const core = { widthMm: one.sizes.core.width.value, depthMm: one.sizes.core.depth.value };
  const wrapMm = one.wrap?.value ?? 0;
  return {
    refresh: looked.judged.verdict === 'replace' ? null : refreshCost(looked.refresh, core, one.sizes.core.height.value, wrapMm, one.padLoftMm, shop, units),
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
