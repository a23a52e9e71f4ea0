import type { Notion } from '../../cover/contract';
import { formatNumber, formatRun } from '../../units/format';
import type { UnitSystem } from '../../units/length';
import type { CushionPlan } from '../cushion/cushion-plan';

/**
 * What one cushion takes besides cloth, foam and wadding: for a new cover all of it, for an old one that goes back on only what is used on the filled cushion; and what its core
 * and wrap are held together with.
 */
export function notionsOf({ cover, keptCover, coreNotions }: Pick<CushionPlan, 'cover' | 'keptCover' | 'coreNotions'>): readonly Notion[] {
  return [...(cover?.notions ?? []).filter(({ onFilled }) => onFilled || !keptCover), ...coreNotions];
}

/** US fluid ounces in a litre. */
const FLUID_OUNCES = 33.814;

/** A volume of so many litres, rounded up: in 10 ml below a litre, in tenths of a litre above; in inch jobs in fluid ounces. */
function volumeWords(litres: number, units: UnitSystem): string {
  if (units === 'inch') return `${formatNumber(Math.ceil(litres * FLUID_OUNCES - 1e-9))} fl oz`;
  return litres < 1 ? `${formatNumber(Math.ceil(litres * 100 - 1e-9) * 10)} ml` : `${formatNumber(Math.ceil(litres * 10 - 1e-9) / 10, 1)} l`;
}

/** An amount as it is bought: a run, sheets or hides, a count, a weight in grams or kilograms, or a volume. */
export function amountWords(sold: Notion['sold'] | 'sheets' | 'hides', value: number, units: UnitSystem): string {
  if (sold === 'run') return formatRun(value, units);
  if (sold === 'weight') return value < 1000 ? `${formatNumber(Math.ceil(value))} g` : `${formatNumber(Math.ceil(value / 10) / 100, 2)} kg`;
  if (sold === 'volume') return volumeWords(value, units);
  if (sold === 'count') return formatNumber(value);
  return `${formatNumber(value)} ${value === 1 ? sold.slice(0, -1) : sold}`;
}
