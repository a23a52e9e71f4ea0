import type { Construction } from '../cover/contract';
import { CONSTRUCTIONS } from '../cover/list';
import { issue, under, type Issue } from '../kernel/issue';
import type { Shop } from '../shop/shop';
import { answersIn, type HeavyRequest, type Solved } from './answers';
import { buyList, type BuyLine } from './buy/buy';
import type { Job } from '../job/document';
import { chooseLots, lotProblems, type LotChoice } from './lays/lots';
import { laysOf } from './lays/lays';
import { isBought, recutKey, repeatToBegin, type PlannedLay, type WantedLay } from './lays/planned-lay';
import { recutLays } from './lays/recut-lays';
import { offRemnants } from './lays/remnant-lays';
import { missingPieces } from './lays/missing';
import { contextOf, sameContext } from './cushion/steps/context';
import { planCushion } from './cushion/plan-cushion';
import { unanswered, type CushionPlan } from './cushion/cushion-plan';
import { salvagedUses, type SalvagedUse } from './buy/salvaged';

/** A question that the plan needs answered before its cushion's pieces are known. */
export interface WantedAnswer {
  readonly hash: string;
  readonly request: HeavyRequest;
}
export type Wanted = WantedLay | WantedAnswer;

export interface Plan {
  readonly job: Job;
  readonly shop: Shop;
  readonly cushions: readonly CushionPlan[];
  readonly lays: readonly PlannedLay[];
  /** Crowns and long cores still without an answer; when there are none, the lays. */
  readonly wanted: readonly Wanted[];
  /** Which lot each foam of the job is cut from. */
  readonly lots: readonly LotChoice[];
  /** Salvaged zips set aside for it, and the cushion each goes into. */
  readonly salvaged: readonly SalvagedUse[];
  readonly buy: readonly BuyLine[];
  /** Everything wrong, paths from the document's root. */
  readonly problems: readonly Issue[];
}

/** Whether a problem of a cushion is about the job's own cloth. */
export const isOfJob = ({ path }: Pick<Issue, 'path'>, { source }: Pick<CushionPlan, 'source'>): boolean => path.startsWith('cloth') && !source.cloth;

function planLay(one: WantedLay, solved: Solved, previous: Plan | undefined): PlannedLay {
  const solvedLay = solved[one.hash];
  if (solvedLay?.format === 'yardland/checked-lay@2') {
    const { answer, problems } = solvedLay;
    // An answer that breaks the rules is shown as a problem and never cut from.
    return { ...one, answer: problems.length ? null : answer, problems };
  }
  const before = previous?.lays.find((lay) => lay.hash === one.hash && lay.answer);
  // The answer is taken over; what the lay is of may have changed around it, such as how much of the cloth there is.
  return before ? { ...one, answer: before.answer, problems: before.problems } : { ...one, answer: null, problems: [] };
}

/** A core's mark written twice: nobody could tell which cover belongs on which. */
function markProblems(cushions: readonly CushionPlan[]): Issue[] {
  const seen = new Map<string, number>();
  return cushions.flatMap(({ source }, index) => {
    const mark = source.seat?.old?.mark?.trim();
    if (!mark) return [];
    const before = seen.get(mark);
    seen.set(mark, index);
    return before === undefined
      ? []
      : [issue('warning', 'core-mark-twice', `cushions.${index}.seat.old.mark`, { mark, other: cushions[before]?.source.name ?? '' })];
  });
}

/** The customer's own cloth, where it is shorter than what the lay, and by itself what is cut anew, takes with its end squared. */
function ownClothProblems(lays: readonly PlannedLay[], squareEndMm: number): Issue[] {
  return lays.filter(isBought).flatMap(({ subject, answer, request, key }) => {
    if (subject.kind !== 'cloth' || subject.ownLengthMm === null || !answer) return [];
    const again = lays.find((one) => one.key === recutKey(key))?.answer?.lengthMm ?? 0;
    const neededMm = answer.lengthMm + again + squareEndMm + repeatToBegin(request);
    const shortMm = neededMm - subject.ownLengthMm;
    return shortMm > 0
      ? [issue('error', 'own-cloth-short', 'cloth.ownLengthMm', { cloth: subject.name, shortMm, neededMm, thereMm: subject.ownLengthMm })]
      : [];
  });
}

/** Cushions that cannot be matched to the pattern of their cloth: they are laid as if it had none. */
function patternProblems(lays: readonly PlannedLay[], cushions: readonly CushionPlan[]): Issue[] {
  return lays.flatMap(({ subject, offPattern }) =>
    offPattern.map((index) =>
      issue('warning', 'pattern-cannot-match', `cushions.${index}`, {
        cloth: subject.kind === 'cloth' ? subject.name : '',
        cushion: cushions[index]?.source.name ?? '',
      }),
    ),
  );
}

const asWanted = ({ hash, key, subject, request, offPattern, recutOf, remnant, held }: WantedLay): WantedLay => ({
  hash,
  key,
  subject,
  request,
  offPattern,
  recutOf,
  remnant,
  held,
});

/** The lays of a job: what comes off remnants, what is bought, and what is cut anew. */
function everyLay(job: Job, cushions: readonly CushionPlan[], shop: Shop, solvedAs: (lay: WantedLay) => PlannedLay): WantedLay[] {
  const lays = laysOf(job, cushions, shop);
  const laid = offRemnants(job, lays, shop, solvedAs);
  return [...laid, ...recutLays({ job, plans: cushions, lays, laid, shop }, solvedAs)];
}

/** Whether what a job says of its lays is the same in both. */
const sameLaying = (a: Job, b: Job): boolean => a.pins === b.pins && a.remnants === b.remnants && a.lays === b.lays && a.foamCuts === b.foamCuts;

/**
 * The one road from a job to everything derived. Pure and total: problems come back as data. Heavy parts are listed in `wanted` until their
 * answers come back in `solved`. Cushions of `previous` whose source and surroundings are the same objects are taken over as they are.
 */
export function plan(job: Job, shop: Shop, solved: Solved = {}, previous?: Plan, constructions: readonly Construction[] = CONSTRUCTIONS): Plan {
  const answers = answersIn(solved);
  const context = contextOf(job, shop, answers, constructions);
  const same = previous !== undefined && sameContext(context, contextOf(previous.job, previous.shop, answers, constructions));
  const known = new Map(same ? previous.cushions.map((one) => [one.source, one]) : []);
  const cushions = job.cushions.map((cushion) => {
    const before = known.get(cushion);
    const stale = before && unanswered(before).some(({ hash }) => solved[hash]);
    return before && !stale ? before : planCushion(cushion, context);
  });
  const unchanged =
    same && sameLaying(job, previous.job) && cushions.length === previous.cushions.length && cushions.every((one, i) => one === previous.cushions[i]);
  // Plates whose crown is still worked out have no shape yet to be laid.
  const open = cushions.flatMap((one) => unanswered(one).map(({ hash, request }): WantedAnswer => ({ hash, request })));
  const requests: readonly WantedLay[] = open.length
    ? []
    : unchanged && !previous.lays.some(({ held }) => held)
      ? previous.lays
      : everyLay(job, cushions, shop, (one) => planLay(one, solved, previous));
  const lays = requests.map((one) => planLay(asWanted(one), solved, previous));
  const cushionProblems = cushions.flatMap((one, i) =>
    one.problems.flatMap((problem) => (isOfJob(problem, one) ? [problem] : under(`cushions.${i}`, [problem]))),
  );
  const lots = chooseLots(lays.filter(isBought), job, shop);
  const salvaged = salvagedUses(job, cushions, shop);
  const buy = buyList({ job, plans: cushions, lays, lots, salvaged, shop });
  return {
    job,
    shop,
    cushions,
    lays,
    wanted: open.length ? open : lays.filter((lay) => lay.answer === null && lay.problems.length === 0 && !lay.held).map(asWanted),
    lots,
    salvaged,
    buy,
    problems: [
      ...cushionProblems,
      ...markProblems(cushions),
      ...lotProblems(lots, job, shop),
      ...lays.flatMap((lay) => lay.problems),
      ...missingPieces(lays, cushions),
      ...patternProblems(lays, cushions),
      ...ownClothProblems(lays, shop.assume('squareEndMm', job.units)),
    ],
  };
}
