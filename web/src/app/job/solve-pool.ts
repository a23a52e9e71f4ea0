import { Injectable } from '@angular/core';
import type { HeavyRequest } from '@yardland/core';
import { Observable } from 'rxjs';
import type { FromSolveWorker, ToSolveWorker } from './solve-messages';

/** One worker is kept for crowns and lays; it is made when the first is asked for. */
@Injectable({ providedIn: 'root' })
export class SolvePool {
  #worker: Worker | null = null;

  /** Solves a request; emits progress and at last the answer. Leaving before that stops the work. */
  solve(hash: string, request: HeavyRequest): Observable<FromSolveWorker> {
    return new Observable((subscriber) => {
      const worker = this.#started();
      const hear = ({ data }: MessageEvent<FromSolveWorker>): void => {
        if (data.hash !== hash) return;
        subscriber.next(data);
        if (data.kind !== 'progress') subscriber.complete();
      };
      worker.addEventListener('message', hear);
      this.#say({ kind: 'solve', hash, request });
      return () => {
        worker.removeEventListener('message', hear);
        if (!subscriber.closed) this.#say({ kind: 'stop', hash });
      };
    });
  }

  /** Asks for the best so far as the answer. */
  stop(hash: string): void {
    this.#say({ kind: 'stop', hash });
  }

  #say(message: ToSolveWorker): void {
    this.#started().postMessage(message);
  }

  #started(): Worker {
    return (this.#worker ??= new Worker(new URL('./solve.worker', import.meta.url), { type: 'module' }));
  }
}
