import type { Notion } from '../../cover/contract';
import { formatNumber, formatRun } from '../../units/format';
import type { UnitSystem } from '../../units/length';
import type { CushionPlan } from '../cushion/cushion-plan';

/** What one cushion's cover takes besides cloth: all of it for a new cover, and for an old one that goes back on only what is used on the filled cushion. */
export function notionsOf({ cover, keptCover }: Pick<CushionPlan, 'cover' | 'keptCover'>): readonly Notion[] {
  return (cover?.notions ?? []).filter(({ onFilled }) => onFilled || !keptCover);
}

/** An amount as it is bought: a run, sheets or hides, a count, or a weight in grams or kilograms. */
export function amountWords(sold: Notion['sold'] | 'sheets' | 'hides', value: number, units: UnitSystem): string {
  if (sold === 'run') return formatRun(value, units);
  if (sold === 'weight') return value < 1000 ? `${formatNumber(Math.ceil(value))} g` : `${formatNumber(Math.ceil(value / 10) / 100, 2)} kg`;
  if (sold === 'count') return formatNumber(value);
  return `${formatNumber(value)} ${value === 1 ? sold.slice(0, -1) : sold}`;
}
