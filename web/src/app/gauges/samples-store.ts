import { inject, Injectable, signal } from '@angular/core';
import { mergeFields, storedSampleSchema, type Sample } from '@yardland/core';
import { catchError, defer, EMPTY, forkJoin, map, of, skip, switchMap, type Observable } from 'rxjs';
import { DocumentQueue, type Unsent, type Version } from '../shared/saving/document-queue';
import { Messages } from '../shared/messages';
import { newUuid } from '../shared/saving/new-id';
import { tellOfQueue } from '../shared/saving/queue-messages';
import { UNSENT_SAMPLES, WindowShelves } from '../shared/saving/window-shelves';
import { SamplesApi } from './samples-api';

/** A sample as this window has it. */
export interface ShownSample {
  readonly id: string;
  readonly sample: Sample;
}

/** The bench samples: what is changed shows at once, and goes out, each sample by itself, as soon as the server answers. New ones are made without it. */
@Injectable({ providedIn: 'root' })
export class SamplesStore {
  readonly #api = inject(SamplesApi);
  readonly #shelves = inject(WindowShelves);
  readonly #messages = inject(Messages);
  readonly #queues = new Map<string, DocumentQueue<Sample>>();
  readonly #samples = signal<readonly ShownSample[]>([]);
  /** The newest first. */
  readonly samples = this.#samples.asReadonly();

  /** Reads the samples, and goes on with what an earlier page could not send. What is being written here stays as it is. Fails where the server is away and nothing was kept. */
  load(): Observable<unknown> {
    // What is begun while the list is on its way is newer than the list.
    return defer(() => this.#read(new Set(this.#queues.keys())));
  }

  /** `known`: the samples that were here when the list was asked for. */
  #read(known: ReadonlySet<string>): Observable<unknown> {
    return this.#api.list().pipe(
      switchMap((stored) => {
        const versions = new Map(stored.map(({ id, revision, sample }): [string, Version<Sample>] => [id, { revision, document: sample }]));
        const waiting = this.#shelves.ids(UNSENT_SAMPLES);
        const found = waiting.map((id) => this.#shelves.find(UNSENT_SAMPLES, id).pipe(map((unsent) => [id, unsent as Unsent<Sample> | null] as const)));
        return (found.length ? forkJoin(found) : of([])).pipe(map((unsent) => ({ versions, unsent: new Map(unsent) })));
      }),
      map(({ versions, unsent }) => {
        for (const id of new Set([...versions.keys(), ...unsent.keys()])) {
          const [current, left] = [versions.get(id) ?? { revision: 0, document: null }, unsent.get(id) ?? null];
          const document = current.document ?? left?.document;
          const queue = this.#queues.get(id);
          // What this window has as the server has it, or is writing, goes on as it is.
          if (!document || (queue && (queue.state$.value !== 'saved' || (!left && queue.revision >= current.revision)))) continue;
          this.#begin(id, current, document).resume(left);
        }
        for (const [id, { state$ }] of this.#queues)
          if (known.has(id) && !versions.has(id) && !unsent.has(id) && state$.value === 'saved') this.#queues.delete(id);
        this.#show();
      }),
    );
  }

  /** Sends what an earlier page has left. While the server is away it stays where it is. */
  resume(): void {
    this.load()
      .pipe(catchError(() => EMPTY))
      .subscribe();
  }

  /** Adds a sample; returns its identifier. */
  add(sample: Sample): string {
    const id = newUuid();
    this.#begin(id, { revision: 0, document: null }, sample).resume(null);
    this.#show();
    return id;
  }

  change(id: string, edit: (sample: Sample) => Sample): void {
    this.#queues.get(id)?.change(edit);
  }

  /** Takes a sample away, on the server first where it has it. */
  remove(id: string): Observable<unknown> {
    const queue = this.#queues.get(id);
    return (queue?.isNew ? of(null) : this.#api.drop(id, queue?.revision ?? 0)).pipe(
      map(() => {
        queue?.end();
        this.#queues.delete(id);
        this.#show();
      }),
    );
  }

  #begin(id: string, current: Version<Sample>, document: Sample): DocumentQueue<Sample> {
    const queue = new DocumentQueue<Sample>(
      {
        write: (revision, sample) => this.#api.write(id, revision, sample).pipe(map((stored) => ({ revision: stored.revision, document: stored.sample }))),
        // Removed in another window while it was changed here: it is made again, with what was changed.
        currentIn: ({ code, currentSample }) => {
          if (code === 'not-found') return { revision: 0, document: null };
          const { data } = storedSampleSchema.safeParse(currentSample);
          return data ? { revision: data.revision, document: data.sample } : null;
        },
        merge: mergeFields,
        keep: (waiting) => this.#shelves.keep(UNSENT_SAMPLES, id, waiting),
      },
      current,
      document,
    );
    this.#queues.set(id, queue);
    tellOfQueue(queue, this.#messages, `sample ${id}`, `“${document.name}”`);
    queue.document$.pipe(skip(1)).subscribe(() => this.#show());
    return queue;
  }

  #show(): void {
    const all = [...this.#queues].map(([id, { document$ }]): ShownSample => ({ id, sample: document$.value }));
    this.#samples.set(all.sort((a, b) => b.sample.date.localeCompare(a.sample.date) || a.sample.name.localeCompare(b.sample.name)));
  }
}
