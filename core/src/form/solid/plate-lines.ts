import { flatten, outlineBounds, type Outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import { distanceTo } from '../../geometry/measure';
import { contains } from '../../geometry/polygon';
import type { SkinFace } from '../skin';

/** A plate, or a part of one, that shows on a face, and where: the first whose line holds a place is the one; the last has the rest. */
export interface PlateLines {
  readonly piece: string;
  readonly holds: (p: Point, nearMm?: number) => boolean;
  /** Its edge as far as it runs across the face. */
  readonly line: readonly Point[];
  /** Straight cuts right across the plan that the rim wants a point at. */
  readonly cuts: readonly { readonly axis: 'x' | 'y'; readonly at: number }[];
}

/** Straight level or upright sides of an outline, which is how plates are cut in parts. */
function cutsOf({ segments }: Outline): PlateLines['cuts'] {
  return segments.flatMap(({ kind, from, to }): { readonly axis: 'x' | 'y'; readonly at: number }[] => {
    if (kind !== 'line') return [];
    if (Math.abs(from.x - to.x) < 1e-6) return [{ axis: 'x', at: from.x }];
    return Math.abs(from.y - to.y) < 1e-6 ? [{ axis: 'y', at: from.y }] : [];
  });
}

/** The plates of a face in the order in which they are asked, those cut in parts as their parts. */
export function plateLines({ plates }: SkinFace, partsOf: (piece: string) => readonly { readonly id: string; readonly sewn: Outline }[]): PlateLines[] {
  const all = plates.flatMap(({ piece, within }) => {
    const parts = partsOf(piece);
    return parts.length ? parts.map(({ id, sewn }, i) => ({ piece: id, within: i === parts.length - 1 ? within : sewn })) : [{ piece, within }];
  });
  return all.map(({ piece, within }): PlateLines => {
    if (!within) return { piece, holds: () => true, line: [], cuts: [] };
    const ring = flatten(within);
    const { minX, minY, maxX, maxY } = outlineBounds(within);
    const inBox = (p: Point): boolean => p.x >= minX && p.x <= maxX && p.y >= minY && p.y <= maxY;
    const holds: PlateLines['holds'] = (p, nearMm) => (nearMm ? distanceTo(ring, p) <= nearMm : inBox(p) && contains(ring, p));
    return { piece, holds, line: [...ring, ring[0] as Point], cuts: cutsOf(within) };
  });
}

/** What is within this of a plate's edge, and in no other plate, belongs to it: a curved rim is drawn by chords. */
const NEAR_MM = 0.6;

/** The plate that shows at a place. */
export function plateAt(plates: readonly PlateLines[], p: Point): string {
  const rest = plates.at(-1);
  const found =
    plates.slice(0, -1).find(({ holds }) => holds(p)) ?? (rest?.line.length === 0 ? plates.slice(0, -1).find(({ holds }) => holds(p, NEAR_MM)) : undefined);
  return (found ?? rest)?.piece ?? '';
}
