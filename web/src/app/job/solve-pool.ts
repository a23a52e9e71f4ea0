import { inject, Injectable, InjectionToken } from '@angular/core';
import type { HeavyRequest, TrialAsk } from '@yardland/core';
import { Observable, type Subscriber } from 'rxjs';
import type { FromSolveWorker, Solving, ToSolveWorker, Trying } from './solve-messages';

/** How a worker is made; another one in tests. */
export const MAKE_SOLVE_WORKER = new InjectionToken<() => Worker>('how a solve worker is made', {
  providedIn: 'root',
  factory: () => () => new Worker(new URL('./solve.worker', import.meta.url), { type: 'module' }),
});

type Said = Solving | Trying;

/** One worker with those who wait for it. One that dies fails them all and is replaced when the next is asked for. */
class Bench {
  #worker: Worker | null = null;
  readonly #waiting = new Map<string, Subscriber<Said>>();

  constructor(private readonly make: () => Worker) {}

  ask(id: string, message: ToSolveWorker, subscriber: Subscriber<Said>): void {
    this.#waiting.set(id, subscriber);
    this.#started().postMessage(message);
  }

  /** Takes a question back. Nothing is said to a worker that has answered it, or that is gone. */
  leave(id: string): void {
    if (this.#waiting.delete(id)) this.#worker?.postMessage({ kind: 'cancel', id } satisfies ToSolveWorker);
  }

  stop(id: string): void {
    this.#worker?.postMessage({ kind: 'stop', id } satisfies ToSolveWorker);
  }

  #started(): Worker {
    if (this.#worker) return this.#worker;
    const worker = this.make();
    worker.addEventListener('message', ({ data }: MessageEvent<FromSolveWorker>) => this.#hear(data));
    worker.addEventListener('error', (event) => {
      event.preventDefault();
      this.#died(event.message || 'the worker could not go on');
    });
    worker.addEventListener('messageerror', () => this.#died('a message could not be read'));
    return (this.#worker = worker);
  }

  #hear({ id, says }: FromSolveWorker): void {
    const subscriber = this.#waiting.get(id);
    if (!subscriber) return;
    const last = says.kind === 'done' || says.kind === 'tried' || says.kind === 'failed';
    if (last) this.#waiting.delete(id);
    subscriber.next(says);
    if (last) subscriber.complete();
  }

  #died(message: string): void {
    this.#worker?.terminate();
    this.#worker = null;
    const waiting = [...this.#waiting.values()];
    this.#waiting.clear();
    for (const subscriber of waiting) {
      subscriber.next({ kind: 'failed', message });
      subscriber.complete();
    }
  }
}

/** Workers for what takes long: one for crowns, lays and long cores, one for trying changes out, so that neither waits for the other. */
@Injectable({ providedIn: 'root' })
export class SolvePool {
  readonly #make = inject(MAKE_SOLVE_WORKER);
  readonly #solving = new Bench(this.#make);
  readonly #trying = new Bench(this.#make);
  #asked = 0;
  /** The asking that is under way of a request, by the request's hash. */
  readonly #ids = new Map<string, string>();

  /** Solves a request; emits progress and at last the answer. Leaving before that stops the work. */
  solve(hash: string, request: HeavyRequest): Observable<Solving> {
    return new Observable<Said>((subscriber) => {
      // A name of its own for each asking: the same question may be asked again while its last asking is being put away.
      const id = `${hash} ${++this.#asked}`;
      this.#ids.set(hash, id);
      this.#solving.ask(id, { kind: 'solve', id, request }, subscriber);
      return () => {
        if (this.#ids.get(hash) === id) this.#ids.delete(hash);
        this.#solving.leave(id);
      };
    }) as Observable<Solving>;
  }

  /** Tries changes of a cushion out; emits how far it is and at last the answer. Leaving before that stops the work. */
  try(ask: TrialAsk): Observable<Trying> {
    return new Observable<Said>((subscriber) => {
      const id = `trial ${++this.#asked}`;
      this.#trying.ask(id, { kind: 'trial', id, ask }, subscriber);
      return () => this.#trying.leave(id);
    }) as Observable<Trying>;
  }

  /** Asks for the best so far as the answer. */
  stop(hash: string): void {
    const id = this.#ids.get(hash);
    if (id !== undefined) this.#solving.stop(id);
  }
}
