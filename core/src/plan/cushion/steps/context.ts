import type { Construction } from '../../../cover/contract';
import { CONSTRUCTIONS } from '../../../cover/list';
import type { Job } from '../../../job/document';
import type { Constants } from '../../../shop/assumptions';
import type { Shop } from '../../../shop/shop';
import type { Answers } from '../../answers';

/** What of its job a cushion is planned by: two cushions whose source and whose own part of the job are the same come out the same. */
export type JobAround = Pick<Job, 'units' | 'cloth' | 'waddings'>;

/** What one cushion is planned in. */
export interface CushionContext extends JobAround {
  readonly shop: Shop;
  /** The answers of what was computed beside the plan, by the hash of the request. */
  readonly answers: Answers;
  /** The constructions there are. */
  readonly constructions: readonly Construction[];
  /** The shop's constants in the job's units. */
  readonly assume: Constants;
}

/** The context of a job's cushions; with the shipped constructions where no others are given. */
export function contextOf(
  { units, cloth, waddings }: JobAround,
  shop: Shop,
  answers: Answers,
  constructions: readonly Construction[] = CONSTRUCTIONS,
): CushionContext {
  return { units, cloth, waddings, shop, answers, constructions, assume: (key) => shop.assume(key, units) };
}

/** Whether a cushion comes out the same in both, as far as its answers are the same. */
export function sameContext(a: CushionContext, b: CushionContext): boolean {
  return a.units === b.units && a.cloth === b.cloth && a.waddings === b.waddings && a.shop === b.shop && a.constructions === b.constructions;
}
