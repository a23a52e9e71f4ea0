import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { formatNumber, formatRun, type Job, type LayCompared, type LayTrialAsk, type LayWay, type WrapTrialAsk } from '@yardland/core';
import type { JobStore } from './job-store';
import { SolvePool } from './solving/solve-pool';
import { takenByKey } from '../shared/taken-by-key';
import { Button, DialogFoot, DialogFrame, Words } from '../shared/ui/ui';

/** What the dialog is opened with. */
export interface CompareWaysData {
  readonly store: JobStore;
  readonly title: string;
  /** A sentence on what is compared. */
  readonly idea: string;
  /** What the joins are of: `Joins in the welt`. */
  readonly joins: string;
  readonly ask: LayTrialAsk | WrapTrialAsk;
  readonly words: (way: LayWay) => string;
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

/** One material's lay in other ways, each really laid; one is taken with its number key, or by its button. */
@Component({
  selector: 'yl-compare-ways-dialog',
  imports: [DialogFrame, Words, Button, DialogFoot],
  template: `
    <div ylDialog="widest">
      <h2 id="ways-title">{{ data.title }}</h2>
      <p>{{ data.idea }} Press a number to take a way.</p>
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
              <th scope="col" class="figure">{{ data.joins }}</th>
              <th scope="col"><span class="sr-only">Take it</span></th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.key) {
              <tr [class.here]="row.here">
                <th scope="row">
                  <b>{{ row.key }}</b> {{ row.words }}
                  @if (row.missing) {
                    <small class="text-error! font-semibold">{{ row.missing }} pieces find no place</small>
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
export class CompareWaysDialog {
  protected readonly data = inject<CompareWaysData>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<Job | null>>(DialogRef);
  readonly #pool = inject(SolvePool);
  readonly #compared = signal<readonly LayCompared[]>([]);
  protected readonly working = signal<string | null>('Laying in other ways …');

  protected readonly rows = computed<Row[]>(() => {
    const { units } = this.data.store.inWords();
    const compared = this.#compared();
    const [now] = compared;
    const whole = compared.filter(({ unplaced, job }) => unplaced === 0 && job);
    const shortest = Math.min(...whole.map(({ laidMm }) => laidMm));
    return compared.map((row, i): Row => {
      const more = row.laidMm - (now?.laidMm ?? row.laidMm);
      return {
        key: String(i + 1),
        words: this.data.words(row.way),
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
    this.#pool
      .try(this.data.ask)
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
    takenByKey(
      event,
      (key) => this.rows().find((row) => row.key === key && !row.here)?.job,
      (job) => this.close(job),
    );
  }

  protected close(job: Job | null): void {
    this.#dialog.close(job);
  }
}
