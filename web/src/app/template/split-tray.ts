import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { Router } from '@angular/router';
import { Icon } from '../shared/icon';
import { formatLengthUnit, MOST_SPLIT, outlineOf, sayLine, shapeOf, splitCushion } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Switch } from '../shared/controls/choice';
import { NumberField } from '../shared/controls/number-field';
import { QuantityField } from '../shared/controls/quantity-field';
import { Button, TrayPart, TrayRow, Words } from '../shared/ui/ui';

const WAYS = [
  { value: 'equal', name: 'all alike' },
  { value: 'given', name: 'each its own' },
] as const;

/** One seat across, made of several cushions: how many, the gap between them, and how wide each is. */
@Component({
  selector: 'yl-split-tray',
  imports: [TrayRow, Words, Button, Switch, NumberField, QuantityField, Icon],
  template: `
    <div ylTrayRow>
      <yl-number label="Cushions" class="few" [whole]="true" [min]="2" [max]="most" [value]="count()" (entered)="count.set($event)" />
      <yl-quantity class="few" label="Gap between two" [min]="0" [max]="200" [value]="gap()" (entered)="gap.set($event)" />
      <yl-switch label="They are" [options]="ways" [value]="way()" (picked)="way.set($event)" />
      <button type="button" ylButton="strong" [disabled]="!ready()" (click)="split()"><svg ylIcon="columns-3" size="20"></svg> Split it</button>
    </div>
    @if (way() === 'given') {
      <div ylTrayRow>
        @for (width of widths(); track $index; let i = $index) {
          <yl-quantity class="few" [label]="'Wide, ' + (i + 1) + ' from the left'" [min]="30" [value]="width" (entered)="setWidth(i, $event)" />
        }
      </div>
    }
    <p ylWords role="status">{{ says() }}</p>
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SplitTray {
  protected readonly store = inject(JobStore);
  readonly #router = inject(Router);
  protected readonly ways = WAYS;
  protected readonly most = MOST_SPLIT;
  protected readonly count = linkedSignal({ source: this.store.cushionIndex, computation: () => 2 });
  protected readonly way = linkedSignal<number, (typeof WAYS)[number]['value']>({ source: this.store.cushionIndex, computation: () => 'equal' });
  protected readonly gap = linkedSignal(() => this.store.shop()?.assume('splitGapMm', this.store.units()) ?? 0);
  readonly #acrossMm = computed(() => {
    const template = this.store.cushion()?.template;
    return template && !shapeOf(template).check(template).length ? outlineOf(template).acrossMm : 0;
  });
  /** Widths from the left: alike until they are typed. */
  protected readonly widths = linkedSignal<readonly number[]>(() => {
    const [count, room] = [this.count(), this.#acrossMm() - (this.count() - 1) * this.gap()];
    return Array.from({ length: count }, () => Math.round((room / count) * 10) / 10);
  });
  readonly #split = computed(() => {
    const cushion = this.store.cushion();
    if (!cushion) return null;
    return splitCushion(cushion, { gapMm: this.gap(), ...(this.way() === 'equal' ? { into: this.count() } : { widthsMm: this.widths() }) });
  });
  protected readonly ready = computed(() => this.#split()?.ok ?? false);
  protected readonly says = computed(() => {
    const split = this.#split();
    const { units, step } = this.store.inWords();
    if (!split) return '';
    if (!split.ok) return split.problems.map((problem) => sayLine(problem, { units, step })).join(' ');
    const sizes = split.cushions.map(({ template }) => formatLengthUnit(outlineOf(template).acrossMm, units, step));
    const each = new Set(sizes).size === 1 ? `Each of the ${sizes.length} is ${sizes[0] ?? ''} wide` : `They are ${sizes.join(', ')} wide`;
    return `${each}, as measured; their facing edges match, so that a pattern runs on. This cushion becomes the first of them.`;
  });

  /** The width typed, and the last one so that all together fill the seat. */
  protected setWidth(index: number, mm: number): void {
    const room = this.#acrossMm() - (this.count() - 1) * this.gap();
    const next = this.widths().map((before, i) => (i === index ? mm : before));
    const last = next.length - 1;
    if (index !== last) next[last] = room - next.slice(0, last).reduce((sum, width) => sum + width, 0);
    this.widths.set(next);
  }

  protected split(): void {
    const made = this.#split();
    if (!made?.ok) return;
    const index = this.store.cushionIndex();
    this.store.edit('Seat split', (job) => ({ ...job, cushions: job.cushions.flatMap((one, i) => (i === index ? made.cushions : [one])) }));
    void this.#router.navigate(['/jobs', this.store.head()?.id, index + 1, 'template']);
  }
}
