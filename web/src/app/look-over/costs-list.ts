import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { formatMoney, priceCaution, type Figure } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { FigureButton, Words } from '../shared/ui/ui';
import { today } from '../shared/words/days';
import { Why } from '../shared/why';

/** What a few ways cost, beside each other: each with its why, and below them what is to be said of the prices. */
@Component({
  selector: 'yl-costs-list',
  imports: [FigureButton, Why, Words],
  template: `
    <dl class="grid grid-cols-[auto_auto] justify-start items-baseline gap-y-0 gap-x-4.5 [&_dd]:text-right">
      @for (cost of costs(); track cost.name) {
        <dt>{{ cost.name }}</dt>
        <dd>
          <button
            type="button"
            ylFigure
            class="min-h-8! text-panel! font-[650]!"
            [attr.aria-expanded]="open() === cost.name"
            [attr.aria-label]="cost.name + ', why'"
            (click)="why(cost.name)"
          >
            {{ money(cost.figure.value) }}
          </button>
        </dd>
      }
    </dl>
    @if (shown(); as figure) {
      <yl-why [figure]="figure" [inWords]="inWords()" />
    }
    @if (caution()) {
      <p ylWords>New: {{ caution() }}.</p>
    }
  `,
  host: { class: 'block' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CostsList {
  readonly costs = input.required<readonly { readonly name: string; readonly figure: Figure }[]>();
  /** The oldest day that a price of the new material is of; null where one has none. */
  readonly pricedOn = input.required<string | null>();
  /** Which cost's why is open. */
  protected readonly open = signal('');
  protected readonly inWords = inject(JobStore).inWords;
  protected readonly shown = computed(() => this.costs().find(({ name }) => name === this.open())?.figure ?? null);
  protected readonly caution = computed(() => priceCaution(this.pricedOn(), today()));
  protected readonly money = formatMoney;

  protected why(name: string): void {
    this.open.update((open) => (open === name ? '' : name));
  }
}
