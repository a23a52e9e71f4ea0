import { DestroyRef, inject, Injectable } from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { catchError, EMPTY, exhaustMap, filter, from, fromEvent, map, merge, mergeMap, startWith, switchMap, timer, type Observable } from 'rxjs';
import { JobsApi } from './jobs-api';
import { PendingShelf } from './pending-shelf';
import { stillToSend } from './save-queue';
import { SaveQueues } from './save-queues';

/** Shelves are looked through so often while something waits, ms. */
const LOOK_MS = 15_000;
/** After the application has opened, so that the page in hand goes first, ms. */
const FIRST_MS = 1500;
/** Jobs sent at a time. */
const AT_ONCE = 2;

/**
 * The changes of jobs that are not open: they go out as soon as the server answers, wherever in the application one is. Where somebody else was at the job meanwhile nothing
 * is sent: opening it shows both.
 */
@Injectable({ providedIn: 'root' })
export class WaitingEdits {
  readonly #shelf = inject(PendingShelf);
  readonly #queues = inject(SaveQueues);
  readonly #api = inject(JobsApi);
  readonly #destroyed = inject(DestroyRef);

  /** The jobs with changes that wait in this browser, of any of its windows. */
  readonly jobs = toSignal(
    merge(this.#shelf.changed$, fromEvent(window, 'storage')).pipe(
      startWith(null),
      map((): ReadonlySet<string> => new Set(this.#shelf.jobs())),
    ),
    { requireSync: true },
  );

  /** Begins to look; once, by the application. */
  start(): void {
    merge(timer(FIRST_MS, LOOK_MS), fromEvent(window, 'online'))
      .pipe(
        filter(() => this.jobs().size > 0),
        exhaustMap(() => from([...this.jobs()]).pipe(mergeMap((id) => this.#send(id), AT_ONCE))),
        takeUntilDestroyed(this.#destroyed),
      )
      .subscribe();
  }

  #send(id: string): Observable<unknown> {
    if (this.#queues.has(id)) return EMPTY;
    return this.#shelf.find(id).pipe(
      switchMap((pending) => (pending ? this.#api.read(id).pipe(map((stored) => ({ pending, stored }))) : EMPTY)),
      map(({ pending, stored }) => {
        // Opened meanwhile: its page sends them.
        const left = this.#queues.has(id) ? null : stillToSend(pending, stored);
        if (left?.length === 0) this.#shelf.keep(id, null);
        if (!left?.length) return;
        const queue = this.#queues.begin(id, stored.revision, left);
        queue.answered$.subscribe(() => {
          if (queue.waiting === 0) this.#queues.leave(id);
        });
      }),
      catchError(() => EMPTY),
    );
  }
}
