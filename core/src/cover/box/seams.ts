import type { Piece } from '../../piece/piece';
import { seamsOn, type Seam, type SeamDraft, type Stretch } from '../../piece/seam';
import type { CoverRequest } from '../contract';
import { runOf, type Band } from '../band/band';
import type { Box } from './choices';
import type { Plates } from './plates';
import type { Welts } from './welts';

const SIDES = ['top', 'bottom'] as const;

/** The run of the bottom plate beside an opening that is closed by hand, and along it; null where the plate is of pieces or domed: there the whole edge is one seam. */
function runs(band: Band, { bottom }: Plates, { sewn }: CoverRequest): { readonly open: Stretch; readonly rest: Stretch } | null {
  const [piece] = bottom.pieces;
  if (!band.byHand || !piece || bottom.pieces.length > 1 || piece.sewn !== sewn) return null;
  const { startMm, endMm } = band.byHand;
  return { open: runOf(piece, sewn, startMm, endMm), rest: runOf(piece, sewn, endMm, startMm) };
}

/** The seams of a boxed cover, in the order in which they are sewn. */
export function boxSeams(
  choices: Box,
  request: CoverRequest,
  band: Band,
  plates: Plates,
  welts: Welts | null,
  more: readonly SeamDraft[],
  pieces: readonly Piece[],
): Seam[] {
  const welt = SIDES.flatMap((which): SeamDraft[] => {
    const ring = welts?.[which];
    return ring
      ? [{ id: `welt-${which}`, words: `welt to the ${which} plate`, first: ring.edge, second: plates[which].edge, easedMm: plates[which].easedMm }]
      : [];
  });
  const joins = [...plates.top.joins, ...(plates.bottom === plates.top ? [] : plates.bottom.joins)];
  const byHand = runs(band, plates, request);
  const rows = choices.ridge === 'twice' ? 2 : 1;
  const ridge: SeamDraft[] =
    choices.edge === 'ridge'
      ? [
          ...SIDES.map((which): SeamDraft => ({
            id: `ridge-${which}`,
            words: `ridge along the ${which} seam`,
            method: 'top-stitch',
            rows,
            first: which === 'top' ? band.topEdge : band.bottomEdge,
            second: plates[which].edge,
            easedMm: plates[which].easedMm,
          })),
          ...(band.panels
            ? band.joins.map((join): SeamDraft => ({ ...join, id: `ridge-${join.id}`, words: `ridge: ${join.words}`, method: 'top-stitch', rows }))
            : []),
        ]
      : [];
  return seamsOn(pieces, [
    ...joins,
    ...(band.plaque?.seams ?? []),
    ...band.joins,
    ...welt,
    ...more,
    ...band.ends,
    { id: 'band-to-top', words: 'band to the top plate', first: band.topEdge, second: plates.top.edge, easedMm: plates.top.easedMm },
    {
      id: 'band-to-bottom',
      words: 'band to the bottom plate',
      first: byHand && band.byHand ? band.byHand.rest : band.bottomEdge,
      second: byHand ? [byHand.rest] : plates.bottom.edge,
      easedMm: plates.bottom.easedMm,
    },
    ...(byHand && band.byHand
      ? [{ id: 'closing', words: 'the opening at the back, by hand', method: 'hand', first: band.byHand.opening, second: [byHand.open] } satisfies SeamDraft]
      : []),
    ...ridge,
  ]);
}
