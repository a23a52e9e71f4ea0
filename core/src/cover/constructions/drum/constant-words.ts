import type { AssumptionWords } from '../../../shop/assumption-words';
import type { DRUM_CONSTANTS } from './constants';

export const DRUM_CONSTANT_WORDS: Readonly<Record<keyof typeof DRUM_CONSTANTS, AssumptionWords>> = {
  boardOverhangMm: { meaning: 'foam on a board is cut larger than it by this on every side', source: 'bench practice' },
  boardTurnMm: { meaning: 'allowance of a band and a flange where they meet under a board', source: 'bench practice' },
  flangeWideMm: { meaning: 'width of a staple flange inside its seam', source: 'bench practice' },
  boardMm: { meaning: 'thickness of the board under a drum', source: 'plywood' },
  edgeStripOverMm: { meaning: 'a strip round a board’s edge is cut longer by this', source: 'bench practice' },
  sewPastMm: { meaning: 'a row that closes a ring runs on so far over its first stitches', source: 'bench practice' },
};
