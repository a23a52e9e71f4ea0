import { runAlong } from '../geometry/along';
import type { Point } from '../geometry/point';
import type { Operation } from '../piece/operation';
import type { Piece } from '../piece/piece';
import { onItsLine, type Seam, type SeamMethod } from '../piece/seam';

/** One stretch of a piece's edge that an operation sews, where the needle goes, in the piece's own coordinates. */
export interface SewnRun {
  readonly seam: string;
  /** The seam's letter in this operation: stretches with one letter meet. */
  readonly letter: string;
  readonly words: string;
  readonly piece: string;
  readonly points: readonly Point[];
  /** It goes all round. */
  readonly ring: boolean;
  readonly rows: number;
  readonly method: SeamMethod;
}

const LETTERS = 'abcdefghijklmnopqrstuvwxyz';

/** Every stretch that an operation sews, on both of the edges that meet; stretches that do not lie on their piece are left out. */
export function sewnRuns({ seams: ids }: Pick<Operation, 'seams'>, pieces: readonly Piece[], seams: readonly Seam[]): SewnRun[] {
  const sewn = ids.flatMap((id) => seams.filter((seam) => seam.id === id));
  return sewn.flatMap(({ id, words, edges, rows, method }, index) =>
    edges.flatMap(({ stretches }) =>
      stretches.flatMap((stretch): SewnRun[] => {
        const found = onItsLine(
          pieces.find((one) => one.id === stretch.piece),
          stretch,
        );
        if (!found) return [];
        const { line, fromMm, toMm, ring } = found;
        const points = runAlong(line, fromMm, ring ? fromMm : toMm);
        return [{ seam: id, letter: LETTERS[index % LETTERS.length] as string, words, piece: stretch.piece, points, ring, rows, method }];
      }),
    ),
  );
}
