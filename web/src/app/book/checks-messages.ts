import type { CheckPoint, ComplaintSort, Job, ShopDocument, Since, ThreeSizes } from '@yardland/core';
import type { Evidence, Learnt } from '@yardland/core/book';

/** A question to the thread that holds checks against promises. */
export interface ToChecks {
  readonly jobs: readonly { readonly id: string; readonly job: unknown }[];
  readonly shop: ShopDocument;
}

/** One measure of one check, and the job it is of. */
export interface JobPoint extends CheckPoint {
  readonly job: string;
  readonly jobName: string;
}

/** How far it is, or all of it. */
export type FromChecks =
  { readonly done: number; readonly of: number } | { readonly points: readonly JobPoint[]; readonly learnt: Learnt; readonly jobs: number };

/** A question to the thread that looks back over a cushion. */
export interface ToLookBack {
  readonly job: Job;
  readonly index: number;
  readonly complaint: ComplaintSort;
  readonly shop: ShopDocument;
}

/** What was found; null where there is no such cushion. */
export type FromLookBack = readonly Evidence[] | null;

/** A question about making a cushion once more: which, and since when. */
export interface ToAgain {
  readonly again: { readonly job: Job; readonly index: number; readonly id: string; readonly on: string };
  readonly shop: ShopDocument;
}

/** The job that makes it again, what it was sewn to, and what has changed since; null where it cannot be made any more. */
export type FromAgain = { readonly made: Job; readonly sewn: ThreeSizes; readonly since: readonly Since[] } | null;
