import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import { toObservable } from '@angular/core/rxjs-interop';
import type { LayProgress, Wanted } from '@yardland/core';
import { debounceTime, type Subscription } from 'rxjs';
import { JobStore } from './job-store';
import { SolvePool } from './solve-pool';

/** Work is begun when the plan has been still for this long, so that a drag does not start some a frame. */
const STILL_MS = 200;

/** Hands the crowns and lays that the plan wants to the worker, and their answers back to the store. */
@Injectable()
export class PlanSolver {
  readonly #store = inject(JobStore);
  readonly #pool = inject(SolvePool);
  readonly #running = new Map<string, Subscription>();
  /** How far each running lay is, by hash. */
  readonly progress = signal<Readonly<Record<string, LayProgress>>>({});
  readonly failure = signal<string | null>(null);

  constructor() {
    toObservable(this.#store.plan)
      .pipe(debounceTime(STILL_MS))
      .subscribe((plan) => this.#serve(plan?.wanted ?? []));
    inject(DestroyRef).onDestroy(() => this.#running.forEach((running) => running.unsubscribe()));
  }

  /** Keeps the best so far as the answer. */
  stop(hash: string): void {
    this.#pool.stop(hash);
  }

  #serve(wanted: readonly Wanted[]): void {
    const names = new Set(wanted.map((one) => one.hash));
    for (const [hash, running] of this.#running) {
      if (names.has(hash)) continue;
      running.unsubscribe();
      this.#forget(hash);
    }
    for (const { hash, request } of wanted) {
      if (this.#running.has(hash)) continue;
      const running = this.#pool.solve(hash, request).subscribe((message) => {
        if (message.kind === 'progress') this.progress.update((all) => ({ ...all, [hash]: message.progress }));
        if (message.kind === 'done') this.#store.addSolved(hash, message.answer);
        if (message.kind === 'failed') this.failure.set(message.message);
        if (message.kind !== 'progress') this.#forget(hash);
      });
      this.#running.set(hash, running);
    }
  }

  #forget(hash: string): void {
    this.#running.delete(hash);
    this.progress.update(({ [hash]: _gone, ...rest }) => rest);
  }
}
