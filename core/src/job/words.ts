import type { FitVerdict } from '../fit/fit';
import type { GIVEN } from '../piece/sizes';
import { schoolNumber } from '../shop/schools';
import type { Shop } from '../shop/shop';
import type { Figure } from '../kernel/figure';
import { formatLength, formatLengthUnit } from '../units/format';
import { pairMm, type Pair, type UnitSystem } from '../units/length';
import type { CushionPlan } from './plan-cushion';
import type { SayIn } from './say';

export const FIT_WORDS: Record<FitVerdict, string> = {
  loose: 'loose',
  roomy: 'roomy',
  taut: 'taut',
  'hard-to-close': 'hard to close',
  'will-not-close': 'will not close',
};

/** What the height of a cushion is called, by the size that was given. */
export const HEIGHT_WORDS: Record<(typeof GIVEN)[number], string> = {
  seat: 'finished height',
  finished: 'finished height',
  core: 'core’s thickness',
  sewn: 'old cover’s height',
};

/** Which school a cushion follows, and the one number it takes otherwise: `Packed ends; core longer, an end: −20 mm, not −13 mm`. */
export function schoolWords({ school, source }: CushionPlan, shop: Shop, { units, step }: SayIn): string {
  if (!school) return '';
  const row = shop.school(school.id, source.schoolEdition);
  const name = source.schoolEdition === undefined ? school.name : `${school.name}, edition ${source.schoolEdition}`;
  if (!school.overridden || !source.schoolNumber || !row) return name;
  const number = schoolNumber(school.overridden);
  const size = (mm: number): string => formatLengthUnit(mm, units, step);
  const usual = number.get(row);
  return `${name}; ${number.word}: ${size(source.schoolNumber.mm)}${usual ? `, not ${size(pairMm(usual, units))}` : ''}`;
}

/** A sentence with its figures put in, lengths in the job's units: `{0} × {1}`. */
export function filled(text: string, figures: readonly Figure[], units: UnitSystem, step: Pair): string {
  return text.replace(/\{(\d+)\}/g, (_, i: string) => formatLength(figures[Number(i)]?.value ?? 0, units, step));
}
