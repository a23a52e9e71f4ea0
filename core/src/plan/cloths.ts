import type { ClothFacts } from '../cover/contract';
import { biasDepth, USUAL_BIAS } from '../cover/welt/bias';
import { natureOf, offered, showsHoles, type Cloth } from '../material/material';
import { CLOTH_SLOTS, type ClothSlot } from '../piece/material-ref';
import type { Shop } from '../shop/shop';
import type { UnitSystem } from '../units/length';
import type { ClothUse, Cushion, Job } from '../job/document';

/** What names the cloths of a cushion. */
export type Clothed = Pick<Cushion, 'slots' | 'cloth'>;

/** Slots that nobody sees: they are never cut from leather or vinyl unless that is asked for. */
const HIDDEN_SLOTS: ReadonlySet<ClothSlot> = new Set(['lining', 'ticking']);

/**
 * The cloth a cushion's slot is of: the one named for it, else the cushion's own main one, else the job's. A lining that nobody named is kept off leather and vinyl:
 * it is of the shop's cheapest woven cloth, where it has one.
 */
export function clothUse(slot: ClothSlot, job: Pick<Job, 'cloth'>, { slots, cloth }: Clothed, shop: Shop): ClothUse {
  const named = slot === 'main' ? undefined : slots?.[slot];
  if (named) return named;
  const main = cloth ?? job.cloth;
  return (HIDDEN_SLOTS.has(slot) && showsHoles(natureOf(shop.cloth(main.material ?? ''))) ? liningOf(shop) : null) ?? main;
}

/** What a lining is cut of that nobody named and that must not be of the main cloth: the woven cloth that costs least for its area; null where there is none. */
function liningOf({ document }: Shop): ClothUse | null {
  const woven = offered(document.cloths).filter((cloth) => natureOf(cloth).kind === 'woven' && !cloth.pattern);
  const [least] = woven.sort((a, b) => a.pricePerM / a.widthMm - b.pricePerM / b.widthMm);
  return least ? { material: least.id, widthMm: least.widthMm } : null;
}

/** The record of the cloth that a cushion's slot is of; undefined for one that is in no catalogue. */
export function materialOf(slot: ClothSlot, job: Pick<Job, 'cloth'>, cushion: Clothed, shop: Shop): Cloth | undefined {
  return shop.cloth(clothUse(slot, job, cushion, shop).material ?? '');
}

/** The name of the cloth that a cushion's slot is of: the catalogue's, or that of a cover cloth that is in no catalogue. */
export function clothWords(slot: ClothSlot, job: Pick<Job, 'cloth'>, cushion: Clothed, shop: Shop): string {
  return materialOf(slot, job, cushion, shop)?.name ?? UNNAMED_CLOTH;
}

/** What a cloth is called that is in no catalogue. */
export const UNNAMED_CLOTH = 'Cover cloth';

/** Two uses of the same cloth, lying the same way, are one name. */
export function clothName({ material, widthMm, railroaded }: ClothUse): string {
  return `${material ?? 'unnamed'} ${widthMm}${railroaded ? ' railroaded' : ''}`;
}

/** The cloth's facts where a material is chosen, else the shop's assumptions. */
export function clothFacts(use: ClothUse, units: UnitSystem, shop: Shop): ClothFacts {
  const material = use.material === undefined ? undefined : shop.cloth(use.material);
  const usableMm = Math.max(0, use.widthMm - 2 * (material?.selvedgeMm ?? shop.assume('selvedgeMm', units)));
  return {
    name: material?.name ?? null,
    usableMm,
    thicknessMm: material?.thicknessMm ?? shop.assume('clothThicknessMm', units),
    railroaded: use.railroaded ?? false,
    oneWay: material?.oneWay ?? true,
    stretches: material?.stretches ?? false,
    ...natureOf(material),
    biasDepthMm: biasDepth(use.bias ?? USUAL_BIAS, usableMm, shop.assume('biasDepthMm', units)),
  };
}

/** The facts of each slot of a cushion; slots of one cloth share one object, so that they can be told from those of another. */
export function slotFacts(job: Pick<Job, 'cloth' | 'units'>, cushion: Clothed, shop: Shop): (slot: ClothSlot) => ClothFacts {
  const known = new Map<string, ClothFacts>();
  const facts = (slot: ClothSlot): ClothFacts => {
    const use = clothUse(slot, job, cushion, shop);
    const name = clothName(use);
    const found = known.get(name) ?? clothFacts(use, job.units, shop);
    known.set(name, found);
    return found;
  };
  const bySlot = new Map(CLOTH_SLOTS.map((slot) => [slot, facts(slot)]));
  return (slot) => bySlot.get(slot) ?? facts('main');
}

/** How much larger a cloth is cut because it shrinks: shares along the roll and across it. Nothing where it is washed first. */
export function shrinkage(use: ClothUse, shop: Shop): { readonly along: number; readonly across: number } {
  const material = use.material === undefined ? undefined : shop.cloth(use.material);
  if (use.washed) return { along: 0, across: 0 };
  return { along: (material?.shrinkAlongPercent ?? 0) / 100, across: (material?.shrinkAcrossPercent ?? 0) / 100 };
}

/** The cloth changed wherever the job uses it. */
export function withClothUse(job: Job, name: string, change: (use: ClothUse) => ClothUse): Job {
  const changed = (use: ClothUse): ClothUse => (clothName(use) === name ? change(use) : use);
  return {
    ...job,
    cloth: changed(job.cloth),
    cushions: job.cushions.map((cushion) => {
      const { slots, cloth } = cushion;
      if (!slots && !cloth) return cushion;
      return {
        ...cushion,
        ...(cloth ? { cloth: changed(cloth) } : {}),
        ...(slots ? { slots: Object.fromEntries(Object.entries(slots).map(([slot, use]) => [slot, changed(use)])) as NonNullable<Cushion['slots']> } : {}),
      };
    }),
  };
}

/** Some of a job's cushions, by their places, in a cloth of their own; null: in the job's. Their other slots stay as they are. */
export function withCushionCloth(job: Job, indexes: readonly number[], use: ClothUse | null): Job {
  return {
    ...job,
    cushions: job.cushions.map((cushion, i) => {
      if (!indexes.includes(i)) return cushion;
      const { cloth: _own, ...rest } = cushion;
      return use && clothName(use) !== clothName(job.cloth) ? { ...rest, cloth: use } : rest;
    }),
  };
}
