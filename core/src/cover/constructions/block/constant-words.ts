import type { AssumptionWords } from '../../../shop/assumption-words';
import type { BLOCK_CONSTANTS } from './constants';

export const BLOCK_CONSTANT_WORDS: Readonly<Record<keyof typeof BLOCK_CONSTANTS, AssumptionWords>> = {
  blockZipInsetMm: { meaning: 'the zip in a block’s base lies this far inside its seam line', source: 'bench practice' },
  blockZipRadiusMm: { meaning: 'radius of the corners of a zip that is sewn round', source: 'no zip turns much tighter' },
  blockStopMm: { meaning: 'tape beyond the slit at each end of the zip in a base', source: 'lining is folded across it as a stop' },
};
