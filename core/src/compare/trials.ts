import { solveCrown } from '../crown/solve-crown';
import type { CrownAnswer, CrownAsk } from '../crown/domed';
import { openShop, type ShopDocument } from '../shop/shop';
import { fitAdvice, type Advice, type TrialProgress } from './advice';
import { answersIn, type Solved } from '../plan/answers';
import { compareLays } from './compare-lays';
import type { LayCompared } from './lay-ways';
import { compareSchools, type Compared } from './compare-schools';
import { compareWraps } from './compare-wraps';
import type { ClothUse, Cushion, Job } from '../job/document';
import { contextOf, type JobAround } from '../plan/cushion/steps/context';
import { planCushionSolved } from '../plan/cushion/plan-cushion-solved';

/** A question about the lay of one cloth of a job, whole in itself. */
export interface LayTrialAsk {
  readonly format: 'yardland/lay-compare-ask@1';
  readonly job: Job;
  readonly use: ClothUse;
  readonly shop: ShopDocument;
  /** Only as it is, and with its welt cut in other ways. */
  readonly only?: 'welt';
  /** Lays that are known already, by hash. */
  readonly known?: Solved;
}

/** A question about the wadding of a job: one of its cushions wrapped in every way. */
export interface WrapTrialAsk {
  readonly format: 'yardland/wrap-compare-ask@1';
  readonly job: Job;
  readonly cushion: number;
  readonly shop: ShopDocument;
  /** Lays that are known already, by hash. */
  readonly known?: Solved;
}

/** A question about a cushion beside its plan, whole in itself so that a worker can answer it. */
export interface CushionTrialAsk {
  readonly format: 'yardland/advice-ask@1' | 'yardland/compare-ask@1';
  readonly cushion: Cushion;
  readonly job: JobAround;
  readonly shop: ShopDocument;
}

export type TrialAsk = CushionTrialAsk | LayTrialAsk | WrapTrialAsk;

export type TrialAnswer =
  | { readonly format: 'yardland/lay-compare-answer@1'; readonly compared: readonly LayCompared[] }
  | { readonly format: 'yardland/advice-answer@1'; readonly advice: readonly Advice[] }
  | { readonly format: 'yardland/compare-answer@1'; readonly compared: readonly Compared[] };

/** Answers a question beside the plan, yielding how far it is. */
export function* runTrial(ask: TrialAsk): Generator<TrialProgress, TrialAnswer> {
  if (ask.format === 'yardland/lay-compare-ask@1')
    return { format: 'yardland/lay-compare-answer@1', compared: yield* compareLays(ask.job, ask.use, openShop(ask.shop), ask) };
  if (ask.format === 'yardland/wrap-compare-ask@1')
    return { format: 'yardland/lay-compare-answer@1', compared: yield* compareWraps(ask.job, ask.cushion, openShop(ask.shop), ask.known) };
  return yield* runCushionTrial(ask);
}

function* runCushionTrial({ format, cushion, job, shop }: CushionTrialAsk): Generator<TrialProgress, TrialAnswer> {
  const context = contextOf(job, openShop(shop), answersIn({}));
  const known = new Map<string, CrownAnswer>();
  const crown = (request: CrownAsk): CrownAnswer => {
    const name = JSON.stringify(request);
    const answer = known.get(name) ?? solveCrown(request);
    known.set(name, answer);
    return answer;
  };
  if (format === 'yardland/compare-ask@1') return { format: 'yardland/compare-answer@1', compared: yield* compareSchools(cushion, context, crown) };
  const one = planCushionSolved(cushion, context, crown);
  return { format: 'yardland/advice-answer@1', advice: yield* fitAdvice(one, context, crown) };
}

/** The last value of a generator, run to its end here and now. */
export function finished<Y, R>(run: Generator<Y, R>): R {
  for (let step = run.next(); ; step = run.next()) if (step.done) return step.value;
}
