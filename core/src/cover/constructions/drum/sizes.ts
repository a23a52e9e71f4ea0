import { given, minus, plus, renamed, sum, type Figure } from '../../../kernel/figure';
import type { Plane, Sizes } from '../../../piece/sizes';
import type { SizeAsk } from '../../contract';
import type { Drum } from './choices';
import { enteredOr } from '../../sewing/entered-or';
import { DRUM_CONSTANTS } from './constants';

interface Line {
  readonly board: Figure;
  readonly core: Figure;
  readonly sewn: Figure;
  readonly cut: Figure;
}

/** From the board to foam and plate, or back from the foam or the plate's seam line. */
function lineOf(ask: SizeAsk, mm: number, over: Figure, seam: Figure): Line {
  const words = { seat: 'board', finished: 'board', core: 'foam', sewn: 'old cover' } as const;
  const entered = given(words[ask.given], mm, 'entered');
  const core =
    ask.given === 'core' ? entered : ask.given === 'sewn' ? sum('foam', entered, plus(seam, 2), minus(over, 2)) : sum('foam', entered, plus(over, 2));
  const board = ask.given === 'seat' || ask.given === 'finished' ? entered : sum('board', core, minus(over, 2));
  // The plate is cut the overhang outside the foam, with its seam allowance inside that line.
  const cut = sum('cut', core, plus(over, 2));
  return { board, core, cut, sewn: ask.given === 'sewn' ? entered : sum('sewn', cut, minus(seam, 2)) };
}

/** Sizes of a drum: what is given is the board, and the foam's own thickness. */
export function drumSizes({ boardMm, seamMm }: Drum, ask: SizeAsk): Sizes {
  const { assume } = ask;
  const over = given('over the board', assume(DRUM_CONSTANTS.boardOverhangMm), 'shop');
  const seam = enteredOr('seam', seamMm, 'drumSeamMm', assume);
  const across = lineOf(ask, ask.acrossMm, over, seam);
  const deep = lineOf(ask, ask.deepMm, over, seam);
  const board = enteredOr('board', boardMm, DRUM_CONSTANTS.boardMm, assume);
  const foam = ask.given === 'sewn' ? sum('foam', given('old cover, high', ask.heightMm, 'entered'), minus(board)) : given('foam', ask.heightMm, 'entered');
  // The band covers the foam uncompressed and the board's edge: nothing is taken off.
  const sewnHeight = sum('sewn height', foam, plus(board));
  const turn = given('under the board', assume(DRUM_CONSTANTS.boardTurnMm), 'shop');
  const plane = (key: 'board' | 'core' | 'sewn' | 'cut', name: string): Plane => ({ width: renamed(name, across[key]), depth: renamed(name, deep[key]) });
  return {
    seat: plane('board', 'seat'),
    finished: { ...plane('board', 'finished'), height: renamed('finished height', sewnHeight) },
    core: { ...plane('core', 'core'), height: renamed('core thickness', foam) },
    sewn: { ...plane('sewn', 'sewn'), height: sewnHeight },
    cut: plane('cut', 'cut'),
    boxingCut: sum('band cut', sewnHeight, plus(seam), plus(turn)),
    seam,
    flange: null,
    cutToCore: false,
    slope: null,
  };
}
