import { flatten, outlineBounds, type Outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import { faceMesh } from './face-mesh';
import { PartBuilder, type SolidPart } from './solid';

/** A layer of the filling: its share of the whole thickness, from below. */
export interface SolidLayer {
  readonly id: string;
  readonly material: string;
  readonly low: number;
  readonly high: number;
}

/** The filling as it lies in the closed cover. */
export interface SolidCore {
  readonly outline: Outline;
  readonly layers: readonly SolidLayer[];
  /** Clear of the cover's sides, mm: the wrap. */
  readonly sideMm: number;
  /** Its lowest level, mm over the lower seam. */
  readonly fromMm: number;
  /** How thick it is where the cover's front and its back are, without what the crowns add, mm: alike but in a wedge, whose layers all taper as the whole does. */
  readonly frontMm: number;
  readonly backMm: number;
  /** How far it follows the faces' crowns, mm at their highest: over and under. */
  readonly overMm: number;
  readonly underMm: number;
}

/** Points of a layer lie so far apart, as a share of the root of its area. */
const PITCH_SHARE = 1 / 12;
/** An insert that fills its cover is drawn so much smaller that it lies inside. */
const INSIDE = 0.99;
/** What is drawn inside a face keeps this clear of it, as a share of the crown. */
const UNDER_FACE = 0.94;

/** The layers of a core, each closed in itself, inside a cover with this rim. `share`: how the faces rise. */
export function coreParts(core: SolidCore, rim: Outline, share: (p: Point) => number): SolidPart[] {
  const { outline, layers, sideMm, fromMm, frontMm, backMm, overMm, underMm } = core;
  if (!layers.length) return [];
  const [own, hull] = [outlineBounds(outline), outlineBounds(rim)];
  const fit = (low: 'minX' | 'minY', high: 'maxX' | 'maxY'): number =>
    Math.min(1, (INSIDE * (hull[high] - hull[low] - 2 * sideMm)) / (own[high] - own[low] || 1));
  const [fx, fy] = [fit('minX', 'maxX'), fit('minY', 'maxY')];
  const [cx, cy] = [(hull.minX + hull.maxX) / 2, (hull.minY + hull.maxY) / 2];
  const [ox, oy] = [(own.minX + own.maxX) / 2, (own.minY + own.maxY) / 2];
  const ring = flatten(outline, 0.5).map(({ x, y }) => ({ x: cx + (x - ox) * fx, y: cy + (y - oy) * fy }));
  const pitchMm = Math.max(20, Math.sqrt((own.maxX - own.minX) * (own.maxY - own.minY)) * PITCH_SHARE);
  const mesh = faceMesh({ rim: ring, lines: [], more: [], pitchMm });
  const rises = mesh.points.map((p) => UNDER_FACE * share(p));
  const thick = mesh.points.map(({ y }) => frontMm + ((backMm - frontMm) * (y - hull.minY)) / (hull.maxY - hull.minY || 1));
  const level = (at: number, i: number): number => fromMm - underMm * (rises[i] ?? 0) + at * ((thick[i] ?? 0) + (overMm + underMm) * (rises[i] ?? 0));
  return layers.map(({ id, material, low, high }) => {
    const builder = new PartBuilder({ id, piece: id, kind: 'core', material });
    const put = (i: number, at: number): number => {
      const p = mesh.points[i] as Point;
      return builder.vertex(`${i}/${at}`, { ...p, z: level(at, i) }, p.x, p.y);
    };
    for (const [a, b, c] of mesh.triangles) {
      builder.triangle(put(a, high), put(b, high), put(c, high));
      builder.triangle(put(a, low), put(c, low), put(b, low));
    }
    for (let i = 0; i < mesh.rimCount; i++) {
      const j = (i + 1) % mesh.rimCount;
      builder.triangle(put(i, low), put(j, low), put(j, high));
      builder.triangle(put(i, low), put(j, high), put(i, high));
    }
    return builder.part();
  });
}
