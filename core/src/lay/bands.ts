import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';

/** A stretch of material as it is drawn: a part of the roll, or a sheet. */
export interface Band {
  /** Upper left in the drawing, mm. */
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly length: number;
  /** Where on the roll it begins, mm. */
  readonly from: number;
  readonly sheet: number | null;
}

/** A part of a piece narrower than this is not drawn, mm. */
const LEAST_MM = 0.5;

function wide(points: readonly Point[]): number {
  const { minX, maxX } = bounds(points);
  return maxX - minX;
}

/** The part of a polygon on one side of an upright line (one step of clipping by half planes). */
function clipped(points: readonly Point[], at: number, keepRight: boolean): Point[] {
  const inside = (p: Point): boolean => (keepRight ? p.x >= at : p.x <= at);
  return points.flatMap((b, i) => {
    const a = points[(i + points.length - 1) % points.length] as Point;
    const cross = { x: at, y: a.y + ((b.y - a.y) * (at - a.x)) / (b.x - a.x || 1) };
    if (inside(b)) return inside(a) ? [b] : [cross, b];
    return inside(a) ? [cross] : [];
  });
}

/** What of a laid piece, as it lies on its material, lies in a band, moved to the band's place; empty when none. */
export function partIn(band: Band, points: readonly Point[], sheet: number): Point[] {
  if (band.sheet !== null && band.sheet !== sheet) return [];
  const kept = clipped(clipped(points, band.from, true), band.from + band.length, false).map((p) => ({
    x: p.x - band.from + band.x,
    y: p.y - band.width + band.y,
  }));
  return kept.length >= 3 && wide(kept) > LEAST_MM ? kept : [];
}
