import { issue, type Issue } from '../kernel/issue';
import { PHASES, type Operation } from '../piece/operation';

export interface Ordered {
  readonly operations: readonly Operation[];
  readonly problems: readonly Issue[];
}

/** Whether all that waits of one setup in one phase can be done now, one after another. */
function finishes(waiting: readonly Operation[], can: (operation: Operation, done: ReadonlySet<string>) => boolean, done: ReadonlySet<string>): boolean {
  const [then, left] = [new Set(done), new Set(waiting)];
  for (;;) {
    const next = [...left].find((one) => can(one, then));
    if (!next) return left.size === 0;
    left.delete(next);
    then.add(next.id);
  }
}

/**
 * Operations in an order in which each comes after all that it names, phase by phase. Of those that can be done next, one of the `setup` at hand goes
 * first (null: it needs none, and keeps its place); where a change is needed, to a setup that can be finished, so that it is not changed to again. Otherwise they come as
 * they were given. Names that are not in the list are passed over.
 * Operations that wait for each other in a circle are a problem; they stand at the end, so that none is lost.
 */
export function ordered(operations: readonly Operation[], setup: (operation: Operation) => string | null = () => null): Ordered {
  const ids = new Set(operations.map(({ id }) => id));
  const waiting = [...operations].sort((a, b) => PHASES.indexOf(a.phase) - PHASES.indexOf(b.phase));
  const done = new Set<string>();
  const out: Operation[] = [];
  const can = ({ after }: Operation, known: ReadonlySet<string>): boolean => after.every((id) => known.has(id) || !ids.has(id));
  let at: string | null = null;
  while (waiting.length) {
    const first = waiting.find((one) => can(one, done));
    if (!first) {
      const circle = waiting.map(({ id }) => id).join(', ');
      return { operations: [...out, ...waiting], problems: [issue('error', 'operations-in-a-circle', 'construction', { operations: circle })] };
    }
    const now = waiting.filter((one) => one.phase === first.phase && can(one, done));
    const rest = (of: string | null): Operation[] => waiting.filter((one) => one.phase === first.phase && setup(one) === of);
    const next =
      now.find((one) => setup(one) !== null && setup(one) === at) ?? now.find((one) => setup(one) !== null && finishes(rest(setup(one)), can, done)) ?? first;
    waiting.splice(waiting.indexOf(next), 1);
    out.push(next);
    done.add(next.id);
    at = setup(next) ?? at;
  }
  return { operations: out, problems: [] };
}
