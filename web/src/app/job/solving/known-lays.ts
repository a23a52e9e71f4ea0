import type { Plan, Solved } from '@yardland/core';

/** The lays of a plan that are there, as answers by their hash: what is in hand need not be laid anew. */
export function knownLays(plan: Plan | null): Solved {
  const there = (plan?.lays ?? []).flatMap(({ hash, answer, problems }) =>
    answer ? [[hash, { format: 'yardland/checked-lay@2' as const, answer, problems }] as const] : [],
  );
  return Object.fromEntries(there);
}
