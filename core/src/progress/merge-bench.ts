import { doneOn } from '../bench/batch';
import type { Cushion, Job } from '../job/document';

type Bench = NonNullable<Cushion['bench']>;
const NONE: Bench = { done: {} };

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** The job without what was done at the bench. */
const withoutBench = (job: Job): unknown => ({ ...job, cushions: job.cushions.map(({ bench: _bench, ...rest }) => rest) });

/** A list that both only add to: theirs, and what is new in mine. */
function together<T>(base: readonly T[] = [], mine: readonly T[] = [], theirs: readonly T[] = []): T[] {
  const known = base.map((one) => JSON.stringify(one));
  return [...theirs, ...mine.filter((one) => !known.includes(JSON.stringify(one)))];
}

/** What one window did at the bench since both had the same, put onto what the other has now. */
function merged(base: Bench, mine: Bench, theirs: Bench, quantity: number): Bench {
  const done = new Map(Object.entries(theirs.done));
  for (const id of new Set([...Object.keys(base.done), ...Object.keys(mine.done)])) {
    if (same(base.done[id], mine.done[id])) continue;
    const [before, after] = [doneOn(base.done[id], quantity), doneOn(mine.done[id], quantity)];
    const on = [...new Set([...doneOn(theirs.done[id], quantity), ...after])]
      .filter((cushion) => after.includes(cushion) || !before.includes(cushion))
      .sort((a, b) => a - b);
    const sizes = mine.done[id]?.sizes ?? theirs.done[id]?.sizes;
    const names = { ...theirs.done[id]?.by, ...mine.done[id]?.by };
    const by = Object.fromEntries(on.flatMap((cushion) => (names[cushion] === undefined ? [] : [[cushion, names[cushion]]])));
    done.set(id, { count: on.length, on, ...(sizes ? { sizes } : {}), ...(Object.keys(by).length ? { by } : {}) });
    if (on.length === 0) done.delete(id);
  }
  const minutes = { ...theirs.minutes };
  for (const [id, now] of Object.entries(mine.minutes ?? {})) minutes[id] = (theirs.minutes?.[id] ?? 0) + now - (base.minutes?.[id] ?? 0);
  const recuts = together(base.recuts, mine.recuts, theirs.recuts);
  const looks = together(base.looks, mine.looks, theirs.looks);
  const decided = new Map(Object.entries(theirs.kept ?? {}));
  for (const id of new Set([...Object.keys(base.kept ?? {}), ...Object.keys(mine.kept ?? {})])) {
    if (same(base.kept?.[id], mine.kept?.[id])) continue;
    const now = mine.kept?.[id];
    if (now) decided.set(id, now);
    else decided.delete(id);
  }
  const clock = same(base.clock, mine.clock) ? theirs.clock : mine.clock;
  return {
    done: Object.fromEntries(done),
    ...(Object.keys(minutes).length ? { minutes } : {}),
    ...(clock ? { clock } : {}),
    ...(recuts.length ? { recuts } : {}),
    ...(looks.length ? { looks } : {}),
    ...(decided.size ? { kept: Object.fromEntries(decided) } : {}),
  };
}

/**
 * Two windows that both had `base`: what this one only ticked, clocked or listed for recutting, together with all that the other did. Null where this one changed
 * anything else, or the other changed which cushions there are: then a person has to choose.
 */
export function mergeBench(base: Job, mine: Job, theirs: Job): Job | null {
  if (!same(withoutBench(base), withoutBench(mine)) || base.cushions.length !== theirs.cushions.length) return null;
  if (base.cushions.some(({ name, quantity }, i) => theirs.cushions[i]?.name !== name || theirs.cushions[i]?.quantity !== quantity)) return null;
  return {
    ...theirs,
    cushions: theirs.cushions.map((cushion, i) => {
      const [before, now] = [base.cushions[i]?.bench, mine.cushions[i]?.bench];
      if (same(before, now)) return cushion;
      return { ...cushion, bench: merged(before ?? NONE, now ?? NONE, cushion.bench ?? NONE, cushion.quantity) };
    }),
  };
}
