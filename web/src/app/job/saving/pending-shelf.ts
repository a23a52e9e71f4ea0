import { inject, Injectable } from '@angular/core';
import type { Job } from '@yardland/core';
import { map, type Observable } from 'rxjs';
import { WindowShelves } from '../../shared/saving/window-shelves';

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

const KIND = 'yardland.pending.';

/** The changes of jobs that the server has not answered yet, kept in this browser. */
@Injectable({ providedIn: 'root' })
export class PendingShelf {
  readonly #shelves = inject(WindowShelves);
  /** Something was put on a shelf of this window, or taken off. */
  readonly changed$ = this.#shelves.changed$;

  /** What waits for a job: this window's own, or what a closed window has left. */
  find(id: string): Observable<Pending | null> {
    return this.#shelves.find(KIND, id).pipe(
      map((kept) => {
        const pending = kept as Pending | null;
        return pending && { ...pending, changes: pending.changes.map((change) => ({ ...change, kind: change.kind ?? 'edit' })) };
      }),
    );
  }

  /** Keeps what waits. Where the browser's store is full the last state of the job is kept in place of every step to it; where even that does not fit, it says so. */
  keep(id: string, pending: Pending | null): Kept {
    if (this.#shelves.keep(KIND, id, pending)) return 'all';
    const last = pending?.changes.at(-1);
    const job = last?.job ?? null;
    if (
      pending &&
      job &&
      this.#shelves.keep(KIND, id, { revision: pending.revision, changes: [{ kind: 'edit', label: last?.label ?? '', job }] } satisfies Pending)
    )
      return 'last state';
    this.#shelves.keep(KIND, id, null);
    return 'nothing';
  }

  /** The jobs of which something waits, on the shelf of any window. */
  jobs(): string[] {
    return this.#shelves.ids(KIND);
  }
}
