import type { Operation } from '../piece/operation';
import type { AssumptionKey, Constants } from '../shop/assumptions';
import { OWN_RATES, WORKS, type Work } from '../shop/minutes';
import { doneOn } from './batch';
import type { Tick } from './ticks';

/** One operation that was clocked: what sort of work it is, what the clock said, and what the shop's rates said for the cushions it was done on. Minutes. */
export interface Clocked {
  readonly work: Work;
  readonly clockedMinutes: number;
  readonly reckonedMinutes: number;
}

/** A clock that ran over a break, or was forgotten, tells nothing: so many times as long as was reckoned, or so much shorter. */
const BELIEVED = 4;
/** Fewer operations than this say nothing of a rate. */
export const LEAST_CLOCKED = 5;

/** What sort of work an operation is, by where and when it is done. */
export function workOf({ phase, needs }: Pick<Operation, 'phase' | 'needs'>): Work {
  if (needs === 'hand') return 'hand';
  if (phase === 'fix') return 'staple';
  if (phase === 'strip') return 'prepare';
  return phase;
}

/** The clocked operations of one kind of cushion. Not those that are done on none: nothing can be set beside their time. */
export function clockedOperations(
  operations: readonly Operation[],
  ticks: Readonly<Record<string, Tick>>,
  minutes: Readonly<Record<string, number>>,
  quantity: number,
): Clocked[] {
  return operations.flatMap((operation): Clocked[] => {
    const clockedMinutes = minutes[operation.id];
    const reckonedMinutes = operation.minutes * doneOn(ticks[operation.id], quantity).length;
    return clockedMinutes === undefined || clockedMinutes <= 0 || reckonedMinutes <= 0 ? [] : [{ work: workOf(operation), clockedMinutes, reckonedMinutes }];
  });
}

/** What the clock says of one sort of work: how often it was clocked, what was left out as not to be believed, and how many times as long it takes as the rates say. */
export interface Learnt {
  readonly work: Work;
  readonly clocked: number;
  readonly leftOut: number;
  readonly clockedMinutes: number;
  readonly reckonedMinutes: number;
  /** Clocked over reckoned, all together: long operations count for more. Null where too few were clocked. */
  readonly factor: number | null;
}

/** What the clock says of each sort of work that was clocked at all. */
export function learntFrom(all: readonly Clocked[]): Learnt[] {
  return WORKS.flatMap((work): Learnt[] => {
    const own = all.filter((one) => one.work === work);
    if (own.length === 0) return [];
    const believed = own.filter(({ clockedMinutes, reckonedMinutes }) => {
      const ratio = clockedMinutes / reckonedMinutes;
      return ratio <= BELIEVED && ratio >= 1 / BELIEVED;
    });
    const sum = (key: 'clockedMinutes' | 'reckonedMinutes'): number => believed.reduce((minutes, one) => minutes + one[key], 0);
    const [clockedMinutes, reckonedMinutes] = [sum('clockedMinutes'), sum('reckonedMinutes')];
    const factor = believed.length >= LEAST_CLOCKED ? clockedMinutes / reckonedMinutes : null;
    return [{ work, clocked: believed.length, leftOut: own.length - believed.length, clockedMinutes, reckonedMinutes, factor }];
  });
}

/** The rates of one sort of work as the clock would have them: to a hundredth of a minute, and never nothing. */
export function ratesBy(work: Work, factor: number, assume: Constants): Partial<Record<AssumptionKey, number>> {
  return Object.fromEntries(OWN_RATES[work].map((key) => [key, Math.max(0.01, Math.round(assume(key) * factor * 100) / 100)]));
}
