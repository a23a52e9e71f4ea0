import { given, law, type Figure } from '../kernel/figure';
import type { Stock } from '../material/material';
import type { Constants } from '../shop/assumptions';

/** What a volume of a filling costs, at its price a cubic metre; nothing where it has none. */
export function fillingCost({ name, pricePerM3 }: Pick<Stock, 'name' | 'pricePerM3'>, mm3: number): Figure {
  return law(name, '{0} × {1}', [given('m³ of filling', mm3 / 1e9, 'measured', 'count'), given('a m³', pricePerM3, 'material', 'count')], 'count');
}

/** What the spray adhesive of a glued area costs, both faces. */
export function glueCost(mm2: number, assume: Constants): Figure {
  return law(
    'glue',
    '{0} × {1} × {2}',
    [
      given('m² glued', mm2 / 1e6, 'measured', 'count'),
      given('l a m², both faces', assume('adhesivePerM2'), 'shop', 'count'),
      given('a litre', assume('adhesivePrice'), 'shop', 'count'),
    ],
    'count',
  );
}
