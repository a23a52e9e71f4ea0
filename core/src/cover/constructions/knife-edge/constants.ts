import { length, ownAssumptions } from '../../../shop/assumptions';

/** What is assumed for a knife-edge cover alone. What each means is said in `constant-words.ts`. */
export const KNIFE_EDGE_CONSTANTS = ownAssumptions({
  envelopeOverlapMm: length(100, 4),
});
