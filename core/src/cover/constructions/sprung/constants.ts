import { length, ownAssumptions } from '../../../shop/assumptions';

/** What is assumed for a sprung cushion alone. What each means is said in `constant-words.ts`. */
export const SPRUNG_CONSTANTS = ownAssumptions({
  innerLargerMm: length(6, 1 / 4),
});
