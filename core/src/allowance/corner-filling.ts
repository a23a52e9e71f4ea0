import { given, law, plus, sum, volume, type Figure } from '../kernel/figure';
import type { Constants } from '../shop/assumptions';

/** A packed end: so far from the core to the cover, across its whole width. */
export interface PackedEnd {
  readonly gapMm: number;
  readonly widthMm: Figure;
}

// Grams a litre are kilograms a cubic metre.
const densityOf = (assume: Constants): Figure => given('loose wadding, kg/m³', assume('looseFillDensity'), 'shop', 'count');

/** Loose wadding packed into one end, grams. */
export function endFilling({ gapMm, widthMm }: PackedEnd, heightMm: Figure, assume: Constants): Figure {
  return law('in an end', '{0} × {1}', [volume('at an end', [given('an end', gapMm, 'school'), widthMm, heightMm]), densityOf(assume)], 'g');
}

/** Loose wadding worked into the corners, and into both ends of a long cushion where the school packs them; grams. */
export function cornerFilling(corners: number, heightMm: Figure, ends: PackedEnd | null, assume: Constants): Figure {
  const density = densityOf(assume);
  const reach = given('from a corner', assume('cornerReachMm'), 'shop');
  const count = given('corners', corners, 'counted', 'count');
  const filled = law('in the corners', '{0} × {1} × {2}', [count, volume('at a corner', [reach, reach, heightMm]), density], 'g');
  if (!ends || ends.gapMm <= 0) return filled;
  return sum('loose wadding', filled, plus(endFilling(ends, heightMm, assume), 2));
}
