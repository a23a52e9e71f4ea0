import type { Operation } from '../piece/operation';

/** A step in the course of a day's work by one pair of hands: minutes from the beginning. */
export interface TimedStep {
  readonly step: Operation;
  readonly from: number;
  /** When the hands are free again. */
  readonly to: number;
  /** When it has rested, dried or set: what comes after it may begin. */
  readonly ready: number;
}

export interface Timed {
  readonly steps: readonly TimedStep[];
  /** Minutes of work, and when the last of it is ready. */
  readonly handMinutes: number;
  readonly readyAt: number;
}

/**
 * Steps in the order in which one person does them: always the first of the list whose predecessors are done and ready, so that hands are busy while glue sets and covers dry.
 * When no step can begin, the person waits for the one that is ready soonest. A predecessor that is not in the list counts as ready. `each`: the number of like cushions that every step is done on.
 */
export function timed(operations: readonly Operation[], each = 1): Timed {
  const ids = new Set(operations.map(({ id }) => id));
  const readyAt = new Map<string, number>();
  const waiting = [...operations];
  const steps: TimedStep[] = [];
  let now = 0;
  const beginsAt = ({ after }: Operation): number => Math.max(0, ...after.filter((id) => ids.has(id)).map((id) => readyAt.get(id) ?? Infinity));
  while (waiting.length) {
    // A circle is given up on as it stands: nothing is dropped.
    const soonest = waiting.reduce((best, one) => (beginsAt(one) < beginsAt(best) ? one : best));
    const next = waiting.find((one) => beginsAt(one) <= now) ?? soonest;
    const begin = beginsAt(next);
    const from = Number.isFinite(begin) ? Math.max(now, begin) : now;
    const to = from + next.minutes * each;
    const ready = to + next.waitMinutes;
    steps.push({ step: next, from, to, ready });
    readyAt.set(next.id, ready);
    now = to;
    waiting.splice(waiting.indexOf(next), 1);
  }
  return { steps, handMinutes: steps.reduce((sum, { from, to }) => sum + to - from, 0), readyAt: Math.max(0, ...steps.map(({ ready }) => ready)) };
}

/** The steps that bring an old cushion back: what is taken off, cleaned, glued, padded and wrapped anew; empty where none is. */
export function refreshSteps(operations: readonly Operation[]): Operation[] {
  const brings = ({ id, phase }: Operation): boolean => phase === 'strip' || id.startsWith('prepare/old-') || id.startsWith('prepare/cover-');
  return operations.some(brings) ? operations.filter((one) => brings(one) || one.id === 'prepare/wrap' || one.id === 'cut/wadding') : [];
}
