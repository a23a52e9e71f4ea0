import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import { deciding, FIT_WORDS, fitsWell, formatLengthUnit, formatNumber, sayLine, sensitivity, type Advice, type TrialProgress } from '@yardland/core';
import { debounceTime, distinctUntilChanged, EMPTY, finalize, Subject, switchMap, takeUntil } from 'rxjs';
import { capital } from '../shared/capital';
import { JobStore } from '../job/job-store';
import { SolvePool } from '../job/solve-pool';
import { trialAsk } from '../job/trial-ask';
import { adviceWords, moreWords, sensitivityWords } from './build-words';

/** Changes shown at most; the first is the one that comes nearest. */
const SHOWN_ADVICE = 4;
const SHOWN_ALLOWANCES = 4;
/** Changes are tried out when the cushion has been still for this long. */
const STILL_MS = 250;

/** Will it fit: what the model says, what would mend it with one press, and which allowance matters most. It advises and never stops anything. */
@Component({
  selector: 'yl-fit-panel',
  template: `
    @if (readings(); as read) {
      <h2 class="panel-head">{{ read.verdict }}</h2>
      <dl class="readings">
        <div>
          <dt>{{ read.faces === 1 ? 'crown on top' : 'crown a face' }}</dt>
          <dd>{{ read.crown }}</dd>
        </div>
        @if (read.asked) {
          <div>
            <dt>asked for</dt>
            <dd>{{ read.asked }}</dd>
          </div>
        }
        <div>
          <dt>taut across</dt>
          <dd>{{ read.across }} N/m</dd>
        </div>
        <div>
          <dt>front to back</dt>
          <dd>{{ read.along }} N/m</dd>
        </div>
      </dl>
      @if (read.bow) {
        <p class="verdict">The core is much larger than its cover: it may bow like a boat.</p>
      }
      @if (trying(); as trying) {
        <p class="tray-words" role="status">
          Trying changes out: {{ trying.done }} of {{ trying.of }}
          <button type="button" class="button" (click)="stop()">Stop</button>
        </p>
      }
      @if (failed(); as why) {
        <p class="tray-words bad" role="alert">Advice could not be worked out: {{ why }}</p>
      }
      @if (advice().length) {
        <h3 class="field-label">What would mend it</h3>
        <ul class="advice">
          @for (one of advice(); track one.words) {
            <li>
              <span
                ><b>{{ one.words }}</b> {{ one.then }}</span
              >
              <button type="button" class="button" [attr.aria-label]="'Take: ' + one.words" (click)="take(one.advice)">Take</button>
            </li>
          }
        </ul>
      }
      <h3 class="field-label">What {{ more() }} more does</h3>
      <dl class="matters">
        @for (one of matters(); track one.what) {
          <div>
            <dt>{{ one.what }}</dt>
            <dd>{{ one.does }}</dd>
          </div>
        }
      </dl>
    } @else {
      <p class="tray-words">{{ unknown() }}</p>
    }
    @if (readings()) {
      <p class="model-note">A model with assumed constants. It advises; it does not promise.</p>
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FitPanel {
  protected readonly store = inject(JobStore);

  protected readonly readings = computed(() => {
    const one = this.store.cushionPlan();
    if (!one?.fit) return null;
    const { units, step } = this.store.inWords();
    const { fit, source } = one;
    return {
      verdict: `${capital(FIT_WORDS[fit.verdict])}, ${formatNumber(deciding(fit))} N/m`,
      crown: formatLengthUnit(fit.crownMm, units, step),
      asked: source.crown ? formatLengthUnit(source.crown.mm, units, step) : null,
      across: formatNumber(fit.tensionAcrossNPerM),
      along: formatNumber(fit.tensionAlongNPerM),
      bow: fit.bowRisk,
      faces: one.fitRequest?.crownedFaces ?? 2,
    };
  });

  /** Why nothing is predicted. */
  protected readonly unknown = computed(() => {
    const why = this.store.cushionPlan()?.problems.find(({ code }) => code.startsWith('fit-not-known'));
    return why ? sayLine(why, this.store.inWords()) : 'What the ticket says comes first; then the fit is predicted.';
  });

  readonly #pool = inject(SolvePool);
  readonly #found = signal<readonly Advice[]>([]);
  /** How far the changes are tried out; null when nothing is under way. */
  protected readonly trying = signal<TrialProgress | null>(null);
  protected readonly failed = signal<string | null>(null);

  /** What is worth asking advice for: a cushion that does not fit well. Named by its content, so that the same one is not asked twice. */
  readonly #ask = computed(() => {
    const [one, job, shop] = [this.store.cushionPlan(), this.store.job(), this.store.shop()];
    if (!one?.fit || !job || !shop || fitsWell(one.fit, one.source.crown?.mm ?? null)) return null;
    return trialAsk('yardland/advice-ask@1', one.source, job, shop);
  });
  readonly #stop = new Subject<void>();

  protected readonly advice = computed(() => {
    const inWords = this.store.inWords();
    return this.#found()
      .slice(0, SHOWN_ADVICE)
      .map((advice) => ({
        advice,
        words: adviceWords(advice, inWords),
        then: `${FIT_WORDS[advice.fit.verdict]}, ${formatNumber(deciding(advice.fit))} N/m, crown ${formatLengthUnit(advice.fit.crownMm, inWords.units, inWords.step)}`,
      }));
  });

  protected readonly matters = computed(() => {
    const request = this.store.cushionPlan()?.fitRequest;
    return request
      ? sensitivity(request)
          .slice(0, SHOWN_ALLOWANCES)
          .map((one) => sensitivityWords(one, this.store.units()))
      : [];
  });

  protected readonly more = computed(() => moreWords(this.store.units()));

  constructor() {
    toObservable(this.#ask)
      .pipe(
        distinctUntilChanged((a, b) => JSON.stringify(a) === JSON.stringify(b)),
        debounceTime(STILL_MS),
        switchMap((ask) => {
          this.failed.set(null);
          this.#found.set([]);
          return ask
            ? this.#pool.try(ask).pipe(
                takeUntil(this.#stop),
                finalize(() => this.trying.set(null)),
              )
            : EMPTY;
        }),
        takeUntilDestroyed(),
      )
      .subscribe((says) => {
        if (says.kind === 'trying') this.trying.set(says.progress);
        if (says.kind === 'failed') this.failed.set(says.message);
        if (says.kind === 'tried' && says.answer.format === 'yardland/advice-answer@1') this.#found.set(says.answer.advice);
      });
  }

  protected stop(): void {
    this.#stop.next();
  }

  protected take({ cushion }: Advice): void {
    this.store.editCushion('Advice on the fit', () => cushion);
  }
}
