import type { Outline } from '../geometry/outline';
import { distance, type Point } from '../geometry/point';

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

/** The staples that a drawing numbers: whole rounds of them, as long as none of them lies nearer to another than `apartMm`; corners are told apart by their kind. */
export function numberedStaples({ staples }: StaplePlan, apartMm: number): readonly Staple[] {
  const along = staples.filter(({ corner }) => !corner);
  let numbered: readonly Staple[] = [];
  for (let round = 1; ; round++) {
    const upTo = along.filter((one) => one.round <= round);
    if (upTo.length === numbered.length) return numbered;
    const near = upTo.some((a, i) => upTo.slice(i + 1).some((b) => distance(a.at, b.at) < apartMm));
    if (near) return numbered;
    numbered = upTo;
  }
}
