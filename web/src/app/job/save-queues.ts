import { Injectable } from '@angular/core';
import type { SaveQueue } from './save-queue';

/**
 * The queues of this window by job. One that still has something to send outlives the page of its job: whoever opens the job again goes on with it,
 * so that a window never stands against itself.
 */
@Injectable({ providedIn: 'root' })
export class SaveQueues {
  readonly #live = new Map<string, SaveQueue>();

  /** The queue of a job that still has changes to send, or null. */
  busy(id: string): SaveQueue | null {
    const queue = this.#live.get(id);
    return queue && queue.waiting > 0 ? queue : null;
  }

  /** Puts a queue in place for a job. */
  keep(id: string, queue: SaveQueue): SaveQueue {
    this.#live.set(id, queue);
    return queue;
  }
}
