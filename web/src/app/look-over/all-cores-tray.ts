import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { formatMoney, formatNumber, oldestPrice, priceCaution, stagedJob } from '@yardland/core';
import { NumberField } from '../shared/controls/number-field';
import { Rows, TrayPart, Words } from '../shared/ui/ui';
import { VERDICT_WORDS } from './look-over-words';
import { today } from '../shared/words/days';
import { SeatEditor } from './seat-editor';

/** All old cores of the job: verdicts, costs, and which replacements the budget pays now, worst first. */
@Component({
  selector: 'yl-all-cores-tray',
  imports: [Rows, Words, NumberField],
  template: `
    <yl-number
      label="Budget for new cores"
      class="few"
      hint="empty: all now"
      [optional]="true"
      [value]="edit.store.job()?.budget ?? null"
      (valueChange)="setBudget($event)"
    />
    <div class="flex-[1_1_480px] overflow-x-auto">
      <table ylRows aria-label="All old cores of the job">
        <thead>
          <tr>
            <th scope="col">cushion</th>
            <th scope="col">verdict</th>
            <th scope="col" class="text-right!">refresh, each</th>
            <th scope="col" class="text-right!">replace, each</th>
            <th scope="col" class="text-right!">now</th>
            <th scope="col" class="text-right!">later</th>
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.key) {
            <tr>
              <td>{{ row.name }}</td>
              <td>{{ row.verdict }}</td>
              <td class="text-right whitespace-nowrap">{{ row.refresh }}</td>
              <td class="text-right whitespace-nowrap">{{ row.replace }}</td>
              <td class="text-right whitespace-nowrap">{{ row.now }}</td>
              <td class="text-right whitespace-nowrap">{{ row.later }}</td>
            </tr>
          } @empty {
            <tr>
              <td colspan="6">No old core of this job was looked over yet.</td>
            </tr>
          }
        </tbody>
      </table>
    </div>
    <p ylWords>{{ words() }}</p>
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class AllCoresTray {
  protected readonly edit = inject(SeatEditor);
  readonly #staged = computed(() => {
    const plan = this.edit.store.plan();
    return plan ? stagedJob(plan) : null;
  });
  protected readonly rows = computed(() => {
    const [plan, all] = [this.edit.store.plan(), this.#staged()];
    if (!plan || !all) return [];
    const order = all.staged.map((one) => one.row);
    const rest = all.rows.map((_, i) => i).filter((i) => !order.includes(i));
    return [...order, ...rest].flatMap((index) => {
      const row = all.rows[index];
      const source = row && plan.cushions[row.cushion]?.source;
      if (!row || !source) return [];
      const stage = all.staged.find((one) => one.row === index);
      return [
        {
          key: row.cushion,
          name: source.quantity > 1 ? `${source.name}, ${source.quantity}` : source.name,
          verdict: VERDICT_WORDS[row.verdict].replace(' the old core', '').toLowerCase(),
          refresh: row.refresh ? formatMoney(row.refresh.value) : '—',
          replace: formatMoney(row.replace.value),
          now: stage ? (stage.patched ? 'patched' : formatNumber(stage.now)) : '—',
          later: stage ? formatNumber(stage.later) : '—',
        },
      ];
    });
  });
  protected readonly words = computed(() => {
    const all = this.#staged();
    if (!all?.rows.length) return '';
    const waiting = all.staged.filter((one) => !one.patched);
    const later = waiting.reduce((sum, one) => sum + one.later, 0);
    const patched = all.staged.filter((one) => one.patched).reduce((sum, one) => sum + one.later, 0);
    const then = patched ? ` ${patched === 1 ? 'The patched one is' : `The ${patched} patched ones are`} good for now and new later.` : '';
    const caution = waiting.length ? priceCaution(oldestPrice(all.rows.map(({ pricedOn }) => pricedOn ?? undefined)), today()) : '';
    const spent = `New cores now: ${formatMoney(all.spent)}${caution ? ` (${caution})` : ''}.`;
    const now = later
      ? `${spent} ${later} wait; the worst go first.`
      : waiting.length
        ? `${spent} All that want replacing are paid for.`
        : 'None has to be replaced now.';
    return `${now}${then}`;
  });

  protected setBudget(budget: number | null): void {
    this.edit.store.edit('Budget', ({ budget: _before, ...job }) => (budget === null ? job : { ...job, budget }));
  }
}
