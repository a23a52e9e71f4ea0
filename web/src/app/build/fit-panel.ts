import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  decidingWords,
  deciding,
  FIT_WORDS,
  formatLengthUnit,
  formatPressure,
  formatPressureUnit,
  formatTension,
  formatTensionUnit,
  PRESSURE_UNITS,
  TENSION_UNITS,
  sayLine,
  sensitivity,
} from '@yardland/core';
import { AdviceStore } from '../job/solving/advice-store';
import { adviceWords } from '../job/solving/advice-words';
import { JobStore } from '../job/job-store';
import { capital } from '../shared/words/capital';
import { Button, Label, Words } from '../shared/ui/ui';
import { moreWords, sensitivityWords } from './build-words';

/** Changes shown at most; the first is the one that comes nearest. */
const SHOWN_ADVICE = 4;
const SHOWN_ALLOWANCES = 4;

/** Will it fit: what the model says, what would mend it with one press, and which allowance matters most. It advises and never stops anything. */
@Component({
  selector: 'yl-fit-panel',
  imports: [Words, Button, Label],
  template: `
    @if (readings(); as read) {
      <h2 class="mb-1.5 text-panel">{{ read.verdict }}</h2>
      <dl class="mt-0.5 mb-1.5 grid grid-cols-[1fr_1fr] gap-y-0.5 gap-x-3 [&_dt]:text-fine [&_dt]:text-ink-soft [&_dd]:text-lead [&_dd]:font-[650]">
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
      </dl>
      <table
        class="mt-0.5 mb-1.5 w-full [&_th]:text-fine [&_th]:font-normal [&_th]:text-ink-soft [&_th]:text-left [&_td]:pl-2 [&_td]:text-right [&_td]:text-lead [&_td]:font-[650] [&_thead_th]:pl-2 [&_thead_th]:text-right"
      >
        <thead>
          <tr>
            <td></td>
            <th scope="col">presses {{ read.pressureUnit }}</th>
            <th scope="col">pulls {{ read.tensionUnit }}</th>
          </tr>
        </thead>
        <tbody>
          @for (way of read.ways; track way.name) {
            <tr>
              <th scope="row">{{ way.name }}</th>
              <td>{{ way.pressure }}</td>
              <td>{{ way.tension }}</td>
            </tr>
          }
        </tbody>
      </table>
      <p class="mt-0.5 text-fine text-ink-soft">{{ read.why }}</p>
      @if (read.bow) {
        <p class="px-2.5 py-1.75 mb-1.5 rounded-md bg-warn-ground text-note font-semibold">The core is much larger than its cover: it may bow like a boat.</p>
      }
      @if (advice.trying(); as trying) {
        <p ylWords role="status">
          Trying changes out: {{ trying.done }} of {{ trying.of }}
          <button type="button" ylButton (click)="advice.stop()">Stop</button>
        </p>
      }
      @if (advice.failed(); as why) {
        <p ylWords="bad" role="alert">Advice could not be worked out: {{ why }}</p>
      }
      @if (changes().length) {
        <h3 ylLabel class="mt-3 mb-1!">What would mend it</h3>
        <ul
          class="gap-1.5 grid [&_b]:block [&_li]:py-1.5 [&_li]:border-t [&_li]:border-t-line [&_li]:gap-2 [&_li]:grid [&_li]:grid-cols-[minmax(0,1fr)_auto] [&_li]:items-center [&_li]:text-small [&_li]:leading-[1.3]"
        >
          @for (one of changes(); track one.words) {
            <li>
              <span
                ><b>{{ one.words }}</b> {{ one.then }}</span
              >
              <button type="button" ylButton [attr.aria-label]="'Take: ' + one.words" (click)="advice.take(one.advice)">Take</button>
            </li>
          }
        </ul>
      }
      <h3 ylLabel class="mt-3 mb-1!">What {{ more() }} more does</h3>
      <dl
        class="text-small [&_dd]:font-semibold [&_dd]:tabular-nums [&_div]:py-0.75 [&_div]:border-t [&_div]:border-t-line [&_div]:flex [&_div]:flex-wrap [&_div]:justify-between [&_div]:gap-y-0 [&_div]:gap-x-2"
      >
        @for (one of matters(); track one.what) {
          <div>
            <dt>{{ one.what }}</dt>
            <dd>{{ one.does }}</dd>
          </div>
        }
      </dl>
    } @else {
      <p ylWords>{{ unknown() }}</p>
    }
    @if (readings()) {
      <p class="mt-0.5 text-fine text-ink-soft">
        {{ rough() ? 'A rough guide: not all of the filling is foam.' : 'A model with assumed constants.' }} It advises; it does not promise.
      </p>
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FitPanel {
  protected readonly store = inject(JobStore);
  protected readonly advice = inject(AdviceStore);

  protected readonly readings = computed(() => {
    const [one, shop] = [this.store.cushionPlan(), this.store.shop()];
    if (!one?.fit || !shop) return null;
    const { units, step } = this.store.inWords();
    const { fit, source } = one;
    const { of } = deciding(fit);
    return {
      verdict: `${capital(FIT_WORDS[fit.verdict])}, ${decidingWords(deciding(fit), units)}`,
      crown: formatLengthUnit(fit.crownMm, units, step),
      asked: source.crown ? formatLengthUnit(source.crown.mm, units, step) : null,
      ways: [
        { name: 'across', pressure: formatPressure(fit.pressureAcrossPa, units), tension: formatTension(fit.tensionAcrossNPerM, units) },
        { name: 'front to back', pressure: formatPressure(fit.pressureAlongPa, units), tension: formatTension(fit.tensionAlongNPerM, units) },
      ],
      why:
        of === 'tension'
          ? `The pull in the cloth decides: over ${formatTensionUnit(shop.assume('hardToCloseTension', units), units)} it is hard to close, over ${formatTension(shop.assume('willNotCloseTension', units), units)} it will not.`
          : `The pressure in the slacker direction decides: loose under ${formatPressureUnit(shop.assume('looseBelow', units), units)}, roomy under ${formatPressure(shop.assume('roomyBelow', units), units)}.`,
      pressureUnit: PRESSURE_UNITS[units],
      tensionUnit: TENSION_UNITS[units],
      bow: fit.bowRisk,
      faces: one.fitRequest?.crownedFaces ?? 2,
    };
  });
  protected readonly rough = computed(() => this.store.cushionPlan()?.fit?.rough ?? false);

  /** Why nothing is predicted. */
  protected readonly unknown = computed(() => {
    const why = this.store.cushionPlan()?.problems.find(({ code }) => code.startsWith('fit-not-known'));
    return why ? sayLine(why, this.store.inWords()) : 'What the ticket says comes first; then the fit is predicted.';
  });

  protected readonly changes = computed(() => {
    const inWords = this.store.inWords();
    return this.advice
      .advice()
      .slice(0, SHOWN_ADVICE)
      .map((advice) => ({
        advice,
        words: adviceWords(advice, inWords),
        then: `${FIT_WORDS[advice.fit.verdict]}, ${decidingWords(deciding(advice.fit), inWords.units)}, crown ${formatLengthUnit(advice.fit.crownMm, inWords.units, inWords.step)}`,
      }));
  });

  protected readonly matters = computed(() => {
    const [request, shop, units] = [this.store.cushionPlan()?.fitRequest, this.store.shop(), this.store.units()];
    return request && shop
      ? sensitivity(request, (key) => shop.assume(key, units))
          .slice(0, SHOWN_ALLOWANCES)
          .map((one) => sensitivityWords(one, units))
      : [];
  });

  protected readonly more = computed(() => moreWords(this.store.units()));
}
