import { distanceTo } from '../geometry/measure';
import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { contains } from '../geometry/polygon';

/** What runs along an edge of a closed cushion: nothing, a plain seam, a corded welt, a top-stitched ridge, a stitched roll. */
export type EdgeLine = 'soft' | 'seam' | 'welt' | 'ridge' | 'roll';

/** The surface of a face on a square grid, row after row from the front: shares of its rise. */
export interface RiseGrid {
  readonly x0: number;
  readonly y0: number;
  readonly step: number;
  readonly columns: number;
  readonly rows: number;
  readonly values: ArrayLike<number>;
}

/** The lines that a construction leaves on the closed cushion. */
export interface ClosedLines {
  readonly top: EdgeLine;
  readonly bottom: EdgeLine;
  /** Seams down the band at its corners. */
  readonly corners: boolean;
  /** The plate runs over the front: no line along its edges there. */
  readonly softFront: boolean;
  /** A zip runs in the middle of the band. */
  readonly zip?: 'band';
  /** Two faces that meet, or a roll whose outline is its end; a band between two faces where it is not said. */
  readonly solid?: 'faces' | 'roll';
  /** Channels sewn from front to back across both faces. */
  readonly channels?: number;
}

/**
 * A finished cushion as a solid: its outline drawn up over a height, its two faces domed. `across`: the outline lies flat and the height stands up; `along`: a roll,
 * whose outline is its end and whose height is its length.
 */
export interface ClosedForm {
  /** The seam line, counter-clockwise, mm, the front at the least y; `front` marks the sides that belong to the front. */
  readonly rim: readonly Point[];
  readonly front: readonly boolean[];
  readonly heightMm: number;
  /** At the back, where a wedge is higher or lower there; as at the front where it is not said. */
  readonly backMm?: number;
  /** Radius of the front's upper and lower edge, mm, where the plate runs over a straight front; square where it is not said. */
  readonly rounded?: { readonly topMm: number; readonly bottomMm: number };
  /** For each side of the rim, whether the zip runs along it, in the middle of the band. */
  readonly zip?: readonly boolean[];
  readonly lie: 'across' | 'along';
  /** How far the faces stand proud of the rim in their middle, mm. */
  readonly overMm: number;
  readonly underMm: number;
  /** The faces' surface where it has been solved; without it one is made from the distance to the edge. */
  readonly surface?: RiseGrid;
  readonly lines: ClosedLines;
  /** Corners of the rim where the band has a seam, as places in `rim`. */
  readonly cornersAt: readonly number[];
  /** Buttons and tufts, drawn in from both faces. */
  readonly buttons: readonly Point[];
}

export interface Point3 {
  readonly x: number;
  readonly y: number;
  readonly z: number;
}

/** How much of the rise is gone along the seam between two channels. */
const CHANNEL_SHARE = 0.45;

/** How far from a button its face is drawn in, mm, and how much of the rise is gone at the button itself. */
const DENT_MM = 45;
const DENT_SHARE = 0.85;

/** A surface between the places of its grid, straight from each to the next; nothing beyond it and below the rim. */
export function onGrid({ x0, y0, step, columns, rows, values }: RiseGrid, p: Point): number {
  const [u, v] = [(p.x - x0) / step, (p.y - y0) / step];
  const [column, row] = [Math.floor(u), Math.floor(v)];
  if (column < 0 || row < 0 || column >= columns - 1 || row >= rows - 1) return 0;
  const at = (right: 0 | 1, up: 0 | 1): number => values[(row + up) * columns + column + right] ?? 0;
  const [s, t] = [u - column, v - row];
  return Math.max(0, (at(0, 0) * (1 - s) + at(1, 0) * s) * (1 - t) + (at(0, 1) * (1 - s) + at(1, 1) * s) * t);
}

/** What is left of a face's rise where it is drawn in: round buttons and tufts, and along the seams of channels. */
export function drawnIn({ rim, buttons, lines: { channels } }: Pick<ClosedForm, 'rim' | 'buttons' | 'lines'>): (p: Point) => number {
  const { minX, maxX } = bounds(rim);
  return (p) => {
    const across = channels ? 1 - CHANNEL_SHARE * (1 - Math.abs(Math.sin((Math.PI * channels * (p.x - minX)) / (maxX - minX)))) : 1;
    return buttons.reduce((rise, { x, y }) => rise * (1 - DENT_SHARE * Math.exp(-((Math.hypot(p.x - x, p.y - y) / DENT_MM) ** 2))), across);
  };
}

/**
 * A face's rise over its rim, as a share of its crown: the solved surface where there is one. Otherwise it is 0 at the edge and 1 where the face is furthest from its
 * edge, with the profile of a cloth under even pressure. It is drawn in round buttons and tufts and along the seams of channels.
 */
export function riseOf({ rim, buttons, lines, surface }: Pick<ClosedForm, 'rim' | 'buttons' | 'lines' | 'surface'>): (p: Point) => number {
  const { minX, minY, maxX, maxY } = bounds(rim);
  const left = drawnIn({ rim, buttons, lines });
  let deepest = 0;
  const steps = 12;
  for (let i = 1; i < steps; i++)
    for (let j = 1; j < steps; j++) {
      const p = { x: minX + ((maxX - minX) * i) / steps, y: minY + ((maxY - minY) * j) / steps };
      if (contains(rim, p)) deepest = Math.max(deepest, distanceTo(rim, p));
    }
  return (p) => {
    if (deepest <= 0 || !contains(rim, p)) return 0;
    const near = Math.min(1, distanceTo(rim, p) / deepest);
    const share = surface ? onGrid(surface, p) : near * (2 - near);
    return share * left(p);
  };
}

/** A place on the solid: a point of the outline, at a share of the height from its foot, `rise` above that. */
export function placeOn({ rim, heightMm, backMm = heightMm, lie }: ClosedForm, p: Point, share: number, riseMm = 0): Point3 {
  const up = heightAt(p, rim, heightMm, backMm) * share + riseMm;
  return lie === 'across' ? { x: p.x, y: p.y, z: up } : { x: up, y: p.x, z: p.y };
}

/** The height over a place: between the front's and the back's, as deep as it lies. */
function heightAt(p: Point, rim: readonly Point[], frontMm: number, backMm: number): number {
  if (frontMm === backMm) return frontMm;
  const { minY, maxY } = bounds(rim);
  return frontMm + ((backMm - frontMm) * (p.y - minY)) / (maxY - minY || 1);
}
