import { distanceTo } from '../../geometry/measure';
import { flatten, outlineBounds, perimeter, stationAt, type Outline } from '../../geometry/outline';
import { plusPoint, type Point } from '../../geometry/point';
import { contains } from '../../geometry/polygon';
import type { Mark } from '../../piece/piece';
import { cornersOf } from '../band/corners';

/** Ways of setting tufts: in rows and columns, or with one more in the middle of every four. */
export const TUFT_GRIDS = ['square', 'diamond', 'none'] as const;
export type TuftGrid = (typeof TUFT_GRIDS)[number];

export interface Tufts {
  readonly at: readonly Point[];
  /** From tuft to tuft as evened to the outline, mm; the first row lies half of it in. */
  readonly acrossMm: number;
  readonly deepMm: number;
}

/** Tufts on a face: about `everyMm` apart, evened to the outline's box, the first row half a spacing in; none nearer than `clearMm` to the edge. */
export function tuftsOn(sewn: Outline, grid: TuftGrid, everyMm: number, clearMm: number): Tufts {
  const { minX, minY, maxX, maxY } = outlineBounds(sewn);
  const [columns, rows] = [maxX - minX, maxY - minY].map((mm) => Math.max(1, Math.round(mm / everyMm))) as [number, number];
  const [acrossMm, deepMm] = [(maxX - minX) / columns, (maxY - minY) / rows];
  if (grid === 'none') return { at: [], acrossMm, deepMm };
  const cells = (count: number, from: number): number[] => Array.from({ length: count }, (_, i) => i + from);
  const place = (i: number, j: number): Point => ({ x: minX + i * acrossMm, y: minY + j * deepMm });
  const all = [
    ...cells(rows, 0.5).flatMap((j) => cells(columns, 0.5).map((i) => place(i, j))),
    ...(grid === 'diamond' ? cells(rows - 1, 1).flatMap((j) => cells(columns - 1, 1).map((i) => place(i, j))) : []),
  ];
  const rim = flatten(sewn, 0.1);
  return { at: all.filter((p) => contains(rim, p) && distanceTo(rim, p) >= clearMm - 1e-6), acrossMm, deepMm };
}

/** The stitches of a roll, mm round the seam line: about `pitchMm` apart, evened on each side so that every corner falls on one. */
export function rollStitches(sewn: Outline, pitchMm: number): number[] {
  const round = perimeter(sewn);
  const stops = cornersOf(sewn)
    .map(({ start, end }) => ((start + end) / 2) % round)
    .sort((a, b) => a - b);
  return stops.flatMap((from, i) => {
    const to = stops[i + 1] ?? (stops[0] ?? 0) + round;
    const many = Math.max(1, Math.round((to - from) / pitchMm));
    return Array.from({ length: many }, (_, k) => (from + ((to - from) * k) / many) % round);
  });
}

/** Half a step round the seam line to either side of a place: there its two directions are looked at. */
const BESIDE_MM = 0.01;

/** A place so far inside the seam line: at a corner so far inside both of its sides. */
function inside(sewn: Outline, along: number, insetMm: number): Point {
  const round = perimeter(sewn);
  const { at } = stationAt(sewn, along);
  const a = stationAt(sewn, (along - BESIDE_MM + round) % round).outward;
  const b = stationAt(sewn, (along + BESIDE_MM) % round).outward;
  const share = insetMm / Math.max(0.2, 1 + a.x * b.x + a.y * b.y);
  return plusPoint(plusPoint(at, a, -share), b, -share);
}

const chalked = (kind: 'tuft' | 'roll', at: Point): Mark => ({ kind, at, outward: { x: 0, y: 0 } });

/** Tufts and the stitches of the roll as they are chalked on a plate. */
export function stitchMarks(sewn: Outline, tufts: Tufts, stitchesMm: readonly number[], insetMm: number): Mark[] {
  return [...tufts.at.map((at) => chalked('tuft', at)), ...stitchesMm.map((along) => chalked('roll', inside(sewn, along, insetMm)))];
}

/** Height of a stitched roll by the cushion's thickness, mm: what the bench finds right at three of them, straight between. */
const ROLL_HEIGHTS = [
  [75, 13],
  [100, 16],
  [125, 22],
] as const;

/** How high the roll of a cushion so thick stands, mm; thinner and thicker ones as the nearest. */
export function rollHeight(thickMm: number): number {
  const [first, , last] = ROLL_HEIGHTS;
  if (thickMm <= first[0]) return first[1];
  for (const [i, [mm, high]] of ROLL_HEIGHTS.entries()) {
    const [before, lower] = ROLL_HEIGHTS[i - 1] ?? [mm, high];
    if (thickMm <= mm && mm > before) return lower + ((high - lower) * (thickMm - before)) / (mm - before);
  }
  return last[1];
}
