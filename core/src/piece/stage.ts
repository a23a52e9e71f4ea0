import type { Point } from '../geometry/point';

/** What a line of a stage is: cloth, a welt's cord, wadding, a fold or a mark, a cut of the shears, a row of machine stitches, thread or twine by hand, a staple, a zip, a board, foam. */
export type StageLook = 'cloth' | 'cord' | 'wadding' | 'fold' | 'cut' | 'stitch' | 'thread' | 'staple' | 'zip' | 'board' | 'foam';

/** Millimetres; a board and foam are closed shapes, everything else is open. */
export interface StageLine {
  readonly look: StageLook;
  readonly points: readonly Point[];
}

/** How a piece stands at one moment of an operation that folds, slits or turns it: seen across or flat, to scale but for the distance between layers. */
export interface Stage {
  readonly words: string;
  readonly lines: readonly StageLine[];
}

/** A line through points given as pairs. */
export const stageLine = (look: StageLook, ...points: readonly (readonly [number, number])[]): StageLine => ({
  look,
  points: points.map(([x, y]) => ({ x, y })),
});
