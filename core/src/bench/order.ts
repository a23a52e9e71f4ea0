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
 * Sorts operations so that each comes after all that it names, phase by phase. Names that are not in the list are ignored.
 *
 * Among operations that are ready, one with the current `setup` goes first (null needs no setup and keeps its place). When the setup has to change, a setup whose operations can all be
 * finished is preferred, so that it is not needed twice. Other ties keep the given order. A circle is reported as a problem and its operations go to the end: none is lost.
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
