import { minus, plus, sum, type Figure } from '../../kernel/figure';
import type { Piece } from '../../piece/piece';
import { clothStrip } from '../sewing/cloth-piece';
import type { BoxingRequest, EndAsk } from './request';

/** What is cut beyond the band's own length at each of its ends, and beyond the opening at each end of the plaque; a pocket's fold lies so far beyond the end, mm. */
export interface BandEnds {
  readonly boxing: Figure;
  readonly plaque: Figure;
  readonly foldMm: number;
}

/** The ends of a band as they were asked for. */
export function endsOf({ ends: { kind, pocket, hem, lap }, seam, opened }: BoxingRequest): BandEnds {
  if (!opened || kind === 'plain' || kind === 'placket') return { boxing: seam, plaque: seam, foldMm: 0 };
  if (kind === 'pocket') return { boxing: sum('an end', seam, plus(pocket, 2)), plaque: seam, foldMm: pocket.value };
  return { boxing: hem, plaque: lap, foldMm: 0 };
}

/** What of an opening the core can pass: pockets lie over its ends. */
export function clearOf(opening: Figure, { kind, pocket }: EndAsk): Figure {
  return kind === 'pocket' && pocket.value > 0 ? sum('what shows of the opening', opening, minus(pocket, 2)) : opening;
}

/** What lies over each end of the zip, mm: a pocket as deep as it is, a placket's longer half past its seam. */
export function coveredMm({ kind, pocket, placketLength, placketShortMm }: EndAsk, seamMm: number): number {
  if (kind === 'pocket') return pocket.value;
  return kind === 'placket' ? Math.max(0, (placketLength.value + placketShortMm) / 2 - seamMm) : 0;
}

/** A small piece that hides an end of the zip: two a cushion, as high as the boxing. */
export function placketPiece({ ends, cutHeight, lower, upper, seam }: BoxingRequest): Piece {
  return clothStrip(
    'boxing',
    {
      id: 'placket',
      role: 'placket',
      label: 'end placket',
      remark: 'hides an end of the zip',
      countPerCushion: 2,
      width: ends.placketLength,
      height: cutHeight,
    },
    { left: seam.value, right: 0, lower: lower.value, upper: upper.value },
    [],
  );
}
