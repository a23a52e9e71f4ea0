import { DestroyRef, inject, Injectable } from '@angular/core';
import type { Planned, View3 } from '@yardland/core';
import type { LinePicture, Solid } from '@yardland/core/solid';
import { Observable, type Subscriber } from 'rxjs';
import type { FromRound, RoundMade, RoundWanted, ToRound } from './round-messages';

/** Makes meshes and pictures of cushions in a thread of its own, which is started with the first of them. One that nobody waits for any more is not answered. */
@Injectable({ providedIn: 'root' })
export class RoundWork {
  #worker: Worker | null = null;
  #asked = 0;
  readonly #waiting = new Map<number, Subscriber<RoundMade[RoundWanted]>>();

  constructor() {
    inject(DestroyRef).onDestroy(() => this.#worker?.terminate());
  }

  /** The mesh of a planned cushion; null where there is nothing to show. */
  solid(one: Planned): Observable<Solid | null> {
    return this.#made('solid', one) as Observable<Solid | null>;
  }

  /** Its picture in lines, as it stands on paper. */
  picture(one: Planned, view?: View3): Observable<LinePicture | null> {
    return this.#made('picture', one, view) as Observable<LinePicture | null>;
  }

  #made(wanted: RoundWanted, one: Planned, view?: View3): Observable<RoundMade[RoundWanted]> {
    return new Observable((subscriber) => {
      const id = ++this.#asked;
      this.#waiting.set(id, subscriber);
      this.#started().postMessage({ id, one, wanted, view } satisfies ToRound);
      return () => this.#waiting.delete(id);
    });
  }

  #started(): Worker {
    if (this.#worker) return this.#worker;
    const worker = new Worker(new URL('./round.worker', import.meta.url), { type: 'module' });
    worker.addEventListener('message', ({ data }: MessageEvent<FromRound>) => {
      const subscriber = this.#waiting.get(data.id);
      if ('failed' in data) subscriber?.error(new Error(data.failed));
      else {
        subscriber?.next(data.made);
        subscriber?.complete();
      }
    });
    worker.addEventListener('error', ({ message }) => {
      worker.terminate();
      this.#worker = null;
      const waiting = [...this.#waiting.values()];
      this.#waiting.clear();
      for (const subscriber of waiting) subscriber.error(new Error(message));
    });
    this.#worker = worker;
    return worker;
  }
}
