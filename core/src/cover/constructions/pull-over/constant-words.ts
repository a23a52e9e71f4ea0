import type { AssumptionWords } from '../../../shop/assumption-words';
import type { PULL_OVER_CONSTANTS } from './constants';

export const PULL_OVER_CONSTANT_WORDS: Readonly<Record<keyof typeof PULL_OVER_CONSTANTS, AssumptionWords>> = {
  stapleTrimMm: { meaning: 'cloth left beyond the staples when it is trimmed', source: 'bench practice' },
  frameEdgeMm: { meaning: 'height of a frame’s edge under a cushion that is pulled over it', source: 'measured on the frame where it is known' },
  stapleLineMm: { meaning: 'the staples under a frame lie this far in from its edge', source: 'bench practice' },
  stapleHoldMm: { meaning: 'cloth beyond the staples, to hold and pull by', source: 'bench practice' },
  crownStripLoftMm: { meaning: 'loft of the strip of wadding that gives a pull-over its crown', source: 'bench practice' },
  crownStripShare: { meaning: 'width of that strip, as a share of the frame’s', source: 'assumed' },
  dustTurnMm: { meaning: 'turned in all round a dust cover', source: 'bench practice' },
};
