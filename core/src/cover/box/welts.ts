import type { Figure } from '../../kernel/figure';
import { issue, type Issue } from '../../kernel/issue';
import { smallestRadius } from '../../geometry/measure';
import type { Piece } from '../../piece/piece';
import type { Stretch } from '../../piece/seam';
import type { CoverRequest } from '../contract';
import { showsHoles } from '../../material/material';
import { stripProblems } from '../welt/flange';
import { chosenWelt, weltEdge } from '../welt/welt';
import type { Box } from './choices';
import { roundOnSlope } from './plates';

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

/** The welts that the choices ask for; null for another edge. */
export function weltsFor(choices: Box, request: CoverRequest): Welts | null {
  if (choices.edge !== 'welt') return null;
  const { sizes } = request;
  const make = (round: Figure, rings: number, named?: Parameters<typeof chosenWelt>[4]): Welt => {
    const piece = chosenWelt(choices, request, round, rings, named);
    return { piece, edge: weltEdge(piece) };
  };
  const both = choices.weltOn !== 'top';
  if (!sizes.slope) {
    const one = make(request.round, both ? 2 : 1);
    return { top: one, bottom: both ? one : null };
  }
  return {
    top: make(roundOnSlope(request, sizes.slope), 1, { id: 'welt-top', label: 'welt strip, top', part: { index: 2, of: 2 } }),
    bottom: both ? make(request.round, 1, { id: 'welt-bottom', label: 'welt strip, bottom', part: { index: 1, of: 2 } }) : null,
  };
}

/** Welt cut with the threads of a woven cloth does not lie round a tight curve. */
export function weltProblems(choices: Box, request: CoverRequest): Issue[] {
  if (choices.edge !== 'welt') return [];
  return [...stripProblems(choices, request.sizes, request.cloth('welt').thicknessMm, request.assume), ...tightProblems(choices, request)];
}

function tightProblems(choices: Box, { sewn, cloth, assume }: CoverRequest): Issue[] {
  if (choices.weltCut !== 'straight' || cloth('welt').stretches || showsHoles(cloth('welt'))) return [];
  const radiusMm = smallestRadius(sewn);
  return radiusMm < assume('weltTightMm')
    ? [issue('warning', 'straight-welt-on-tight-curve', 'construction.weltCut', { radiusMm, leastMm: assume('weltTightMm') })]
    : [];
}
