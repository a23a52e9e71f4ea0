import { computed, inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import type { LayAnswer } from '@yardland/core';
import { catchError, map, of, startWith, switchMap } from 'rxjs';
import { JobStore } from '../job-store';
import { JobsApi } from '../saving/jobs-api';

type Lays = ReadonlyMap<string, LayAnswer>;

/** Lays of the open job that the server keeps, by the hash of their request: what another window or a paper searched for need not be searched for again. */
@Injectable()
export class KeptLays {
  readonly #api = inject(JobsApi);
  readonly #store = inject(JobStore);
  readonly #id = computed(() => this.#store.head()?.id ?? null);
  readonly #found = signal<{ readonly id: string; readonly lays: Lays } | null>(null);

  /** Null until the server has answered. Without an answer there are none. */
  readonly lays = computed<Lays | null>(() => {
    const found = this.#found();
    return found && found.id === this.#id() ? found.lays : null;
  });

  constructor() {
    toObservable(this.#id)
      .pipe(
        switchMap((id) =>
          id === null
            ? of(null)
            : this.#api.keptLays(id).pipe(
                catchError(() => of([])),
                map((lays) => ({ id, lays: new Map(lays.map(({ hash, answer }) => [hash, answer])) })),
                startWith(null),
              ),
        ),
        takeUntilDestroyed(),
      )
      .subscribe((found) => this.#found.set(found));
  }

  /** Keeps a lay that was just found. Where the server is away nothing is lost: it is searched for again. */
  keep(hash: string, answer: LayAnswer): void {
    const [id, before] = [this.#id(), this.lays()?.get(hash)];
    // One that came from there comes back unchanged.
    if (id === null || (before && before.lengthMm === answer.lengthMm && before.moves === answer.moves && before.stopped === answer.stopped)) return;
    this.#api
      .keepLays(id, [{ hash, answer }])
      .pipe(catchError(() => of(null)))
      .subscribe();
  }
}
