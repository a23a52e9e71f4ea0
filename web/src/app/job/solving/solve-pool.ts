import { inject, Injectable } from '@angular/core';
import {
  bestAnswer,
  joinedProgress,
  searchesOf,
  type CheckedLay,
  type HeavyRequest,
  type LayAnswer,
  type LayProgress,
  type LayRequest,
  type TrialAsk,
} from '@yardland/core';
import { catchError, Observable, of, retry, Subscription, type Subscriber } from 'rxjs';
import { MAKE_CORE_WORKER, startedWorker } from '../../core-thread/make-core-worker';
import { Messages } from '../../shared/messages';
import type { FromSolving, Solving, ToSolve, Trying } from '../../core-thread/messages';

type Said = Solving | Trying;

/** A worker could not go on: what it worked on is lost, and may be begun again by another. */
class WorkerDied extends Error {}

/** One worker with those who wait for it. One that dies fails them all and is replaced when the next is asked for. */
class Bench {
  #worker: Worker | null = null;
  readonly #waiting = new Map<string, Subscriber<Said>>();

  constructor(private readonly make: () => Worker) {}

  /** How many wait for it. */
  get load(): number {
    return this.#waiting.size;
  }

  ask(id: string, message: ToSolve, subscriber: Subscriber<Said>): void {
    this.#waiting.set(id, subscriber);
    this.#started().postMessage(message);
  }

  /** Takes a question back. Nothing is said to a worker that has answered it, or that is gone. */
  leave(id: string): void {
    if (this.#waiting.delete(id)) this.#worker?.postMessage({ kind: 'cancel', id } satisfies ToSolve);
  }

  stop(id: string): void {
    this.#worker?.postMessage({ kind: 'stop', id } satisfies ToSolve);
  }

  #started(): Worker {
    return (this.#worker ??= startedWorker<FromSolving>(
      this.make,
      (message) => this.#hear(message),
      (why) => this.#died(why),
    ));
  }

  #hear({ id, says }: FromSolving): void {
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
    for (const subscriber of waiting) subscriber.error(new WorkerDied(message));
  }
}

/** Workers for solving: one core is left to the page; more than so many would only take memory. */
const SOLVING = Math.min(4, Math.max(1, navigator.hardwareConcurrency - 1));

/** Workers for what takes long: some for crowns, lays and long cores, one for trying changes out, so that neither waits for the other. */
@Injectable({ providedIn: 'root' })
export class SolvePool {
  readonly #make = inject(MAKE_CORE_WORKER);
  readonly #messages = inject(Messages);
  readonly #solving = Array.from({ length: SOLVING }, () => new Bench(this.#make));
  readonly #trying = new Bench(this.#make);
  #asked = 0;
  /** The askings that are under way of a request, by the request's hash: one for each search of a lay. */
  readonly #underWay = new Map<string, { readonly bench: Bench; readonly id: string }[]>();

  /**
   * Solves a request; emits progress and at last the answer. Leaving before that stops the work. The searches of a lay run at once, as far as there are cores;
   * a lay that was `kept` from an earlier search is only checked, and searched for where it cannot be cut.
   */
  solve(hash: string, request: HeavyRequest, kept?: LayAnswer): Observable<Solving> {
    if (request.format !== 'yardland/lay-request@2' || kept) return this.#ask(hash, request, kept);
    const searches = searchesOf(request);
    return searches.length === 1 ? this.#ask(hash, request) : this.#together(hash, request, searches);
  }

  #ask(hash: string, request: HeavyRequest, kept?: LayAnswer): Observable<Solving> {
    return this.#begunAgain(this.#askOnce(hash, request, kept)) as Observable<Solving>;
  }

  /** Said and begun again, once, where the worker dies under it; where that dies too, it has failed. */
  #begunAgain(asking: Observable<Said>): Observable<Said> {
    return asking.pipe(
      retry({
        count: 1,
        delay: (died: Error) => {
          this.#messages.tell('a worker', `Something being worked out stopped (${died.message}) and was started again.`);
          return of(true);
        },
      }),
      catchError((died: Error) => of({ kind: 'failed' as const, message: died.message })),
    );
  }

  #askOnce(hash: string, request: HeavyRequest, kept?: LayAnswer): Observable<Said> {
    return new Observable<Said>((subscriber) => {
      // A name of its own for each asking: the same question may be asked again while its last asking is being put away.
      const id = `${hash} ${++this.#asked}`;
      const bench = this.#solving.reduce((least, one) => (one.load < least.load ? one : least));
      const asking = { bench, id };
      this.#underWay.set(hash, [...(this.#underWay.get(hash) ?? []), asking]);
      bench.ask(id, { kind: 'solve', id, request, ...(kept ? { kept } : {}) }, subscriber);
      return () => {
        const left = (this.#underWay.get(hash) ?? []).filter((one) => one !== asking);
        if (left.length) this.#underWay.set(hash, left);
        else this.#underWay.delete(hash);
        bench.leave(id);
      };
    });
  }

  /** The searches of one lay: the best of those that have begun as progress, the best of all at last. One that fails fails the lay. */
  #together(hash: string, request: LayRequest, searches: readonly LayRequest[]): Observable<Solving> {
    return new Observable<Solving>((subscriber) => {
      const progress: (LayProgress | null)[] = searches.map(() => null);
      const answers: (CheckedLay | null)[] = searches.map(() => null);
      const hear = (i: number, says: Solving): void => {
        if (says.kind === 'failed') {
          subscriber.next(says);
          subscriber.complete();
          return;
        }
        if (says.kind === 'progress') progress[i] = says.progress;
        else if (says.answer.format === 'yardland/checked-lay@2') {
          answers[i] = says.answer;
          progress[i] = { done: request.moves, of: request.moves, best: says.answer.answer };
        }
        const all = answers.filter((one) => one !== null);
        if (all.length < searches.length) {
          const joined = joinedProgress(progress.filter((one) => one !== null));
          subscriber.next({ kind: 'progress', progress: { ...joined, of: request.moves * searches.length } });
          return;
        }
        const answer = bestAnswer(all.map((one) => one.answer));
        const problems = all.find((one) => one.answer.placements === answer.placements)?.problems ?? [];
        subscriber.next({ kind: 'done', answer: { format: 'yardland/checked-lay@2', answer, problems } });
        subscriber.complete();
      };
      const asked = new Subscription();
      searches.forEach((one, i) => asked.add(this.#ask(hash, one).subscribe((says) => hear(i, says))));
      return asked;
    });
  }

  /** Tries changes of a cushion out; emits how far it is and at last the answer. Leaving before that stops the work. */
  try(ask: TrialAsk): Observable<Trying> {
    const asking = new Observable<Said>((subscriber) => {
      const id = `trial ${++this.#asked}`;
      this.#trying.ask(id, { kind: 'trial', id, ask }, subscriber);
      return () => this.#trying.leave(id);
    });
    return this.#begunAgain(asking) as Observable<Trying>;
  }

  /** Asks for the best so far as the answer. */
  stop(hash: string): void {
    for (const { bench, id } of this.#underWay.get(hash) ?? []) bench.stop(id);
  }
}
