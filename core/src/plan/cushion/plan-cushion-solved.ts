import type { CrownAnswer, CrownAsk } from '../../crown/domed';
import type { Cushion } from '../../job/document';
import { planCushion } from './plan-cushion';
import type { CushionContext } from './steps/context';
import type { CushionPlan } from './cushion-plan';

/** Works a crown out, here and now. */
export type CrownSolver = (request: CrownAsk) => CrownAnswer;

/** One cushion planned with its own crown worked out: for trying a change beside the plan. */
export function planCushionSolved(cushion: Cushion, context: CushionContext, solveCrown: CrownSolver): CushionPlan {
  const first = planCushion(cushion, context);
  if (!first.crown || first.crown.answer) return first;
  const { hash, request } = first.crown;
  const answer = solveCrown(request);
  return planCushion(cushion, { ...context, answers: { ...context.answers, crown: (asked) => (asked === hash ? answer : null) } });
}
