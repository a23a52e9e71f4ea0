import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { answersIn, compareOrders, contextOf, formatNumber, formatRun, type OrderOffer, minutesInWords } from '@yardland/core';
import type { JobStore } from '../job/job-store';
import { takenByKey } from '../shared/taken-by-key';
import { Button, DialogFoot, DialogFrame } from '../shared/ui/ui';

/** The cover in each order of work side by side; one is taken with its number key, or by its button. */
@Component({
  selector: 'yl-compare-orders-dialog',
  imports: [DialogFrame, Button, DialogFoot],
  template: `
    <div ylDialog="widest">
      <h2 id="orders-title">Compare orders of work</h2>
      <p>For one cushion: {{ name() }}. The pieces are the same in each. Press a number to take an order.</p>
      <div class="compared">
        <table>
          <thead>
            <tr>
              <th scope="col">Order</th>
              <th scope="col" class="figure">Work</th>
              <th scope="col" class="figure">At the machine</th>
              <th scope="col" class="figure">Thread</th>
              <th scope="col" class="figure">Looks</th>
              <th scope="col">What can still be corrected</th>
              <th scope="col"><span class="sr-only">Take it</span></th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.offer.order; let i = $index) {
              <tr [class.here]="row.offer.inHand">
                <th scope="row">
                  <b>{{ i + 1 }}</b> {{ row.offer.name }}
                </th>
                <td class="figure">{{ row.minutes }}</td>
                <td class="figure">{{ row.machine }}</td>
                <td class="figure">{{ row.thread }}</td>
                <td class="figure">{{ row.looks }}</td>
                <td>{{ row.offer.corrects }}</td>
                <td>
                  @if (row.offer.inHand) {
                    in hand
                  } @else {
                    <button type="button" ylButton [attr.aria-label]="'Take ' + row.offer.name" (click)="close(row.offer)">Take</button>
                  }
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <div ylDialogFoot><button type="button" ylButton="strong" (click)="close(null)">Done</button></div>
    </div>
  `,
  host: { '(keydown)': 'pressed($event)' },
  styleUrl: '../shared/compare-table.css',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CompareOrdersDialog {
  readonly #store = inject<JobStore>(DIALOG_DATA);
  readonly #dialog = inject<DialogRef<OrderOffer['construction'] | null>>(DialogRef);
  protected readonly name = computed(() => this.#store.cushion()?.name ?? '');
  protected readonly rows = computed(() => {
    const [cushion, job, shop, { units }] = [this.#store.cushion(), this.#store.job(), this.#store.shop(), this.#store.inWords()];
    if (!cushion || !job || !shop) return [];
    return compareOrders(cushion, contextOf(job, shop, answersIn({}))).map((offer) => ({
      offer,
      minutes: minutesInWords(offer.minutes),
      machine: minutesInWords(offer.machineMinutes),
      thread: formatRun(offer.threadMm, units),
      looks: formatNumber(offer.looks),
    }));
  });

  protected pressed(event: KeyboardEvent): void {
    takenByKey(
      event,
      (key) => this.rows().find(({ offer }, i) => key === String(i + 1) && !offer.inHand),
      ({ offer }) => this.close(offer),
    );
  }

  protected close(offer: OrderOffer | null): void {
    this.#dialog.close(offer?.construction ?? null);
  }
}
