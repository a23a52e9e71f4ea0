import type { Piece } from '../../../piece/piece';
import { seamsOn, type Seam, type SeamDraft } from '../../../piece/seam';
import type { CoverRequest } from '../../contract';
import type { Band } from '../../parts/boxing';
import { allRound, stripEdge } from '../../parts/cloth-piece';
import { easedOn, type Plates } from './plates';

/** A ring of welt for each plate; one piece where they are alike. */
export interface Welts {
  readonly top: Piece;
  readonly bottom: Piece;
}

/** The seams of a boxed cover, in the order in which they are sewn. */
export function boxedSeams(request: CoverRequest, band: Band, plates: Plates, welts: Welts | null, pieces: readonly Piece[]): Seam[] {
  const { plaque } = band;
  const onto = (which: 'top' | 'bottom'): SeamDraft[] =>
    welts
      ? [
          {
            id: `welt-${which}`,
            words: `welt to the ${which} plate`,
            first: [stripEdge(welts[which], 'lower')],
            second: [allRound(plates[which])],
            easedMm: easedOn(plates[which], plates, request),
          },
        ]
      : [];
  return seamsOn(pieces, [
    // Sewn shut at half the zip's width with the longest stitch, then one row on each side of the teeth.
    { id: 'plaque-slit', words: 'zip into the plaque', first: [stripEdge(plaque, 'lower')], second: [stripEdge(plaque, 'upper')], rows: 3 },
    ...band.joins,
    ...onto('top'),
    ...onto('bottom'),
    band.plaqueEnds,
    {
      id: 'band-to-top',
      words: 'band to the top plate',
      first: band.topEdge,
      second: [allRound(plates.top)],
      easedMm: easedOn(plates.top, plates, request),
    },
    {
      id: 'band-to-bottom',
      words: 'band to the bottom plate',
      first: band.bottomEdge,
      second: [allRound(plates.bottom)],
      easedMm: easedOn(plates.bottom, plates, request),
    },
  ]);
}
