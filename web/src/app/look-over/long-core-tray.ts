import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Icon } from '../shared/icon';
import { NumberField } from '../shared/controls/number-field';
import { QuantityField } from '../shared/controls/quantity-field';
import { TextField } from '../shared/controls/text-field';
import { Button, LayerRow, Tool, TrayPart, Words } from '../shared/ui/ui';
import { longCoreCosts } from '@yardland/core';
import { CostsList } from './costs-list';
import { longCoreWords } from './long-core-scene';
import { SeatEditor, type Seat } from './seat-editor';

type OldCoreRow = NonNullable<Seat['oldCores']>[number];
type RowSize = 'lengthMm' | 'depthMm' | 'heightMm';

const SIZES: readonly { readonly key: RowSize; readonly name: string }[] = [
  { key: 'lengthMm', name: 'long' },
  { key: 'depthMm', name: 'deep' },
  { key: 'heightMm', name: 'high' },
];

/** Old cores and offcuts that are to become one long core. */
@Component({
  selector: 'yl-long-core-tray',
  imports: [CostsList, LayerRow, Tool, Button, Words, NumberField, QuantityField, TextField, Icon],
  template: `
    @for (row of rows(); track $index; let i = $index) {
      <div ylLayerRow data-part="layer-row" role="group" [attr.aria-label]="'Old core ' + (i + 1)">
        <yl-text [bare]="true" [label]="'Old core ' + (i + 1) + ', called'" [maxLength]="40" [value]="row.name" (valueChange)="rename(i, $event)" />
        @for (size of sizes; track size.key) {
          <yl-quantity
            [bare]="true"
            [label]="'Old core ' + (i + 1) + ', ' + size.name"
            [value]="row[size.key]"
            [min]="10"
            (valueChange)="setSize(i, size.key, $event)"
          />
          <span class="-ml-1.5 text-small text-ink-soft">{{ size.name }}</span>
        }
        <button type="button" ylTool="quiet" [attr.aria-label]="'Take ' + row.name + ' out'" (click)="remove(i)"><svg ylIcon="trash-2" size="20"></svg></button>
      </div>
    }
    <div ylLayerRow data-part="layer-row">
      <button type="button" ylButton class="first:ml-18.5" [disabled]="rows().length >= 12" (click)="add()">
        <svg ylIcon="plus" size="20"></svg> Old core or offcut
      </button>
      <yl-number
        label="People side by side"
        class="few"
        [whole]="true"
        [min]="1"
        [max]="20"
        [value]="edit.seat().places ?? 1"
        (valueChange)="setPlaces($event)"
      />
      <p ylWords class="basis-27.5" role="status">{{ words() }}</p>
      @if (costs(); as costs) {
        <yl-costs-list class="basis-full" [costs]="costs.rows" [pricedOn]="costs.pricedOn" />
      }
    </div>
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LongCoreTray {
  protected readonly edit = inject(SeatEditor);
  protected readonly sizes = SIZES;
  protected readonly rows = computed(() => this.edit.seat().oldCores ?? []);
  protected readonly words = computed(() => {
    const one = this.edit.store.cushionPlan();
    const longCore = one?.longCore;
    if (longCore && !longCore.answer) return 'Looking for the best way to join them …';
    return longCore?.answer
      ? longCoreWords(longCore.answer, this.edit.store.inWords())
      : 'Enter what there is: old cores of this height, and offcuts. The best way to join them is drawn above.';
  });

  /** Joining what there is, against a new core. */
  protected readonly costs = computed(() => {
    const [one, shop] = [this.edit.store.cushionPlan(), this.edit.store.shop()];
    const costs = one && shop ? longCoreCosts(one, shop, this.edit.store.units()) : null;
    if (!costs) return null;
    const { join, replace, pricedOn } = costs;
    return {
      rows: [
        { name: 'to join these', figure: join },
        { name: 'a new core', figure: replace },
      ],
      pricedOn,
    };
  });

  protected add(): void {
    const core = this.edit.store.cushionPlan()?.sizes?.core;
    const row: OldCoreRow = { name: `core ${this.rows().length + 1}`, lengthMm: 600, depthMm: core?.depth.value ?? 450, heightMm: core?.height.value ?? 80 };
    this.#set('Old core for a long one', [...this.rows(), row]);
  }

  protected remove(index: number): void {
    this.#set(
      'Old core taken out',
      this.rows().filter((_, i) => i !== index),
    );
  }

  protected rename(index: number, name: string): void {
    if (name) this.#change(index, { name });
  }

  protected setSize(index: number, key: RowSize, mm: number | null): void {
    if (mm !== null) this.#change(index, { [key]: mm });
  }

  protected setPlaces(places: number | null): void {
    this.edit.setSeat('Places', { places });
  }

  #change(index: number, change: Partial<OldCoreRow>): void {
    this.#set(
      'Old core for a long one',
      this.rows().map((row, i) => (i === index ? { ...row, ...change } : row)),
    );
  }

  #set(label: string, rows: OldCoreRow[]): void {
    this.edit.setSeat(label, { oldCores: rows.length ? rows : null });
  }
}
