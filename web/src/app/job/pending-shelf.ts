import type { Job } from '@yardland/core';

/** A change of a job, or a step back or forth. `job` is the document as it is afterwards; null where only the server knows it. */
export interface Change {
  readonly kind: 'edit' | 'undo' | 'redo';
  readonly label: string;
  readonly job: Job | null;
}

/** What is kept in the browser until the server has it. */
export interface Pending {
  readonly revision: number;
  readonly changes: readonly Change[];
}

/** What became of keeping changes in the browser: all of them, only the job's last state, or nothing. */
export type Kept = 'all' | 'last state' | 'nothing';

function store(key: string, value: unknown): boolean {
  try {
    localStorage.setItem(key, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

/** The changes of a job that the server has not answered yet, kept in this browser. */
export const pendingShelf = {
  key: (id: string): string => `yardland.pending.${id}`,

  read(id: string): Pending | null {
    try {
      const kept = JSON.parse(localStorage.getItem(pendingShelf.key(id)) ?? 'null') as Pending | null;
      return kept && { ...kept, changes: kept.changes.map((change) => ({ ...change, kind: change.kind ?? 'edit' })) };
    } catch {
      return null;
    }
  },

  /** Keeps what waits. Where the browser's store is full the last state of the job is kept in place of every step to it; where even that does not fit, it says so. */
  keep(id: string, pending: Pending | null): Kept {
    const key = pendingShelf.key(id);
    if (!pending) {
      try {
        localStorage.removeItem(key);
      } catch {
        // A store that is forbidden holds nothing to remove.
      }
      return 'all';
    }
    if (store(key, pending)) return 'all';
    const last = pending.changes.at(-1);
    const job = last?.job ?? null;
    if (job && store(key, { revision: pending.revision, changes: [{ kind: 'edit', label: last?.label ?? '', job }] } satisfies Pending)) return 'last state';
    try {
      localStorage.removeItem(key);
    } catch {
      // Nothing was kept there.
    }
    return 'nothing';
  },
};
