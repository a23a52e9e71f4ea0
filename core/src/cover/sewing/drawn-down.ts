import { given, law, type Figure } from '../../kernel/figure';
import type { Sizes } from '../../piece/sizes';
import type { Constants } from '../../shop/assumptions';

/** How deep a tuft or a drawn button lies on each face, mm: the shop's share of the cover's thickness as sewn. */
export function drawnDown({ sewn }: Sizes, assume: Constants): Figure {
  return law('drawn down', '{0} × {1}', [sewn.height, given('of the thickness', assume('tuftDepthShare'), 'shop', 'count')]);
}
