import type { AssumptionWords } from '../../../shop/assumption-words';
import type { ROLLED_EDGE_CONSTANTS } from './constants';

export const ROLLED_EDGE_CONSTANT_WORDS: Readonly<Record<keyof typeof ROLLED_EDGE_CONSTANTS, AssumptionWords>> = {
  rollPitchMm: { meaning: 'from stitch to stitch of a rolled edge', source: 'bench practice; others take 50 mm or 2 in' },
  rollInsetMm: { meaning: 'the stitches of a rolled edge lie this far in from the seam', source: 'bench practice' },
  rollStitchMm: { meaning: 'length of a stitch of a rolled edge', source: 'bench practice' },
  easierRollMm: { meaning: 'a boxing is cut higher by this where the roll is to be worked more easily', source: 'bench practice' },
  tuftEveryMm: { meaning: 'from tuft to tuft', source: 'bench practice' },
  tuftClearMm: { meaning: 'no tuft is nearer to the edge than this', source: 'bench practice' },
  tuftTwineMm: { meaning: 'twine of a tuft over twice the cushion’s thickness', source: 'to thread a needle and knot' },
  rollTwineRatio: { meaning: 'twine of a rolled edge to its length', source: 'bench practice' },
};
