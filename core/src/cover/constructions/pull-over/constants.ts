import { length, ratio, ownAssumptions } from '../../../shop/assumptions';

/** What is assumed for a pull-over alone. What each means is said in `constant-words.ts`. */
export const PULL_OVER_CONSTANTS = ownAssumptions({
  stapleTrimMm: length(6, 1 / 4),
  frameEdgeMm: length(50, 2),
  stapleLineMm: length(25, 1),
  stapleHoldMm: length(50, 2),
  crownStripLoftMm: length(25, 1),
  crownStripShare: ratio(0.5),
  dustTurnMm: length(13, 1 / 2),
});
