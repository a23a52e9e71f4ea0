import type { BiasWay } from '../cover/welt/bias';
import type { ClothUse, Job } from '../job/document';
import type { WrapWay } from '../shop/schools';

/** One other way to lay the same set on a cloth. */
export type LayWay =
  | { readonly kind: 'as-it-is' }
  | { readonly kind: 'turned' }
  | { readonly kind: 'width'; readonly widthMm: number }
  | { readonly kind: 'bias'; readonly way: BiasWay }
  | { readonly kind: 'pattern'; readonly matched: boolean }
  /** One cushion off the pattern, or on it again; or one of its pieces that go on from others. */
  | { readonly kind: 'motif'; readonly cushion: string; readonly piece: string | null; readonly matched: boolean }
  | { readonly kind: 'straight-welt' }
  | { readonly kind: 'boxing'; readonly strips: 'across' | 'along' }
  | { readonly kind: 'wrap'; readonly wrap: WrapWay }
  | { readonly kind: 'one-by-one' };

/** A way with the job as it would be. */
export interface Tried {
  readonly way: LayWay;
  readonly job: Job;
  /** The cloth as it is used then. */
  readonly use: ClothUse;
}

/** A way with what it takes, each a real lay. */
export interface LayCompared {
  readonly way: LayWay;
  /** The job as it would be; null where it is only about the order of cutting. */
  readonly job: Job | null;
  /** Length laid, mm, and bought, mm; of one by one all lengths together. */
  readonly laidMm: number;
  readonly buyMm: number | null;
  readonly use: number;
  /** Joins in the welts; of ways of wrapping, in the wadding. */
  readonly joins: number;
  /** Pieces that found no place. */
  readonly unplaced: number;
  /** Warnings and errors of the plan as it would be. */
  readonly problems: number;
}

/** Ways that change nothing but how the welt is cut. */
export const WELT_WAYS: readonly LayWay['kind'][] = ['as-it-is', 'bias', 'straight-welt'];

/**
 * The way of cutting the welt that buys the least cloth, if it is less than now, places every piece and adds no problem. Among equals the one with the
 * fewest joins. Null when there is none.
 */
export function cheapestWelt([now, ...others]: readonly LayCompared[]): LayCompared | null {
  const bought = ({ buyMm }: LayCompared): number => buyMm ?? Infinity;
  const better = others.filter(
    (row) => row.job && WELT_WAYS.includes(row.way.kind) && row.unplaced === 0 && now && row.problems <= now.problems && bought(row) < bought(now),
  );
  return better.sort((a, b) => bought(a) - bought(b) || a.joins - b.joins)[0] ?? null;
}
