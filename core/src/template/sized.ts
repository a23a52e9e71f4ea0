import { grow, type Join } from '../geometry/offset';
import type { Outline } from '../geometry/outline';
import { spread } from '../geometry/transform';

/**
 * An outline made larger (or smaller) by so much across and deep altogether: grown all round by half of the lesser, and spread at its middle by what
 * the other direction wants more: never squeezed there, so that no curve loses its highest point. Curves keep their centres; corners are mitred. Null when nothing is left.
 */
export function sized(outline: Outline, acrossMm: number, deepMm: number, join: Join = 'mitre'): Outline | null {
  const even = Math.min(acrossMm, deepMm);
  const grown = grow(outline, even / 2, join);
  if (!grown.ok) return null;
  return spread(spread(grown.outline, 'x', acrossMm - even), 'y', deepMm - even);
}
