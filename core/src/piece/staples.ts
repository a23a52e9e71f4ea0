import type { Outline } from '../geometry/outline';
import type { Point } from '../geometry/point';

/** One staple: where, in which order, and in which round of halving the gaps; corners come in the last one. */
export interface Staple {
  readonly at: Point;
  /** From 1. */
  readonly order: number;
  /** From 1: the middles of the sides. */
  readonly round: number;
  readonly corner: boolean;
}

/** Cloth to be laid in small pleats where it turns under a curved edge. */
export interface Pleats {
  /** In the middle of the curve, on the line of the staples. */
  readonly at: Point;
  readonly count: number;
  /** Cloth there is too much of, mm. */
  readonly spareMm: number;
}

/** How cloth is fixed under a frame or a board: where, and in which order. Places are those of the outline, seen from above. */
export interface StaplePlan {
  readonly edge: Outline;
  readonly line: Outline;
  /** From the edge in to the line, mm. */
  readonly inMm: number;
  readonly staples: readonly Staple[];
  readonly pleats: readonly Pleats[];
}
