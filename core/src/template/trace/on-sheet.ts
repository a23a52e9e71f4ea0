import { polygonOutline, type Outline } from '../../geometry/outline';
import type { Point } from '../../geometry/point';
import { polygonArea } from '../../geometry/polygon';
import { withEdges } from '../edges';
import { homography, mapPoint } from './homography';
import type { Corners } from './trace';

/** The corners of a sheet as it lies, mm: its front left corner at 0. */
export function sheetCorners({ width, depth }: { readonly width: number; readonly depth: number }): Corners {
  return [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: depth },
    { x: 0, y: depth },
  ];
}

/**
 * Where points of a picture lie in the plane of a sheet of known size whose corners are seen in it, mm from its front left corner; also beyond the sheet. Empty where the corners span no sheet, or a
 * point lies at or behind the horizon of its plane.
 */
export function onSheet(points: readonly Point[], corners: Corners, size: { readonly width: number; readonly depth: number }): Point[] {
  const map = homography(corners, sheetCorners(size));
  if (!map) return [];
  const [, , , , , , g, h] = map;
  // In front of the horizon the denominator has the sign that it has on the sheet itself.
  const side = (p: Point): number => g * p.x + h * p.y + 1;
  const front = Math.sign(side(corners[0]));
  return points.some((p) => side(p) * front < 1e-9) ? [] : points.map((p) => mapPoint(map, p));
}

/** An outline of straight sides through points that were put by hand, in either direction, each side facing the side of the seat that it looks to. */
export function outlineThrough(points: readonly Point[]): Outline {
  const ring = polygonArea(points) < 0 ? [...points].reverse() : points;
  return withEdges(polygonOutline(ring.map(({ x, y }) => [x, y, 'front'])));
}
