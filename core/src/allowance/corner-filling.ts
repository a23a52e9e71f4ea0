import { given, law, plus, sum, type Figure } from '../kernel/figure';
import type { Constants } from '../shop/assumptions';

/** Loose wadding worked into the corners, and into both ends of a long cushion where the school packs them; grams. */
export function cornerFilling(corners: number, heightMm: Figure, ends: { readonly gapMm: number; readonly widthMm: Figure } | null, assume: Constants): Figure {
  const density = given('loose wadding, kg/m³', assume('looseFillDensity'), 'shop', 'count');
  const reach = given('from a corner', assume('cornerReachMm'), 'shop');
  const count = given('corners', corners, 'counted', 'count');
  const filled = law(
    'in the corners',
    '{0} × {1}² × {2} × {3}',
    [count, reach, heightMm, density],
    (n = 0, r = 0, h = 0, rho = 0) => n * r * r * h * rho * 1e-6,
    'g',
  );
  if (!ends || ends.gapMm <= 0) return filled;
  const gap = given('an end', ends.gapMm, 'school');
  const packed = law(
    'in both ends',
    '2 × {0} × {1} × {2} × {3}',
    [gap, ends.widthMm, heightMm, density],
    (g = 0, w = 0, h = 0, rho = 0) => 2 * g * w * h * rho * 1e-6,
    'g',
  );
  return sum('loose wadding', filled, plus(packed));
}
