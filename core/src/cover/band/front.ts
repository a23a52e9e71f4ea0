import type { Outline } from '../../geometry/outline';
import type { Segment } from '../../geometry/segment';

/** An outline whose front is one straight side: that side, and the rest from its right end round to its left. */
export interface FrontAndRest {
  readonly front: Segment;
  readonly rest: readonly Segment[];
}

/** Null where the front is not one straight side with a corner at both its ends. */
export function frontOf({ segments }: Outline): FrontAndRest | null {
  const fronts = segments.filter(({ edge }) => edge === 'front');
  const [front] = fronts;
  if (!front || fronts.length !== 1 || front.kind !== 'line') return null;
  const at = segments.indexOf(front);
  const rest = [...segments.slice(at + 1), ...segments.slice(0, at)];
  const [after, before] = [rest[0], rest.at(-1)];
  return after?.edge === 'corner' || before?.edge === 'corner' || rest.length < 2 ? null : { front, rest };
}
