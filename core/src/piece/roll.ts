import type { Outline } from '../geometry/outline';
import { distance, type Point } from '../geometry/point';

/** The hand that a person sews with. */
export const HANDS = ['right', 'left'] as const;
export type Hand = (typeof HANDS)[number];

/** One side of a rolled edge. */
export interface RollSide {
  /** `back`, `left 2`. */
  readonly words: string;
  /** Its stitches in the order of a right hand: seen from that side, from right to left. */
  readonly stitches: readonly Point[];
}

/** How the edge of a cushion is rolled and where it is tufted: side after side, stitch after stitch. Places are those of the upper face, seen from above. */
export interface RollPlan {
  /** The seam line. */
  readonly edge: Outline;
  /** From it in to the stitches, mm. */
  readonly insetMm: number;
  /** In the order in which they are worked: the least seen first, the front last. */
  readonly sides: readonly RollSide[];
  /** Tufts from the middle outwards. */
  readonly tufts: readonly Point[];
}

/** A stitch with its number, from 1 round all sides. */
export interface NumberedStitch {
  readonly at: Point;
  readonly order: number;
}

/** The sides of a roll plan for a hand: a left one works each side the other way. Numbers run on from side to side. */
export function stitchesFor({ sides }: RollPlan, hand: Hand): readonly { readonly words: string; readonly stitches: readonly NumberedStitch[] }[] {
  let before = 0;
  return sides.map(({ words, stitches }) => {
    const inOrder = hand === 'right' ? stitches : [...stitches].reverse();
    const numbered = inOrder.map((at, i) => ({ at, order: before + i + 1 }));
    before += stitches.length;
    return { words, stitches: numbered };
  });
}

/** The stitches whose numbers have room on a drawing: the first, then each that lies `apartMm` from all that are numbered before it. */
export function numberedApart(stitches: readonly NumberedStitch[], apartMm: number): readonly NumberedStitch[] {
  const shown: NumberedStitch[] = [];
  for (const one of stitches) {
    if (shown.every(({ at }) => distance(at, one.at) >= apartMm)) shown.push(one);
  }
  return shown;
}
