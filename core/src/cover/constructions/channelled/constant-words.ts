import type { AssumptionWords } from '../../../shop/assumption-words';
import type { CHANNELLED_CONSTANTS } from './constants';

export const CHANNELLED_CONSTANT_WORDS: Readonly<Record<keyof typeof CHANNELLED_CONSTANTS, AssumptionWords>> = {
  channelMm: { meaning: 'width of a channel of a feather case', source: 'from 125 to 150 mm, evened to the case' },
  channelRoundMm: { meaning: 'a channelled panel is cut wider by this for the roundness of each channel', source: 'bench practice' },
  fillFeather: { meaning: 'feather in a case, by its volume', source: 'rule of thumb' },
  fillFeatherDown: { meaning: 'feather and down in a case, by its volume', source: 'rule of thumb' },
  fillDown: { meaning: 'down in a case, by its volume', source: 'rule of thumb' },
  fillFibre: { meaning: 'fibre in a case, by its volume', source: 'rule of thumb' },
};
