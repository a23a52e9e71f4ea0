import { given, type Figure } from '../../kernel/figure';
import { issue, type Issue } from '../../kernel/issue';
import { smallestRadius } from '../../geometry/measure';
import type { Piece } from '../../piece/piece';
import type { Stretch } from '../../piece/seam';
import type { CoverRequest } from '../contract';
import { stripEdge } from '../sewing/cloth-piece';
import { straightWelt, weltPiece } from '../welt/welt';
import type { Box } from './choices';
import { roundOnSlope } from './plates';
import { enteredOr } from '../sewing/entered-or';

/** The welt of one plate: its strips, and their edge all round. */
export interface Welt {
  readonly piece: Piece;
  readonly edge: readonly Stretch[];
}

/** A ring of welt for each plate that has one; one piece where they are alike. */
export interface Welts {
  readonly top: Welt;
  readonly bottom: Welt | null;
}

const welt = (piece: Piece): Welt => {
  const strips = piece.grain === 'bias' ? 1 : piece.joins + 1;
  return { piece, edge: Array.from({ length: strips }, () => stripEdge(piece, 'lower')) };
};

/** The welts that the choices ask for; null for another edge. */
export function weltsFor(choices: Box, request: CoverRequest): Welts | null {
  if (choices.edge !== 'welt') return null;
  const { sizes, assume } = request;
  const cloth = request.cloth('welt');
  const cord = enteredOr('cord', choices.cordMm, 'cordMm', assume);
  const make = (round: Figure, id: string, label: string, part: Piece['part'], rings: number): Welt => {
    const shared = {
      id,
      label,
      part,
      rings,
      cord,
      cloth: given('cloth', cloth.thicknessMm, 'material'),
      flange: { ...(sizes.flange ?? sizes.seam), name: 'flange' },
      round,
      overlap: given('to join the ring', assume('ringOverlapMm'), 'shop'),
    };
    return welt(
      choices.weltCut === 'straight'
        ? straightWelt({ ...shared, usableMm: cloth.usableMm })
        : weltPiece({ ...shared, countPerCushion: rings, biasDepthMm: cloth.biasDepthMm }),
    );
  };
  const both = choices.weltOn !== 'top';
  if (!sizes.slope) {
    const one = make(request.round, 'welt', 'welt strip', { index: 1, of: 1 }, both ? 2 : 1);
    return { top: one, bottom: both ? one : null };
  }
  return {
    top: make(roundOnSlope(request, sizes.slope), 'welt-top', 'welt strip, top', { index: 2, of: 2 }, 1),
    bottom: both ? make(request.round, 'welt-bottom', 'welt strip, bottom', { index: 1, of: 2 }, 1) : null,
  };
}

/** Welt cut with the threads of a woven cloth does not lie round a tight curve. */
export function weltProblems(choices: Box, { sewn, cloth, assume }: CoverRequest): Issue[] {
  if (choices.edge !== 'welt' || choices.weltCut !== 'straight' || cloth('welt').stretches) return [];
  const radiusMm = smallestRadius(sewn);
  return radiusMm < assume('weltTightMm')
    ? [issue('warning', 'straight-welt-on-tight-curve', 'construction.weltCut', { radiusMm, leastMm: assume('weltTightMm') })]
    : [];
}
