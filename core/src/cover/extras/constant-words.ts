import type { AssumptionWords } from '../../shop/assumption-words';
import type { EXTRAS_CONSTANTS } from './constants';

export const EXTRAS_CONSTANT_WORDS: Readonly<Record<keyof typeof EXTRAS_CONSTANTS, AssumptionWords>> = {
  tieLengthMm: { meaning: 'length of a tie', source: '560 to 635 in use' },
  tieWidthMm: { meaning: 'width of a tie, finished', source: 'bench practice' },
  tieTurnMm: { meaning: 'turned in on both edges of a tie or handle strip', source: 'bench practice' },
  handleLengthMm: { meaning: 'length of a handle strip with both its ends', source: 'bench practice' },
  handleWidthMm: { meaning: 'width of a handle, finished', source: 'bench practice' },
  buttonMm: { meaning: 'diameter of a covered button', source: 'ordinary upholstery button' },
  buttonTwineMm: { meaning: 'twine of a pair of buttons over twice the core’s height', source: 'to thread a needle and knot' },
  drainInsetMm: { meaning: 'a drain panel lies this far inside the bottom plate’s seam line', source: 'bench practice' },
  drainLapMm: { meaning: 'mesh outside its seam, and cloth turned in along it', source: 'bench practice' },
  gripInsetMm: { meaning: 'an anti-slip base ends this far inside the bottom plate’s seam line', source: 'bench practice' },
};
