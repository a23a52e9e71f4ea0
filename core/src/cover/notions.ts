import { given, law, plus, sum, type Figure } from '../kernel/figure';
import type { Piece, Seam } from '../piece/piece';
import type { Constants } from '../shop/assumptions';
import { cordLength } from './welt';

/** What is bought by length or count besides cloth, foam and wadding; for one cushion. */
export interface Notions {
  readonly thread: Figure;
  readonly cord: Figure | null;
  readonly zip: Figure;
  readonly sliders: Figure;
}

/** Thread per length of seam and row, from thin cloth (0.5 mm) to thick (2 mm), straight between. */
function threadRatio(clothMm: number, assume: Constants): number {
  const share = Math.min(1, Math.max(0, (clothMm - 0.5) / 1.5));
  return assume('threadThin') + share * (assume('threadThick') - assume('threadThin'));
}

export function makeNotions(seams: readonly Seam[], welts: readonly Piece[], opening: Figure, clothMm: number, assume: Constants): Notions {
  const seamMm = seams.reduce((total, seam) => total + seam.count * seam.rows * seam.edges[0].lengthMm, 0);
  const tapeEnd = given('an end', assume('trimOffMm'), 'shop');
  return {
    thread: law(
      'thread',
      '{0} × {1}',
      [given('of seam, every row', seamMm, 'counted'), given('of thread to one of seam', threadRatio(clothMm, assume), 'shop', 'count')],
      (mm = 0, ratio = 0) => mm * ratio,
    ),
    cord: cordLength(welts),
    zip: sum('zip tape', opening, plus(tapeEnd, 2)),
    sliders: given('slider', 1, 'counted', 'count'),
  };
}
