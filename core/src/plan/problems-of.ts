import type { Issue } from '../kernel/issue';
import type { Plan } from './plan';

/** What concerns one cushion: its own problems, those of the whole job, and those of the foam it is cut from. Paths from the root. */
export function problemsOf(plan: Plan, index: number): Issue[] {
  const foams = new Set(plan.cushions[index]?.source.core.layers.map((layer) => `lots.${layer.grade}`));
  return plan.problems.filter(({ path }) => path.startsWith(`cushions.${index}.`) || path.startsWith('cloth') || foams.has(path));
}
