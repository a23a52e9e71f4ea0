import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';

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

/** A face as it is drawn in: its rim, its buttons and tufts, and the channels across it. */
export interface Face {
  readonly rim: readonly Point[];
  readonly buttons: readonly Point[];
  readonly lines: Pick<ClosedLines, 'channels'>;
}

/** What is left of a face's rise where it is drawn in: round buttons and tufts, and along the seams of channels. */
export function drawnIn({ rim, buttons, lines: { channels } }: Face): (p: Point) => number {
  const { minX, maxX } = bounds(rim);
  return (p) => {
    const across = channels ? 1 - CHANNEL_SHARE * (1 - Math.abs(Math.sin((Math.PI * channels * (p.x - minX)) / (maxX - minX)))) : 1;
    return buttons.reduce((rise, { x, y }) => rise * (1 - DENT_SHARE * Math.exp(-((Math.hypot(p.x - x, p.y - y) / DENT_MM) ** 2))), across);
  };
}
