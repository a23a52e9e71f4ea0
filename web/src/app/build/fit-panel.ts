import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { deciding, FIT_WORDS, fitAdvice, formatLengthUnit, formatNumber, sensitivity, type Advice } from '@yardland/core';
import { capital } from '../shared/capital';
import { JobStore } from '../job/job-store';
import { adviceWords, moreWords, sensitivityWords } from './build-words';

/** Changes shown at most; the first is the one that comes nearest. */
const SHOWN_ADVICE = 4;
const SHOWN_ALLOWANCES = 4;

/** Will it fit: what the model says, what would mend it with one press, and which allowance matters most. It advises and never stops anything. */
@Component({
  selector: 'yl-fit-panel',
  template: `
    @if (readings(); as read) {
      <h2 class="panel-head">{{ read.verdict }}</h2>
      <dl class="readings">
        <div>
          <dt>crown a face</dt>
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
      <p class="tray-words">How it will fit is predicted for cores of foam.</p>
    }
    <p class="model-note">A model with assumed constants. It advises; it does not promise.</p>
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
    };
  });

  protected readonly advice = computed(() => {
    const [one, context] = [this.store.cushionPlan(), this.store.context()];
    if (!one || !context) return [];
    const inWords = this.store.inWords();
    return fitAdvice(one, context)
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

  protected take({ cushion }: Advice): void {
    this.store.editCushion('Advice on the fit', () => cushion);
  }
}
