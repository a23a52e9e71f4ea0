import { inject, Injectable } from '@angular/core';
import { JobsApi } from './jobs-api';
import { PendingShelf, type Change } from './pending-shelf';
import { SaveQueue } from './save-queue';

/**
 * The queues of this window by job. One that still has something to send outlives the page of its job: whoever opens the job again goes on with it,
 * so that a window never stands against itself.
 */
@Injectable({ providedIn: 'root' })
export class SaveQueues {
  readonly #api = inject(JobsApi);
  readonly #shelf = inject(PendingShelf);
  readonly #live = new Map<string, SaveQueue>();

  /** The queue of a job that still has changes to send, or null. */
  busy(id: string): SaveQueue | null {
    const queue = this.#live.get(id);
    return queue && queue.waiting > 0 ? queue : null;
  }

  /** Whether a job has a queue in this window: it is open here, or still has something to send. */
  has(id: string): boolean {
    return this.#live.has(id);
  }

  /** A queue for a job that was just read at a revision, with changes that an earlier window could not send. */
  begin(id: string, revision: number, changes: readonly Change[]): SaveQueue {
    const queue = new SaveQueue(
      {
        write: (seen, label, job) => this.#api.write(id, seen, label, job),
        step: (seen, direction) => this.#api.step(id, direction, seen),
        keep: (waiting) => this.#shelf.keep(id, waiting),
      },
      revision,
      changes,
    );
    this.#live.set(id, queue);
    return queue;
  }

  /** The page of a job is left: a queue with nothing to send goes. */
  leave(id: string): void {
    if (!this.busy(id)) this.#live.delete(id);
  }
}
