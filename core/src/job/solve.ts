import type { CrownAnswer, CrownAsk } from '../build/domed';
import { solveCrown } from '../build/solve-crown';
import type { LayAnswer, LayRequest } from '../lay/contract';
import { solveLay } from '../lay/engine';
import type { Shop } from '../shop/shop';
import type { Job } from './document';
import { plan, type Plan, type Solved } from './plan';

/** The heavy questions of a plan, told apart by their format. */
export type HeavyRequest = LayRequest | CrownAsk;
export type HeavyAnswer = LayAnswer | CrownAnswer;

/** Answers one heavy question, here and now. */
export function solve(request: HeavyRequest): HeavyAnswer {
  return request.format === 'yardland/crown-ask@1' ? solveCrown(request) : solveLay(request);
}

/** The plan of a job with everything heavy answered, crowns first, then the lays of the plates they shape. `answer` may work elsewhere. */
export async function planWith(job: Job, shop: Shop, answer: (hash: string, request: HeavyRequest) => Promise<HeavyAnswer>): Promise<Plan> {
  let known: Solved = {};
  let made = plan(job, shop);
  while (made.wanted.length) {
    const answers = await Promise.all(made.wanted.map(async ({ hash, request }) => [hash, await answer(hash, request)] as const));
    known = { ...known, ...Object.fromEntries(answers) };
    made = plan(job, shop, known, made);
  }
  return made;
}

/** The same, here and now. */
export function planSolved(job: Job, shop: Shop): Plan {
  let known: Solved = {};
  let made = plan(job, shop);
  while (made.wanted.length) {
    known = { ...known, ...Object.fromEntries(made.wanted.map(({ hash, request }) => [hash, solve(request)])) };
    made = plan(job, shop, known, made);
  }
  return made;
}
