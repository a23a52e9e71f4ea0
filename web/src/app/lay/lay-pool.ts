import { Injectable } from '@angular/core';
import type { LayRequest } from '@yardland/core';
import { Observable } from 'rxjs';
import type { FromLayWorker, ToLayWorker } from './lay-messages';

/** One worker is kept for all lays; it is made when the first is asked for. */
@Injectable({ providedIn: 'root' })
export class LayPool {
  #worker: Worker | null = null;

  /** Solves a request; emits progress and at last the answer. Leaving before that stops the work. */
  solve(hash: string, request: LayRequest): Observable<FromLayWorker> {
    return new Observable((subscriber) => {
      const worker = this.#started();
      const hear = ({ data }: MessageEvent<FromLayWorker>): void => {
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

  #say(message: ToLayWorker): void {
    this.#started().postMessage(message);
  }

  #started(): Worker {
    return (this.#worker ??= new Worker(new URL('./lay.worker', import.meta.url), { type: 'module' }));
  }
}
