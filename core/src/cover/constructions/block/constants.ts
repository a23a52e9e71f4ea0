import { length, ownAssumptions } from '../../../shop/assumptions';

/** What is assumed for a block cover alone. What each means is said in `constant-words.ts`. */
export const BLOCK_CONSTANTS = ownAssumptions({
  blockZipInsetMm: length(50, 2),
  blockZipRadiusMm: length(25, 1),
  blockStopMm: length(25, 1),
});
