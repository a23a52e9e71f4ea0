import { solveCrown } from '../crown/solve-crown';
import { joinLongCore } from '../filling/long-core';
import { solveLay } from '../lay/engine/engine';
import type { CheckedLay, LayAnswer, LayRequest } from '../lay/contract';
import { validateLay } from '../lay/validate';
import type { Shop } from '../shop/shop';
import type { HeavyAnswer, HeavyRequest, Solved } from './answers';
import type { Job } from '../job/document';
import { plan, type Plan, type Wanted } from './plan';

/** A lay with what the independent check says of it. */
export function checkedLay(request: LayRequest, answer: LayAnswer): CheckedLay {
  return { format: 'yardland/checked-lay@2', answer, problems: validateLay(request, answer) };
}

/** A lay that was kept from an earlier search of the same request, if it can be cut; null where the check finds anything wrong with it. */
export function stillGood(request: LayRequest, kept: LayAnswer): CheckedLay | null {
  const checked = checkedLay(request, kept);
  return checked.problems.length ? null : checked;
}

/** Answers one heavy question, here and now. */
export function solve(request: HeavyRequest): HeavyAnswer {
  switch (request.format) {
    case 'yardland/crown-ask@1':
      return solveCrown(request);
    case 'yardland/long-core-ask@1':
      return joinLongCore(request);
    case 'yardland/lay-request@2':
      return checkedLay(request, solveLay(request));
  }
}

const everything = (): boolean => true;

/** What shapes the pieces, without their lays: enough for sizes, covers, fit and checks. */
export const allButLays = ({ request }: Wanted): boolean => request.format !== 'yardland/lay-request@2';

/** The plan of a job with everything heavy answered: what shapes the pieces first, then their lays; or only what is `asked` of it. `answer` may work elsewhere. */
export async function planWith(
  job: Job,
  shop: Shop,
  answer: (hash: string, request: HeavyRequest) => Promise<HeavyAnswer>,
  asked: (one: Wanted) => boolean = everything,
): Promise<Plan> {
  let known: Solved = {};
  let made = plan(job, shop);
  for (;;) {
    const wanted = made.wanted.filter(asked);
    if (wanted.length === 0) return made;
    const answers = await Promise.all(wanted.map(async ({ hash, request }) => [hash, await answer(hash, request)] as const));
    known = { ...known, ...Object.fromEntries(answers) };
    made = plan(job, shop, known, made);
  }
}

/** The same, here and now; what is `given` is not answered anew. */
export function planSolved(job: Job, shop: Shop, asked: (one: Wanted) => boolean = everything, given: Solved = {}): Plan {
  let known = given;
  let made = plan(job, shop, known);
  for (;;) {
    const wanted = made.wanted.filter(asked);
    if (wanted.length === 0) return made;
    known = { ...known, ...Object.fromEntries(wanted.map(({ hash, request }) => [hash, solve(request)])) };
    made = plan(job, shop, known, made);
  }
}
