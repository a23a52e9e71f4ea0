import { computed, inject, Injectable, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import { fitsWell, type Advice, type TrialProgress } from '@yardland/core';
import { debounceTime, distinctUntilChanged, EMPTY, finalize, Subject, switchMap, takeUntil } from 'rxjs';
import { JobStore } from '../job-store';
import { SolvePool } from './solve-pool';
import { trialAsk } from './trial-ask';

/** Changes are tried out when the cushion has been still for this long. */
const STILL_MS = 250;

/** What would mend the fit of the cushion in hand, worked out in a worker: nearest first, with how far it is and a stop. One for the ticket and the Build station. */
@Injectable()
export class AdviceStore {
  readonly #store = inject(JobStore);
  readonly #pool = inject(SolvePool);
  readonly #found = signal<readonly Advice[]>([]);
  readonly #trying = signal<TrialProgress | null>(null);
  readonly #failed = signal<string | null>(null);
  readonly #stop = new Subject<void>();

  readonly advice = this.#found.asReadonly();
  /** How far the changes are tried out; null when nothing is under way. */
  readonly trying = this.#trying.asReadonly();
  readonly failed = this.#failed.asReadonly();

  /** What is worth asking advice for: a cushion that does not fit well. Named by its content, so that the same one is not asked twice. */
  readonly #ask = computed(() => {
    const [one, job, shop] = [this.#store.cushionPlan(), this.#store.job(), this.#store.shop()];
    if (!one?.fit || !job || !shop || fitsWell(one.fit, one.source.crown?.mm ?? null)) return null;
    return trialAsk('yardland/advice-ask@1', one.source, job, shop);
  });

  constructor() {
    toObservable(this.#ask)
      .pipe(
        distinctUntilChanged((a, b) => JSON.stringify(a) === JSON.stringify(b)),
        debounceTime(STILL_MS),
        switchMap((ask) => {
          this.#failed.set(null);
          this.#found.set([]);
          return ask
            ? this.#pool.try(ask).pipe(
                takeUntil(this.#stop),
                finalize(() => this.#trying.set(null)),
              )
            : EMPTY;
        }),
        takeUntilDestroyed(),
      )
      .subscribe((says) => {
        if (says.kind === 'trying') this.#trying.set(says.progress);
        if (says.kind === 'failed') this.#failed.set(says.message);
        if (says.kind === 'tried' && says.answer.format === 'yardland/advice-answer@1') this.#found.set(says.answer.advice);
      });
  }

  stop(): void {
    this.#stop.next();
  }

  take({ cushion }: Advice): void {
    this.#store.editCushion('Advice on the fit', () => cushion);
  }
}
