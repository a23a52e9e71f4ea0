import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { placed, type LayAnswer, type LayRequest, type Placement } from './contract';

/** A piece so many times longer than wide is a strip: strips are cut first, while the cloth still lies whole. */
const STRIP = 4;

/** A piece as it lies. */
export interface LaidPiece {
  readonly placement: Placement;
  readonly polygon: readonly Point[];
}

/** The pieces of a lay as they lie, in the order in which they are cut: sheet by sheet; long strips first, the longest of them first, then along the material. */
export function cutOrder(request: LayRequest, { placements }: LayAnswer): LaidPiece[] {
  const polygons = new Map(request.items.map(({ id, polygon }) => [id, polygon]));
  const laid = placements.flatMap((placement) => {
    const polygon = polygons.get(placement.item);
    if (!polygon) return [];
    const points = placed(polygon, placement);
    const box = bounds(points);
    const [long, short] = [box.maxX - box.minX, box.maxY - box.minY].sort((a, b) => b - a) as [number, number];
    return [{ placement, polygon: points, strip: long >= STRIP * short, long, from: box.minX, across: box.minY }];
  });
  return laid
    .sort(
      (a, b) =>
        a.placement.sheet - b.placement.sheet || Number(b.strip) - Number(a.strip) || (a.strip ? b.long - a.long : 0) || a.from - b.from || a.across - b.across,
    )
    .map(({ placement, polygon }) => ({ placement, polygon }));
}
