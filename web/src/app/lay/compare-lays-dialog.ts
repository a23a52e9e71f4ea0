import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { formatLengthUnit, formatNumber, formatRun, type ClothUse, type Job, type LayCompared, type LayWay } from '@yardland/core';
import type { JobStore } from '../job/job-store';
import { SolvePool } from '../job/solving/solve-pool';
import { Button, DialogFoot, DialogFrame, Words } from '../shared/ui/ui';
import { BIAS_WORDS } from './lay-words';
import { knownLays } from './known-lays';

/** What the dialog is opened with: the job, and the cloth of the lay on show. */
export interface CompareLaysData {
  readonly store: JobStore;
  readonly use: ClothUse;
}

interface Row {
  readonly key: string;
  readonly words: string;
  readonly laid: string;
  readonly buy: string;
  readonly against: string;
  readonly use: string;
  readonly joins: string;
  readonly missing: number;
  readonly here: boolean;
  readonly shortest: boolean;
  readonly job: Job | null;
}

/** Lengths nearer than this are the same, mm. */
const SAME_MM = 5;

/** One cloth's lay in other ways, each really laid; one is taken with its number key, or by its button. */
@Component({
  selector: 'yl-compare-lays-dialog',
  imports: [DialogFrame, Words, Button, DialogFoot],
  template: `
    <div ylDialog="widest">
      <h2 id="lays-title">Compare lays</h2>
      <p>The same set on the same cloth, each way really laid. Widths are over the selvedges. Press a number to take a way.</p>
      @if (working(); as words) {
        <p ylWords role="status">{{ words }}</p>
      }
      <div class="compared">
        <table>
          <thead>
            <tr>
              <th scope="col">Way</th>
              <th scope="col" class="figure">Laid</th>
              <th scope="col" class="figure">To buy</th>
              <th scope="col" class="figure">Against now</th>
              <th scope="col" class="figure">Used</th>
              <th scope="col" class="figure">Joins in the welt</th>
              <th scope="col"><span class="sr-only">Take it</span></th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.key) {
              <tr [class.here]="row.here">
                <th scope="row">
                  <b>{{ row.key }}</b> {{ row.words }}
                  @if (row.missing) {
                    <small class="text-error font-semibold">{{ row.missing }} pieces find no place</small>
                  }
                </th>
                <td class="figure" [class.font-bold]="row.shortest">{{ row.laid }}</td>
                <td class="figure">{{ row.buy }}</td>
                <td class="figure">{{ row.against }}</td>
                <td class="figure">{{ row.use }}</td>
                <td class="figure">{{ row.joins }}</td>
                <td>
                  @if (row.job && !row.here) {
                    <button type="button" ylButton [attr.aria-label]="'Take: ' + row.words" (click)="close(row.job)">Take</button>
                  } @else if (row.here) {
                    in hand
                  }
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <div ylDialogFoot><button type="button" ylButton (click)="close(null)">Leave it as it is</button></div>
    </div>
  `,
  host: { '(keydown)': 'pressed($event)' },
  styleUrl: '../shared/compare-table.css',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CompareLaysDialog {
  readonly #data = inject<CompareLaysData>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<Job | null>>(DialogRef);
  readonly #pool = inject(SolvePool);
  readonly #compared = signal<readonly LayCompared[]>([]);
  protected readonly working = signal<string | null>('Laying the set in other ways …');

  protected readonly rows = computed<Row[]>(() => {
    const { units } = this.#data.store.inWords();
    const compared = this.#compared();
    const [now] = compared;
    const whole = compared.filter(({ unplaced, job }) => unplaced === 0 && job);
    const shortest = Math.min(...whole.map(({ laidMm }) => laidMm));
    return compared.map((row, i): Row => {
      const more = row.laidMm - (now?.laidMm ?? row.laidMm);
      return {
        key: String(i + 1),
        words: this.#wayWords(row.way),
        laid: formatRun(row.laidMm, units),
        buy: row.buyMm === null ? '—' : formatRun(row.buyMm, units),
        against: i === 0 ? '' : row.unplaced ? '—' : Math.abs(more) < SAME_MM ? 'the same' : `${more < 0 ? '−' : '+'} ${formatRun(Math.abs(more), units)}`,
        use: `${formatNumber(row.use * 100)} %`,
        joins: String(row.joins),
        missing: row.unplaced,
        here: row.way.kind === 'as-it-is',
        shortest: row.unplaced === 0 && row.laidMm === shortest,
        job: row.job,
      };
    });
  });

  constructor() {
    const { store, use } = this.#data;
    const [job, shop] = [store.job(), store.shop()];
    if (!job || !shop) return;
    this.#pool
      .try({ format: 'yardland/lay-compare-ask@1', job, use, shop: shop.document, known: knownLays(store.plan()) })
      .pipe(takeUntilDestroyed())
      .subscribe((says) => {
        if (says.kind === 'trying') {
          const { done, of, compared = [] } = says.progress;
          this.working.set(`Laid in ${done} of ${of} ways`);
          this.#compared.set(compared);
        }
        if (says.kind === 'failed') this.working.set(`The ways could not be compared: ${says.message}`);
        if (says.kind !== 'tried' || says.answer.format !== 'yardland/lay-compare-answer@1') return;
        this.working.set(null);
        this.#compared.set(says.answer.compared);
      });
  }

  protected pressed(event: KeyboardEvent): void {
    const row = this.rows()[Number(event.key) - 1];
    if (row?.job && !row.here && !event.ctrlKey && !event.metaKey && !event.altKey) this.close(row.job);
  }

  protected close(job: Job | null): void {
    this.#dialog.close(job);
  }

  #wayWords(way: LayWay): string {
    const { units, step } = this.#data.store.inWords();
    switch (way.kind) {
      case 'as-it-is':
        return 'As it is now';
      case 'turned':
        return this.#data.use.railroaded ? 'Up the roll' : 'Railroaded';
      case 'width':
        return `Cloth ${formatLengthUnit(way.widthMm, units, step)} wide`;
      case 'bias':
        return BIAS_WORDS[way.way];
      case 'pattern':
        return way.matched ? 'Pattern matched' : 'Pattern not matched';
      case 'straight-welt':
        return 'Welt cut straight';
      case 'boxing':
        return way.strips === 'along' ? 'Boxing along the roll' : 'Boxing across the roll';
      case 'one-by-one':
        return 'Each kind of cushion by itself';
    }
  }
}
