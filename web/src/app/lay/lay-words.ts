import {
  amountWords,
  anewWords,
  formatMoney,
  formatNumber,
  priceCaution,
  remnantWords,
  wasteOf,
  type LaySubject,
  type Plan,
  type PlannedLay,
  type SayIn,
  type Shop,
} from '@yardland/core';

/** What a lay is on: the material, a remnant of it, or what is left of that once it is cut. */
export function layWords(lay: PlannedLay, shop: Shop | null, inWords: SayIn): string {
  const { subject, remnant, recutOf } = lay;
  const kept = shop?.document.remnants.find(({ id }) => id === remnant);
  const on = shop && kept ? `, ${remnantWords(kept, shop, inWords)}` : '';
  const name = recutOf !== null && subject.kind === 'cloth' ? subject.name : subjectWords(subject, shop, inWords);
  return name + on + anewWords(lay);
}

function subjectWords(subject: LaySubject, shop: Shop | null, { units, step }: SayIn): string {
  if (subject.kind === 'cloth') return subject.slots.includes('main') ? `cover cloth, ${subject.name}` : `${subject.slots.join(' and ')}, ${subject.name}`;
  if (subject.kind === 'wadding') return shop?.document.waddings.find((one) => one.id === subject.material)?.name.toLowerCase() ?? 'wadding';
  return `${shop?.grade(subject.grade)?.name ?? subject.grade}, ${formatNumber(units === 'inch' ? subject.thicknessMm / 25.4 : subject.thicknessMm, units === 'inch' && step ? 2 : 0)} ${units === 'inch' ? 'in' : 'mm'}`;
}

/** What of a lay's material is neither in pieces nor worth keeping: its weight, its share of the price, and how old that price is; null where there is nothing to say yet. */
export function wasteWords(plan: Plan | null, layKey: string, day: string): { readonly weight: string; readonly money: string } | null {
  const waste = plan && wasteOf(plan).find((one) => one.layKey === layKey);
  if (!waste) return null;
  const { money, pricedOn, wasteKg } = waste;
  return {
    weight: amountWords('weight', wasteKg * 1000, plan.job.units),
    money: money === null ? '' : [`about ${formatMoney(money)}`, priceCaution(pricedOn, day)].filter(Boolean).join('; '),
  };
}
