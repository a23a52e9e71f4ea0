import { grow, type Join } from '../geometry/offset';
import type { Outline } from '../geometry/outline';
import { spread } from '../geometry/transform';

/**
 * An outline made larger (or smaller) by given totals across and deep: it is offset all round by half of the lesser amount, then spread at its middle by the rest. It is
 * never squeezed at the middle, so no curve loses its highest point. Arcs keep their centres; corners are mitred. Null when nothing is left.
 */
export function sized(outline: Outline, acrossMm: number, deepMm: number, join: Join = 'mitre'): Outline | null {
  const even = Math.min(acrossMm, deepMm);
  const grown = grow(outline, even / 2, join);
  if (!grown.ok) return null;
  return spread(spread(grown.outline, 'x', acrossMm - even), 'y', deepMm - even);
}
