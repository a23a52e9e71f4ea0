import { inject, Injectable } from '@angular/core';
import { debounceTime, Observable, shareReplay, startWith, switchMap } from 'rxjs';
import { ShopService } from '../shared/saving/shop.service';
import { LogApi } from '../log/log-api';
import type { FromAgain, FromChecks, FromLookBack, ToAgain, ToChecks, ToLookBack } from './checks-messages';

/** The shop has been still for so long before checks are held against it anew, ms. */
const STILL_MS = 400;

/** Every check of the shop held against what was promised, and what checks teach: worked out in a thread of its own, which ends when nobody looks any more. */
@Injectable({ providedIn: 'root' })
export class ChecksWork {
  readonly #api = inject(LogApi);

  /** How far it is, then all of it; anew when the shop changes. */
  readonly checks$: Observable<FromChecks> = inject(ShopService).document$.pipe(
    debounceTime(STILL_MS),
    switchMap((shop) => this.#api.checked().pipe(switchMap((jobs) => worked({ jobs, shop })))),
    startWith<FromChecks>({ done: 0, of: 0 }),
    shareReplay({ bufferSize: 1, refCount: true }),
  );
}

/** Holds checks against promises. */
const worked = (question: ToChecks): Observable<FromChecks> => answered(question, (answer) => 'points' in answer);

/** Looks back over a cushion. */
export const lookedBack = (question: ToLookBack): Observable<FromLookBack> => answered(question, () => true);

/** Says what making a cushion once more comes to. */
export const lookedAtAgain = (question: ToAgain): Observable<FromAgain> => answered(question, () => true);

/** Asks a thread that is started for this, and ends it when it has given its last answer or is not waited for. */
function answered<Answer>(question: ToChecks | ToLookBack | ToAgain, last: (answer: Answer) => boolean): Observable<Answer> {
  return new Observable((subscriber) => {
    const worker = new Worker(new URL('./checks.worker', import.meta.url), { type: 'module' });
    worker.addEventListener('message', ({ data }: MessageEvent<Answer>) => {
      subscriber.next(data);
      if (last(data)) subscriber.complete();
    });
    worker.addEventListener('error', ({ message }) => subscriber.error(new Error(message)));
    worker.postMessage(question);
    return () => worker.terminate();
  });
}
