import { given, law, plus, sum, volume, type Figure } from '../kernel/figure';
import type { Constants } from '../shop/assumptions';

/** Loose wadding worked into the corners, and into both ends of a long cushion where the school packs them; grams. */
export function cornerFilling(corners: number, heightMm: Figure, ends: { readonly gapMm: number; readonly widthMm: Figure } | null, assume: Constants): Figure {
  const density = given('loose wadding, kg/m³', assume('looseFillDensity'), 'shop', 'count');
  const reach = given('from a corner', assume('cornerReachMm'), 'shop');
  const count = given('corners', corners, 'counted', 'count');
  // Grams a litre are kilograms a cubic metre.
  const filled = law('in the corners', '{0} × {1} × {2}', [count, volume('at a corner', [reach, reach, heightMm]), density], 'g');
  if (!ends || ends.gapMm <= 0) return filled;
  const gap = given('an end', ends.gapMm, 'school');
  const packed = law('in both ends', '2 × {0} × {1}', [volume('at an end', [gap, ends.widthMm, heightMm]), density], 'g');
  return sum('loose wadding', filled, plus(packed));
}
