import { distanceTo } from '../../geometry/measure';
import { flatten, outlineBounds, perimeter, stationAt, type Outline } from '../../geometry/outline';
import { distance, plusPoint, type Point } from '../../geometry/point';
import { contains } from '../../geometry/polygon';
import type { Mark } from '../../piece/piece';
import type { RollPlan } from '../../piece/roll';
import { sidesBetweenCorners, type Side } from './sides';

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

/** A side of a roll, with its stitches, mm round the seam line in the direction of the outline. */
interface StitchedSide extends Side {
  readonly alongMm: readonly number[];
}

/** The stitches of a roll: about `pitchMm` apart, evened on each side so that every corner falls on one, which is the first of its side. */
export function rollSides(sewn: Outline, pitchMm: number): StitchedSide[] {
  const round = perimeter(sewn);
  return sidesBetweenCorners(sewn).map((side) => {
    const many = Math.max(1, Math.round((side.to - side.from) / pitchMm));
    return { ...side, alongMm: Array.from({ length: many }, (_, k) => (side.from + ((side.to - side.from) * k) / many) % round) };
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

/** The roll of the thinnest of them, mm: the shop's figures of its stitches are for it. */
export const THINNEST_ROLL = ROLL_HEIGHTS[0][1];

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

/** The words of sides, those that face the same way numbered. */
function named(sides: readonly StitchedSide[]): (StitchedSide & { readonly name: string })[] {
  return sides.map((side, i) => {
    const alike = sides.filter(({ words }) => words === side.words);
    const nth = sides.slice(0, i + 1).filter(({ words }) => words === side.words).length;
    return { ...side, name: sides.length === 1 ? 'all round' : alike.length > 1 ? `${side.words} ${nth}` : side.words };
  });
}

/**
 * The order of a roll: the side that is seen least first, the front last; on each from right to left for a right hand, as one sits before it. The outline runs
 * counter-clockwise, so that is against it. Tufts from the middle outwards.
 */
export function rollPlan(sewn: Outline, sides: readonly StitchedSide[], insetMm: number, { at: tufts }: Tufts): RollPlan {
  const { minX, minY, maxX, maxY } = outlineBounds(sewn);
  const middle = { x: (minX + maxX) / 2, y: (minY + maxY) / 2 };
  return {
    edge: sewn,
    insetMm,
    sides: named(sides)
      .sort((a, b) => b.facing - a.facing)
      .map(({ name, alongMm }) => ({ words: name, stitches: [...alongMm].reverse().map((along) => inside(sewn, along, insetMm)) })),
    tufts: [...tufts].sort((a, b) => distance(a, middle) - distance(b, middle)),
  };
}
