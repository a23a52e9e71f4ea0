import { withPassedLooks } from '../bench/looks';
import { goesOn } from '../plan/lays/planned-lay';
import type { Plan } from '../plan/plan';
import { meaningOf } from '../record/meaning';
import { stationOf, type StationId } from './stations';

/** `open`: nothing is wrong, and it is not finished; `working`: an answer is on its way. */
export type StationState = 'open' | 'done' | 'doubtful' | 'blocked' | 'working';

/** How each station stands for one cushion of a plan. */
export function stationStates(plan: Plan, index: number): Record<StationId, StationState> {
  const one = plan.cushions[index];
  const states: Record<StationId, StationState> = {
    'look-over': 'open',
    filling: 'open',
    template: 'open',
    build: 'open',
    cover: 'open',
    lay: 'open',
    bench: 'open',
    check: 'open',
  };
  if (!one) return states;
  const { source } = one;
  const worst = (id: StationId): StationState => {
    const mine = one.problems.filter((problem) => stationOf(problem.path) === id);
    return mine.some((p) => p.severity === 'error') ? 'blocked' : mine.some((p) => p.severity === 'warning') ? 'doubtful' : 'done';
  };
  const lays = plan.lays;
  const steps = one.operations;
  const ticks = withPassedLooks(steps, source.bench?.done ?? {}, source.quantity);
  const lastCheck = source.checks?.at(-1);
  return {
    'look-over': source.seat?.support && source.seat.use ? 'done' : 'open',
    filling: worst('filling'),
    template: worst('template'),
    build: one.sizes ? worst('build') : 'blocked',
    cover: one.cover ? worst('cover') : 'blocked',
    lay: lays.some((lay) => lay.problems.length)
      ? 'blocked'
      : plan.wanted.length
        ? 'working'
        : lays.some((lay) => !goesOn(lay) && lay.answer?.unplaced.length)
          ? 'blocked'
          : lays.length
            ? 'done'
            : 'open',
    bench: steps.length && steps.every((step) => (ticks[step.id]?.count ?? 0) >= source.quantity) ? 'done' : one.cover ? 'open' : 'blocked',
    check: lastCheck ? (meaningOf(one, lastCheck).some(({ code }) => code !== 'as-promised') ? 'doubtful' : 'done') : 'open',
  };
}
