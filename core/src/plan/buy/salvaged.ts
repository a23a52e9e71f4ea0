import type { Shop, ShopDocument } from '../../shop/shop';
import { formatLengthUnit } from '../../units/format';
import type { Job } from '../../job/document';
import type { CushionPlan } from '../cushion/plan-cushion';
import type { SayIn } from '../../say/say';

export type SalvagedZip = ShopDocument['zips'][number];

/** A salvaged zip, and the cushion it goes into: which of the job, and which of those alike, both from 0. */
export interface SalvagedUse {
  readonly zip: SalvagedZip;
  readonly cushion: number;
  readonly copy: number;
  /** Tape that cushion asks for, mm. */
  readonly neededMm: number;
}

/** Tape that a cushion's zip asks for, mm; null where it has none, or its old cover goes back on. */
export function tapeOf({ cover, keptCover }: CushionPlan): number | null {
  const zip = keptCover ? undefined : cover?.closings.find((one) => one.kind === 'zip');
  return zip?.kind === 'zip' ? zip.tape.value : null;
}

/** The shop's salvaged zips long enough for a cushion, nearest longer first: measured, never read off a label. */
export function fittingZips(neededMm: number, shop: Shop): readonly SalvagedZip[] {
  return shop.document.zips.filter(({ lengthMm }) => lengthMm >= neededMm - 1e-6).sort((a, b) => a.lengthMm - b.lengthMm);
}

/**
 * The zips set aside for a job, each once, over all its cushions: the longest need first, and to each the shortest that is long enough. No other assignment serves
 * more cushions: what a shorter zip cannot do for a longer need, it can do for a later one.
 */
export function salvagedUses(job: Job, plans: readonly CushionPlan[], shop: Shop): readonly SalvagedUse[] {
  const wanted = new Set(job.zips ?? []);
  const free = shop.document.zips.filter(({ id }) => wanted.has(id)).sort((a, b) => a.lengthMm - b.lengthMm);
  const needs = plans
    .flatMap((plan, cushion) => {
      const neededMm = tapeOf(plan);
      return neededMm === null ? [] : Array.from({ length: plan.source.quantity }, (_, copy) => ({ cushion, copy, neededMm }));
    })
    .sort((a, b) => b.neededMm - a.neededMm || a.cushion - b.cushion || a.copy - b.copy);
  return needs.flatMap((need): SalvagedUse[] => {
    const at = free.findIndex(({ lengthMm }) => lengthMm >= need.neededMm - 1e-6);
    const [zip] = at < 0 ? [] : free.splice(at, 1);
    return zip ? [{ zip, ...need }] : [];
  });
}

/** What one cushion of a job takes out of stock instead of a new zip, a line each: `Salvaged zip 760 mm black, closed ends, from orchestra chairs`. */
export function salvagedWords(uses: readonly SalvagedUse[], cushion: number, { units, step }: SayIn): readonly string[] {
  return uses
    .filter((use) => use.cushion === cushion)
    .map(({ zip: { lengthMm, colour, kind, from } }) =>
      [
        `Salvaged zip ${formatLengthUnit(lengthMm, units, step)} ${colour}`,
        ...(kind === 'closed-end' ? ['closed ends'] : []),
        ...(from ? [`from ${from}`] : []),
      ].join(', '),
    );
}
