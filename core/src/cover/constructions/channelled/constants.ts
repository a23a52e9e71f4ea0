import { length, plain, ownAssumptions } from '../../../shop/assumptions';

/** What is assumed for a channelled cushion alone. What each means is said in `constant-words.ts`. */
export const CHANNELLED_CONSTANTS = ownAssumptions({
  channelMm: length(138, 5.5),
  channelRoundMm: length(10, 3 / 8),
  fillFeather: plain(35, 'kg/m³'),
  fillFeatherDown: plain(28, 'kg/m³'),
  fillDown: plain(18, 'kg/m³'),
  fillFibre: plain(16, 'kg/m³'),
});
