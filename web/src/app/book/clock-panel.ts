import { HttpClient } from '@angular/common/http';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { formatNumber, LEAST_CLOCKED, learntTimesSchema, openShop, ratesBy, type ShopDocument, type Work, minutesInWords } from '@yardland/core';
import { catchError, debounceTime, map, of, switchMap } from 'rxjs';
import { Messages } from '../shared/messages';
import { ShopEditor } from '../shared/saving/shop-editor';
import { ShopService } from '../shared/saving/shop.service';
import { Button, Rows, Words } from '../shared/ui/ui';

/** The clock is asked again when the shop has been still for so long, so that rates just taken over are the ones that are reckoned with, ms. */
const STILL_MS = 500;

const WORK_WORDS: Record<Work, string> = {
  cut: 'cutting',
  prepare: 'preparing cores',
  sew: 'at the machine',
  hand: 'by hand',
  fill: 'filling and dressing',
  staple: 'stapling',
};

/** What the clock at the bench says of the shop's rates, and taking it over. */
@Component({
  selector: 'yl-clock-panel',
  imports: [Button, Rows, Words],
  template: `
    <h2 id="clock-title">What the clock says</h2>
    @if (rows().length) {
      <p ylWords>
        Minutes clocked at the bench beside what the rates below say, over {{ jobs() === 1 ? 'the one job' : 'the ' + jobs() + ' jobs' }} with a clocked step.
      </p>
      <table ylRows aria-labelledby="clock-title" class="max-w-220 [&_td]:align-middle">
        <thead>
          <tr>
            <th scope="col">work</th>
            <th scope="col" class="text-right!">steps</th>
            <th scope="col" class="text-right!">by the clock</th>
            <th scope="col" class="text-right!">by the rates</th>
            <th scope="col" class="text-right!">takes</th>
            <th scope="col"><span class="sr-only">Take over</span></th>
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.work) {
            <tr>
              <td>{{ row.name }}</td>
              <td class="text-right">{{ row.steps }}</td>
              <td class="text-right whitespace-nowrap">{{ row.clocked }}</td>
              <td class="text-right whitespace-nowrap">{{ row.reckoned }}</td>
              <td class="text-right whitespace-nowrap">{{ row.takes }}</td>
              <td>
                @if (row.factor; as factor) {
                  <button type="button" ylButton [attr.aria-label]="'Take over, ' + row.name" (click)="takeOver(row.work, factor)">Take over</button>
                }
              </td>
            </tr>
          }
        </tbody>
      </table>
    } @else {
      <p ylWords>
        {{ away() ? 'Not available while the server is away.' : 'Nothing was clocked yet. With the clock at the Bench a step says how long it really takes.' }}
      </p>
    }
  `,
  host: { class: 'mb-6.5 block [&>h2]:mt-1.5 [&>h2]:mb-2 [&>h2]:text-figure' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ClockPanel {
  readonly #http = inject(HttpClient);
  readonly #shops = inject(ShopService);
  readonly #edit = inject(ShopEditor);
  readonly #messages = inject(Messages);
  readonly #times = toSignal(
    this.#shops.document$.pipe(
      debounceTime(STILL_MS),
      switchMap(() =>
        this.#http.get('/api/times').pipe(
          map((value) => learntTimesSchema.parse(value)),
          catchError(() => of('away' as const)),
        ),
      ),
    ),
  );
  protected readonly away = computed(() => this.#times() === 'away');
  readonly #learnt = computed(() => {
    const times = this.#times();
    return times === 'away' || !times ? { jobs: 0, works: [] } : times;
  });
  protected readonly jobs = computed(() => this.#learnt().jobs);
  protected readonly rows = computed(() =>
    this.#learnt().works.map(({ work, clocked, leftOut, clockedMinutes, reckonedMinutes, factor }) => ({
      work,
      name: WORK_WORDS[work],
      steps: leftOut > 0 ? `${clocked}, ${leftOut} not believed` : String(clocked),
      clocked: minutesInWords(clockedMinutes),
      reckoned: minutesInWords(reckonedMinutes),
      takes: factor === null ? `${LEAST_CLOCKED} steps are wanted` : `${formatNumber(factor, 2)} × as long`,
      // What differs by less is the same.
      factor: factor !== null && Math.abs(factor - 1) >= 0.02 ? factor : null,
    })),
  );

  protected takeOver(work: Work, factor: number): void {
    let before: ShopDocument['calibration'] = {};
    this.#edit.change(
      (shop) => {
        before = shop.calibration;
        return { ...shop, calibration: { ...before, ...ratesBy(work, factor, (key) => openShop(shop).assume(key, shop.units)) } };
      },
      () => {
        const words = `The shop’s rates for ${WORK_WORDS[work]} are ${formatNumber(factor, 2)} times what they were.`;
        this.#messages.tell('clock', words, () => this.#edit.change((shop) => ({ ...shop, calibration: before })));
      },
    );
  }
}
