import { length, ownAssumptions } from '../../shop/assumptions';

/** What is assumed for what a cover has besides alone. What each means is said in `constant-words.ts`. */
export const EXTRAS_CONSTANTS = ownAssumptions({
  tieLengthMm: length(600, 24),
  tieWidthMm: length(19, 3 / 4),
  tieTurnMm: length(6, 1 / 4),
  handleLengthMm: length(300, 12),
  handleWidthMm: length(30, 1.25),
  buttonMm: length(22, 7 / 8),
  buttonTwineMm: length(300, 12),
  drainInsetMm: length(75, 3),
  drainLapMm: length(13, 1 / 2),
  gripInsetMm: length(13, 1 / 2),
});
