import type { Job, Plan, ShopDocument, Solved } from '@yardland/core';

/** What a plan is made of. */
export interface PlanSource {
  readonly job: Job;
  readonly shop: ShopDocument;
  readonly solved: Solved;
}

/** A plan without what it was made of: that is where the plan was asked for. */
export type DerivedPlan = Omit<Plan, 'job' | 'shop'>;

/** So many levels of lists and records deep a source is compared: the job, its cushions, one cushion, its fields. */
export const SOURCE_DEPTH = 4;

/** And a plan: its cushions or lays, one of them, its fields. */
export const PLAN_DEPTH = 3;
