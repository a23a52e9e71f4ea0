import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import type { HeavyAnswer, LayAnswer, LayProgress, Plan, Wanted } from '@yardland/core';
import { combineLatest, debounceTime, type Subscription } from 'rxjs';
import { JobStore } from '../job-store';
import { KeptLays } from './kept-lays';
import { SolvePool } from './solve-pool';

/** Work is begun when the plan has been still for this long, so that a drag does not start some a frame. */
const STILL_MS = 200;

/** What could not be worked out: the question's name, and why. */
export interface SolveFailure {
  readonly hash: string;
  readonly message: string;
}

/** Hands what the plan wants worked out to the workers, and their answers back to the store. Lays wait until it is known which of them are kept. */
@Injectable()
export class PlanSolver {
  readonly #store = inject(JobStore);
  readonly #pool = inject(SolvePool);
  readonly #kept = inject(KeptLays);
  readonly #running = new Map<string, Subscription>();
  /** Told to stop before it was begun. */
  readonly #stopped = new Set<string>();
  /** How far each running lay is, by hash. */
  readonly progress = signal<Readonly<Record<string, LayProgress>>>({});
  /** What failed last and is still wanted; it is tried again when the plan changes, or by `again`. */
  readonly failure = signal<SolveFailure | null>(null);

  constructor() {
    combineLatest([toObservable(this.#store.plan).pipe(debounceTime(STILL_MS)), toObservable(this.#kept.lays)])
      .pipe(takeUntilDestroyed())
      .subscribe(([plan, kept]) => this.#serve(plan, kept));
    inject(DestroyRef).onDestroy(() => this.#running.forEach((running) => running.unsubscribe()));
  }

  /** Keeps the best so far as the answer; of what is not begun yet the first that is found. */
  stop(hash: string): void {
    if (this.#running.has(hash)) this.#pool.stop(hash);
    else this.#stopped.add(hash);
  }

  /** Tries what failed once more. */
  again(): void {
    this.failure.set(null);
    this.#serve(this.#store.plan(), this.#kept.lays());
  }

  /** Searches anew, to the end, for a lay that was stopped; the one that was found until then stays until it is there. */
  searchOn(hash: string): void {
    const lay = this.#store.plan()?.lays.find((one) => one.hash === hash);
    if (lay && !this.#running.has(hash)) this.#begin(lay);
  }

  #serve(plan: Plan | null, kept: ReadonlyMap<string, LayAnswer> | null): void {
    const wanted: readonly Wanted[] = plan?.wanted ?? [];
    const names = new Set([...wanted, ...(plan?.lays ?? [])].map((one) => one.hash));
    for (const [hash, running] of this.#running) {
      if (names.has(hash)) continue;
      running.unsubscribe();
      this.#forget(hash);
    }
    for (const hash of this.#stopped) if (!names.has(hash)) this.#stopped.delete(hash);
    const failed = this.failure();
    if (failed && !names.has(failed.hash)) this.failure.set(null);
    for (const one of wanted) {
      const mayWait = one.request.format === 'yardland/lay-request@2' && kept === null;
      if (!mayWait && !this.#running.has(one.hash)) this.#begin(one, kept?.get(one.hash));
    }
  }

  #begin({ hash, request }: Wanted, kept?: LayAnswer): void {
    const running = this.#pool.solve(hash, request, kept).subscribe((says) => {
      if (says.kind === 'progress') this.progress.update((all) => ({ ...all, [hash]: says.progress }));
      if (says.kind === 'done') this.#take(hash, says.answer);
      if (says.kind === 'failed') this.failure.set({ hash, message: says.message });
      if (says.kind !== 'progress') this.#forget(hash);
    });
    if (!running.closed) this.#running.set(hash, running);
    if (this.#stopped.delete(hash)) this.#pool.stop(hash);
  }

  #take(hash: string, answer: HeavyAnswer): void {
    if (this.failure()?.hash === hash) this.failure.set(null);
    this.#store.planned.addAnswer(hash, answer);
    if (answer.format === 'yardland/checked-lay@2' && answer.problems.length === 0) this.#kept.keep(hash, answer.answer);
  }

  #forget(hash: string): void {
    this.#running.delete(hash);
    this.progress.update(({ [hash]: _gone, ...rest }) => rest);
  }
}
