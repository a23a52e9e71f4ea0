import { ownZip } from '../../cover/sewing/own-zip';
import type { SalvagedZip } from '../../material/material';
import type { Shop } from '../../shop/shop';
import { formatLengthUnit } from '../../units/format';
import type { Job } from '../../job/document';
import type { CushionPlan } from '../cushion/cushion-plan';
import type { SayIn } from '../../say/say';

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

/** The longest opening that a salvaged zip closes, mm. */
const closes = (zip: SalvagedZip, { assume, document }: Shop): number => ownZip(zip, (key) => assume(key, document.units)).opening.value;

/** The shop's salvaged zips long enough for an opening, nearest longer first: measured, never read off a label. */
export function fittingZips(openingMm: number, shop: Shop): readonly SalvagedZip[] {
  return shop.document.zips.filter((zip) => closes(zip, shop) >= openingMm - 1e-6).sort((a, b) => closes(a, shop) - closes(b, shop));
}

/** Zips that covers are made for, each into the first of its cushions, whether or not it still stands in the shop's list. */
function madeFor(plans: readonly CushionPlan[]): SalvagedUse[] {
  return plans.flatMap((plan, cushion) => {
    const { madeForZip: zip } = plan.source;
    const closing = plan.keptCover ? undefined : plan.cover?.closings.find((one) => one.kind === 'zip');
    const follows = zip && closing?.kind === 'zip' && closing.setIn !== closing.tape;
    return follows ? [{ zip, cushion, copy: 0, neededMm: zip.lengthMm }] : [];
  });
}

/**
 * Assigns the zips set aside for a job to its openings, each zip once: the longest opening first, and to each the zip that fits with the least to spare. No other
 * assignment serves more cushions, because a zip too short for a long opening may still serve a shorter one later.
 */
export function salvagedUses(job: Job, plans: readonly CushionPlan[], shop: Shop): readonly SalvagedUse[] {
  const wanted = new Set(job.zips ?? []);
  const first = madeFor(plans);
  const taken = (id: string): boolean => first.some(({ zip }) => zip.id === id);
  const free = fittingZips(0, shop).filter(({ id }) => wanted.has(id) && !taken(id));
  const openings = plans
    .flatMap((plan, cushion) => {
      const openingMm = zipOpeningOf(plan);
      return openingMm === null
        ? []
        : Array.from({ length: plan.source.quantity }, (_, copy) => ({ cushion, copy, openingMm })).filter(
            ({ copy }) => !first.some((one) => one.cushion === cushion && one.copy === copy),
          );
    })
    .sort((a, b) => b.openingMm - a.openingMm || a.cushion - b.cushion || a.copy - b.copy);
  const assigned = openings.flatMap(({ openingMm, ...which }): SalvagedUse[] => {
    const at = free.findIndex((zip) => closes(zip, shop) >= openingMm - 1e-6);
    const [zip] = at < 0 ? [] : free.splice(at, 1);
    return zip ? [{ zip, ...which, neededMm: openingMm + zip.lengthMm - closes(zip, shop) }] : [];
  });
  return [...first, ...assigned];
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
