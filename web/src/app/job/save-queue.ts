import type { Job, StoredJob } from '@yardland/core';
import { BehaviorSubject, concatMap, defer, EMPTY, fromEvent, merge, Observable, of, retry, Subject, tap, throwError, timer } from 'rxjs';
import { problemOf } from '../shared/problem';

/** `offline`: changes wait in the browser; `conflict`: another window was first. */
export type SaveState = 'saved' | 'saving' | 'offline' | 'conflict' | 'refused';

export interface Change {
  readonly label: string;
  readonly job: Job;
}

/** What is kept in the browser until the server has it. */
export interface Pending {
  readonly revision: number;
  readonly changes: readonly Change[];
}

export interface SavePort {
  readonly write: (revision: number, label: string, job: Job) => Observable<StoredJob>;
  readonly keep: (pending: Pending | null) => void;
}

/** How long to wait before trying an unreachable server again; the browser's own sign of being back online is not waited for. */
const TRY_AGAIN_MS = 3000;

/**
 * Sends changes to the server one after the other, each naming the revision that the one before made. What has not been answered is kept
 * through `port.keep`, so that it goes out in order when the server is back, after a reload too. A stale write stops the queue in `conflict`.
 */
export class SaveQueue {
  readonly state$ = new BehaviorSubject<SaveState>('saved');
  readonly stored$ = new Subject<StoredJob>();
  readonly conflict$ = new BehaviorSubject<StoredJob | null>(null);
  readonly refusal$ = new BehaviorSubject<string | null>(null);
  readonly #port: SavePort;
  readonly #sending = new Subject<void>();
  #revision: number;
  #changes: Change[];

  constructor(port: SavePort, revision: number, waiting: readonly Change[] = []) {
    this.#port = port;
    this.#revision = revision;
    this.#changes = [...waiting];
    this.#sending.pipe(concatMap(() => this.#sendOne())).subscribe();
    for (const _ of waiting) this.#sending.next();
  }

  get revision(): number {
    return this.#revision;
  }

  /** The job as it will be once everything is sent; null when nothing waits. */
  get latest(): Job | null {
    return this.#changes.at(-1)?.job ?? null;
  }

  get waiting(): number {
    return this.#changes.length;
  }

  push(change: Change): void {
    this.#changes.push(change);
    this.#keep();
    if (this.state$.value !== 'conflict') this.#sending.next();
  }

  /** Goes on from a revision that this window has now seen, sending `changes` in place of what waited. */
  resume(revision: number, changes: readonly Change[]): void {
    this.#revision = revision;
    this.#changes = [...changes];
    this.#keep();
    this.conflict$.next(null);
    this.refusal$.next(null);
    this.state$.next('saved');
    for (const _ of changes) this.#sending.next();
  }

  #sendOne(): Observable<unknown> {
    const [change] = this.#changes;
    if (!change || this.state$.value === 'conflict' || this.state$.value === 'refused') return EMPTY;
    if (this.state$.value !== 'offline') this.state$.next('saving');
    return defer(() => this.#port.write(this.#revision, change.label, change.job)).pipe(
      retry({ delay: (error) => this.#whenBack(error) }),
      tap({
        next: (stored) => {
          this.#revision = stored.revision;
          this.#changes.shift();
          this.#keep();
          this.state$.next(this.#changes.length ? 'saving' : 'saved');
          this.stored$.next(stored);
        },
      }),
      (sent) =>
        new Observable((subscriber) =>
          sent.subscribe({ error: (error: unknown) => this.#stop(error, () => subscriber.complete()), complete: () => subscriber.complete() }),
        ),
    );
  }

  #whenBack(error: unknown): Observable<unknown> {
    if (problemOf(error).status !== 0) return throwError(() => error);
    this.state$.next('offline');
    return merge(timer(TRY_AGAIN_MS), fromEvent(window, 'online'));
  }

  #stop(error: unknown, done: () => void): void {
    const problem = problemOf(error);
    if (problem.status === 409 && problem.current) {
      this.state$.next('conflict');
      this.conflict$.next(problem.current);
    } else {
      this.state$.next('refused');
      this.refusal$.next(problem.message);
    }
    done();
  }

  #keep(): void {
    this.#port.keep(this.#changes.length ? { revision: this.#revision, changes: this.#changes } : null);
  }
}

/** The pending changes of a job kept in this browser. */
export const pendingShelf = {
  key: (id: string): string => `yardland.pending.${id}`,
  read(id: string): Pending | null {
    try {
      return JSON.parse(localStorage.getItem(pendingShelf.key(id)) ?? 'null') as Pending | null;
    } catch {
      return null;
    }
  },
  keep(id: string, pending: Pending | null): void {
    try {
      if (pending) localStorage.setItem(pendingShelf.key(id), JSON.stringify(pending));
      else localStorage.removeItem(pendingShelf.key(id));
    } catch {
      // Full or forbidden storage: the queue still holds the changes as long as the window is open.
    }
  },
};

/** Emits once the queue has nothing left to send, or at once. */
export function drained(queue: SaveQueue): Observable<SaveState> {
  return queue.waiting === 0
    ? of(queue.state$.value)
    : new Observable((subscriber) =>
        queue.state$.subscribe((state) => {
          if (state === 'saving' || (state === 'saved' && queue.waiting > 0)) return;
          subscriber.next(state);
          subscriber.complete();
        }),
      );
}
