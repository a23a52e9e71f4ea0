import { length, ratio, ownAssumptions } from '../../../shop/assumptions';

/** What is assumed for a rolled edge alone. What each means is said in `constant-words.ts`. */
export const ROLLED_EDGE_CONSTANTS = ownAssumptions({
  rollPitchMm: length(38, 1.5),
  rollInsetMm: length(13, 1 / 2),
  rollStitchMm: length(6, 1 / 4),
  easierRollMm: length(13, 1 / 2),
  tuftEveryMm: length(250, 10),
  tuftClearMm: length(60, 2.5),
  tuftTwineMm: length(300, 12),
  rollTwineRatio: ratio(4),
});
