import { issue, type Issue } from '../kernel/issue';
import { PHASES, type Operation } from '../piece/operation';

export interface Ordered {
  readonly operations: readonly Operation[];
  readonly problems: readonly Issue[];
}

/**
 * Operations in an order in which each comes after all that it names, phase by phase and otherwise as they were given. Names that are not in the list are passed over.
 * Operations that wait for each other in a circle are a problem; they stand at the end, so that none is lost.
 */
export function ordered(operations: readonly Operation[]): Ordered {
  const ids = new Set(operations.map(({ id }) => id));
  const waiting = [...operations].sort((a, b) => PHASES.indexOf(a.phase) - PHASES.indexOf(b.phase));
  const done = new Set<string>();
  const out: Operation[] = [];
  while (waiting.length) {
    const next = waiting.findIndex(({ after }) => after.every((id) => done.has(id) || !ids.has(id)));
    if (next === -1) {
      const circle = waiting.map(({ id }) => id).join(', ');
      return { operations: [...out, ...waiting], problems: [issue('error', 'operations-in-a-circle', 'construction', { operations: circle })] };
    }
    const [one] = waiting.splice(next, 1) as [Operation];
    out.push(one);
    done.add(one.id);
  }
  return { operations: out, problems: [] };
}
