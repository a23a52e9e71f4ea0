import { given, type Figure } from '../../kernel/figure';
import type { Assumed, Constants } from '../../shop/assumptions';

/** A choice's length as a figure: what was entered, or the shop's constant where nothing was. */
export function enteredOr(name: string, entered: number | undefined, usual: Assumed, assume: Constants): Figure {
  return entered === undefined ? given(name, assume(usual), 'shop') : given(name, entered, 'entered');
}
