import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { answersIn, compareOrders, contextOf, formatNumber, formatRun, type OrderOffer, minutesInWords } from '@yardland/core';
import type { JobStore } from '../job/job-store';
import { ComparedCells, type ComparedColumn, type ComparedRow, Comparison } from '../shared/comparison';

const COLUMNS: readonly ComparedColumn[] = [
  ...['Work', 'At the machine', 'Thread', 'Looks'].map((words) => ({ words, figure: true })),
  { words: 'What can still be corrected' },
];

interface Row extends ComparedRow<OrderOffer['construction']> {
  readonly figures: readonly string[];
  readonly corrects: string;
}

/** The cover in each order of work side by side; one is taken with its number key, or by its button. */
@Component({
  selector: 'yl-compare-orders-dialog',
  imports: [Comparison, ComparedCells],
  template: `
    <yl-comparison title="Compare orders of work" [idea]="idea()" what="Order" [columns]="columns" [rows]="rows()" (closed)="close($event)">
      <ng-template [ylCells]="rows()" let-row>
        @for (figure of row.figures; track $index) {
          <td class="figure">{{ figure }}</td>
        }
        <td>{{ row.corrects }}</td>
      </ng-template>
    </yl-comparison>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CompareOrdersDialog {
  readonly #store = inject<JobStore>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<OrderOffer['construction'] | null>>(DialogRef);
  protected readonly columns = COLUMNS;
  protected readonly idea = computed(
    () => `For one cushion: ${this.#store.cushion()?.name ?? ''}. The pieces are the same in each. Press a number to take an order.`,
  );
  protected readonly rows = computed<readonly Row[]>(() => {
    const [cushion, job, shop, { units }] = [this.#store.cushion(), this.#store.job(), this.#store.shop(), this.#store.inWords()];
    if (!cushion || !job || !shop) return [];
    return compareOrders(cushion, contextOf(job, shop, answersIn({}))).map((offer, i) => ({
      key: String(i + 1),
      name: offer.name,
      here: offer.inHand,
      takes: offer.construction,
      figures: [minutesInWords(offer.minutes), minutesInWords(offer.machineMinutes), formatRun(offer.threadMm, units), formatNumber(offer.looks)],
      corrects: offer.corrects,
    }));
  });

  protected close(construction: OrderOffer['construction'] | null): void {
    this.#dialog.close(construction);
  }
}
