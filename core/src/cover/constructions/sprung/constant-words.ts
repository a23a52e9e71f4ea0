import type { AssumptionWords } from '../../../shop/assumption-words';
import type { SPRUNG_CONSTANTS } from './constants';

export const SPRUNG_CONSTANT_WORDS: Readonly<Record<keyof typeof SPRUNG_CONSTANTS, AssumptionWords>> = {
  innerLargerMm: { meaning: 'the inner case of a sprung cushion is larger than its cover by this on every side', source: 'bench practice' },
};
