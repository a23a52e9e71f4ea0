import type { AssumptionWords } from '../../../shop/assumption-words';
import type { KNIFE_EDGE_CONSTANTS } from './constants';

export const KNIFE_EDGE_CONSTANT_WORDS: Readonly<Record<keyof typeof KNIFE_EDGE_CONSTANTS, AssumptionWords>> = {
  envelopeOverlapMm: { meaning: 'the two halves of an envelope back overlap by this', source: 'bench practice' },
};
