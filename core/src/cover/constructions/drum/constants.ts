import { length, ownAssumptions } from '../../../shop/assumptions';

/** What is assumed for a drum alone. What each means is said in `constant-words.ts`. */
export const DRUM_CONSTANTS = ownAssumptions({
  boardOverhangMm: length(6, 1 / 4),
  boardTurnMm: length(6, 1 / 4),
  flangeWideMm: length(50, 2),
  boardMm: length(18, 3 / 4),
  edgeStripOverMm: length(25, 1),
  sewPastMm: length(25, 1),
});
