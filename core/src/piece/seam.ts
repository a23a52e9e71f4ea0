import { aheadOn } from '../geometry/around';
import { alongOutline } from '../geometry/along';
import { perimeter, type Outline } from '../geometry/outline';
import { distance, type Point } from '../geometry/point';
import { SAME_POINT_MM } from '../geometry/tolerance';
import { issue, type Issue } from '../kernel/issue';
import type { Piece } from './piece';

/** A stretch of a piece's own seam line, from one place on it to another, counter-clockwise; all round where both are one. */
export interface Stretch {
  readonly piece: string;
  readonly from: Point;
  readonly to: Point;
  /** On one of the piece's placement lines, by its place in their list, instead of its seam line. */
  readonly placement?: number;
  /** Folded away inside the piece before this seam is sewn, mm. */
  readonly foldedMm?: number;
}

/** One edge of a seam: stretches of one piece or of several in a row, and its length measured on them. */
export interface SeamEdge {
  readonly stretches: readonly Stretch[];
  readonly lengthMm: number;
}

export type SeamMethod = 'machine' | 'top-stitch' | 'hand' | 'staple';

/** A seam: what meets what. */
export interface Seam {
  readonly id: string;
  /** What it is called: `band to the top plate`. */
  readonly words: string;
  readonly method: SeamMethod;
  readonly edges: readonly [SeamEdge, SeamEdge];
  /** How often it is sewn in one cushion, and in how many rows. */
  readonly count: number;
  readonly rows: number;
  /** How much longer the second edge is on purpose, worked in as it is sewn, mm. */
  readonly easedMm: number;
  /** A zip lies in it or is crossed by it. */
  readonly zip?: true;
}

/** Longest difference between the two edges of a seam that is not eased on purpose, mm. */
export const SEAM_PAIR_MM = 1;
/** A place named as lying on a seam line may be off it by this, mm: what drawing a curve anew leaves. */
export const ON_LINE_MM = 0.05;

/** Where a stretch lies: the line it runs on, how far along that it begins and ends (mm), and whether it goes all round. */
export interface StretchOnLine {
  readonly line: Outline;
  readonly fromMm: number;
  readonly toMm: number;
  readonly ring: boolean;
}

/** A stretch found on its piece; null where the piece has no such line or a place does not lie on it. */
export function onItsLine(piece: Piece | undefined, { from, to, placement }: Stretch): StretchOnLine | null {
  const line = placement === undefined ? piece?.sewn : piece?.placements?.[placement];
  if (!line) return null;
  const [fromMm, toMm] = [alongOutline(line, from, ON_LINE_MM), alongOutline(line, to, ON_LINE_MM)];
  if (fromMm === null || toMm === null) return null;
  return { line, fromMm, toMm, ring: distance(from, to) <= SAME_POINT_MM };
}

/** Length of a stretch, measured on its piece; NaN where it does not lie on it. */
export function stretchLength(piece: Piece | undefined, stretch: Stretch): number {
  const found = onItsLine(piece, stretch);
  if (!found) return NaN;
  const round = perimeter(found.line);
  const run = found.ring ? round : aheadOn(round, found.fromMm, found.toMm);
  return run - (stretch.foldedMm ?? 0);
}

/** An edge with its length measured on the pieces' own seam lines. */
export function measuredEdge(pieces: readonly Piece[], stretches: readonly Stretch[]): SeamEdge {
  const lengthMm = stretches.reduce(
    (sum, stretch) =>
      sum +
      stretchLength(
        pieces.find(({ id }) => id === stretch.piece),
        stretch,
      ),
    0,
  );
  return { stretches, lengthMm };
}

/** What a construction says of a seam; its lengths come from the pieces. */
export interface SeamDraft extends Omit<Seam, 'edges' | 'easedMm' | 'count' | 'rows' | 'method'> {
  readonly first: readonly Stretch[];
  readonly second: readonly Stretch[];
  readonly method?: SeamMethod;
  readonly count?: number;
  readonly rows?: number;
  readonly easedMm?: number;
}

/** The seams of a cover, each edge measured on its pieces. */
export function seamsOn(pieces: readonly Piece[], drafts: readonly SeamDraft[]): Seam[] {
  return drafts.map(({ first, second, method = 'machine', count = 1, rows = 1, easedMm = 0, ...rest }) => ({
    ...rest,
    method,
    count,
    rows,
    easedMm,
    edges: [measuredEdge(pieces, first), measuredEdge(pieces, second)],
  }));
}

/** What is sewn of the seams in one cushion, every row of each as often as it is there, mm. */
export function sewnMm(seams: readonly Seam[]): number {
  return seams.reduce((mm, { count, rows, edges }) => mm + count * rows * edges[0].lengthMm, 0);
}

/** The seams whose two edges differ by more than the tolerance, or cannot be measured. */
export function unequalSeams(seams: readonly Seam[]): Seam[] {
  return seams.filter((seam) => !(Math.abs(seam.edges[0].lengthMm + seam.easedMm - seam.edges[1].lengthMm) <= SEAM_PAIR_MM));
}

/** The same as problems. */
export function seamProblems(seams: readonly Seam[]): Issue[] {
  return unequalSeams(seams).map(({ words, edges }) =>
    issue('error', 'seam-pair-unequal', 'construction', { seam: words, firstMm: edges[0].lengthMm, secondMm: edges[1].lengthMm }),
  );
}
