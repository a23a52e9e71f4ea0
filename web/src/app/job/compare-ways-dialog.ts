import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { formatNumber, formatRun, type Job, type LayCompared, type LayTrialAsk, type LayWay, type WrapTrialAsk } from '@yardland/core';
import type { JobStore } from './job-store';
import { SolvePool } from './solving/solve-pool';
import { ComparedCells, type ComparedColumn, type ComparedRow, ComparedUnderName, Comparison } from '../shared/comparison';

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

interface Row extends ComparedRow<Job> {
  readonly laid: string;
  readonly buy: string;
  readonly against: string;
  readonly use: string;
  readonly joins: string;
  readonly missing: number;
  readonly shortest: boolean;
}

/** Lengths nearer than this are the same, mm. */
const SAME_MM = 5;

/** One material's lay in other ways, each really laid; one is taken with its number key, or by its button. */
@Component({
  selector: 'yl-compare-ways-dialog',
  imports: [Comparison, ComparedCells, ComparedUnderName],
  template: `
    <yl-comparison
      [title]="data.title"
      [idea]="data.idea + ' Press a number to take a way.'"
      [working]="working()"
      what="Way"
      [columns]="columns"
      [rows]="rows()"
      (closed)="close($event)"
    >
      <ng-template [ylUnderName]="rows()" let-row>
        @if (row.missing) {
          <small class="text-error! font-semibold">{{ row.missing }} pieces find no place</small>
        }
      </ng-template>
      <ng-template [ylCells]="rows()" let-row>
        <td class="figure" [class.font-bold]="row.shortest">{{ row.laid }}</td>
        <td class="figure">{{ row.buy }}</td>
        <td class="figure">{{ row.against }}</td>
        <td class="figure">{{ row.use }}</td>
        <td class="figure">{{ row.joins }}</td>
      </ng-template>
    </yl-comparison>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CompareWaysDialog {
  protected readonly data = inject<CompareWaysData>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<Job | null>>(DialogRef);
  readonly #pool = inject(SolvePool);
  readonly #compared = signal<readonly LayCompared[]>([]);
  protected readonly working = signal<string | null>('Laying in other ways …');
  protected readonly columns: readonly ComparedColumn[] = ['Laid', 'To buy', 'Against now', 'Used', this.data.joins].map((words) => ({ words, figure: true }));

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
        name: this.data.words(row.way),
        laid: formatRun(row.laidMm, units),
        buy: row.buyMm === null ? '—' : formatRun(row.buyMm, units),
        against: i === 0 ? '' : row.unplaced ? '—' : Math.abs(more) < SAME_MM ? 'the same' : `${more < 0 ? '−' : '+'} ${formatRun(Math.abs(more), units)}`,
        use: `${formatNumber(row.use * 100)} %`,
        joins: String(row.joins),
        missing: row.unplaced,
        here: row.way.kind === 'as-it-is',
        shortest: row.unplaced === 0 && row.laidMm === shortest,
        takes: row.job,
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

  protected close(job: Job | null): void {
    this.#dialog.close(job);
  }
}
