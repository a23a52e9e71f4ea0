import type { CordLine, Skin, SkinFace, SkinPlate, SkinStrap } from '../../form/skin';
import { outlineBounds, perimeter } from '../../geometry/outline';
import type { Piece } from '../../piece/piece';
import type { Band } from '../band/band';
import type { CoverRequest } from '../contract';
import type { Plates } from './plates';
import type { Welts } from './welts';

/** How far a domed plate's seam line is longer than the flat one before it counts as domed, mm. */
const DOMED_MM = 0.01;

/** A plate of a box: along a slope it is deeper than its plan, and domed for a crown its seam line stands further out. */
function boxFace(plate: Piece, { sewn }: CoverRequest, deep: number, patches: readonly SkinPlate[] = []): SkinFace {
  const plates = [...patches, { piece: plate.id, within: null }];
  if (!plate.sewn) return { plates };
  if (deep !== 1) {
    const { minX, minY } = outlineBounds(plate.sewn);
    return { plates, lie: { from: { x: minX, y: minY }, across: 1, deep } };
  }
  return Math.abs(perimeter(plate.sewn) - perimeter(sewn)) > DOMED_MM ? { plates, domed: plate.sewn } : { plates };
}

/** How the pieces of a boxed cover lie on it. `patches` are sewn flat onto its bottom, `straps` fastened along its band. */
export function boxSkin(
  request: CoverRequest,
  band: Band,
  plates: Plates,
  welts: Welts | null,
  { patches, straps }: { readonly patches: readonly Piece[]; readonly straps: readonly SkinStrap[] },
): Skin {
  const { slope, sewn } = request.sizes;
  const depth = outlineBounds(request.sewn);
  const deep = slope ? slope.slant.value / (depth.maxY - depth.minY || sewn.depth.value) : 1;
  const cords = (['top', 'bottom'] as const).flatMap((side) => {
    const ring = welts?.[side];
    const line: CordLine = side === 'top' ? 'upper' : 'lower';
    return ring ? [{ piece: ring.piece.id, line }] : [];
  });
  return {
    upper: boxFace(plates.top, request, deep),
    lower: boxFace(
      plates.bottom,
      request,
      1,
      patches.map(({ id, sewn: within }) => ({ piece: id, within })),
    ),
    band: band.runs,
    cords,
    straps,
    zip: band.zip && band.plaque ? { fromMm: band.zip.startMm + band.coversMm, toMm: band.zip.endMm - band.coversMm, share: band.plaque.split } : null,
  };
}
