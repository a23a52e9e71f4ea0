import { given, law, minus, sum, type Figure } from '../../kernel/figure';
import type { SalvagedZip } from '../../material/material';
import type { Constants } from '../../shop/assumptions';

/** A salvaged zip that a cover is made for: its length as measured, and the opening that it closes. */
export interface OwnZip {
  readonly length: Figure;
  readonly opening: Figure;
}

/** The longest opening that a salvaged zip closes: its length less little at each end where its own stops are still on, less more where a stop is sewn across. */
export function ownZip({ lengthMm, kind }: SalvagedZip, assume: Constants): OwnZip {
  const length = given('salvaged zip', lengthMm, 'measured');
  const end =
    kind === 'closed-end'
      ? given('beyond each end, its stops still on', assume('zipStopsMm'), 'shop')
      : given('a stop sewn across, each end', assume('zipSewnStopMm'), 'shop');
  return { length, opening: law('zip opening', '{0} − 2 × {1}', [length, end]) };
}

/** The opening in the middle of a side `sideMm` long: as long as the zip that the cover is made for, where the side is long enough; otherwise all but `usual` at each end. */
export function openingOnSide(own: OwnZip | null, sideMm: number, usual: Figure): Figure {
  if (own && own.opening.value <= sideMm) return own.opening;
  return sum('zip opening', given('the side', sideMm, 'measured'), minus(usual, 2));
}
