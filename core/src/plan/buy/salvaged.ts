import type { Shop, ShopDocument } from '../../shop/shop';
import { formatLengthUnit } from '../../units/format';
import type { Job } from '../../job/document';
import type { CushionPlan } from '../cushion/cushion-plan';
import type { SayIn } from '../../say/say';

export type SalvagedZip = ShopDocument['zips'][number];

/** A salvaged zip, and the cushion it goes into: which of the job, and which of those alike, both from 0. */
export interface SalvagedUse {
  readonly zip: SalvagedZip;
  readonly cushion: number;
  readonly copy: number;
  /** Tape that this zip has to have for that cushion, mm. */
  readonly neededMm: number;
}

/** The opening that a cushion's zip closes, mm; null where it has none, or its old cover goes back on. */
export function zipOpeningOf({ cover, keptCover }: CushionPlan): number | null {
  const zip = keptCover ? undefined : cover?.closings.find((one) => one.kind === 'zip');
  return zip?.kind === 'zip' ? zip.opening.value : null;
}

/** Tape that a salvaged zip has beyond the opening at each end, mm: little where its own stops are still on, more where one is sewn across. */
function beyondMm({ kind }: SalvagedZip, { assume, document }: Shop): number {
  return assume(kind === 'closed-end' ? 'zipStopsMm' : 'zipSewnStopMm', document.units);
}

/** The longest opening that a salvaged zip closes, mm. */
const closes = (zip: SalvagedZip, shop: Shop): number => zip.lengthMm - 2 * beyondMm(zip, shop);

/** The shop's salvaged zips long enough for an opening, nearest longer first: measured, never read off a label. */
export function fittingZips(openingMm: number, shop: Shop): readonly SalvagedZip[] {
  return shop.document.zips.filter((zip) => closes(zip, shop) >= openingMm - 1e-6).sort((a, b) => closes(a, shop) - closes(b, shop));
}

/**
 * Assigns the zips set aside for a job to its openings, each zip once: the longest opening first, and to each the zip that fits with the least to spare. No other
 * assignment serves more cushions, because a zip too short for a long opening may still serve a shorter one later.
 */
export function salvagedUses(job: Job, plans: readonly CushionPlan[], shop: Shop): readonly SalvagedUse[] {
  const wanted = new Set(job.zips ?? []);
  const free = fittingZips(0, shop).filter(({ id }) => wanted.has(id));
  const openings = plans
    .flatMap((plan, cushion) => {
      const openingMm = zipOpeningOf(plan);
      return openingMm === null ? [] : Array.from({ length: plan.source.quantity }, (_, copy) => ({ cushion, copy, openingMm }));
    })
    .sort((a, b) => b.openingMm - a.openingMm || a.cushion - b.cushion || a.copy - b.copy);
  return openings.flatMap(({ openingMm, ...which }): SalvagedUse[] => {
    const at = free.findIndex((zip) => closes(zip, shop) >= openingMm - 1e-6);
    const [zip] = at < 0 ? [] : free.splice(at, 1);
    return zip ? [{ zip, ...which, neededMm: openingMm + 2 * beyondMm(zip, shop) }] : [];
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
