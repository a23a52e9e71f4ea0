import { ChangeDetectionStrategy, Component, computed } from '@angular/core';
import { formatLengthUnit, formatNumber, waddingSchema, type Wadding } from '@yardland/core';
import { today } from '../shared/words/days';
import { Icon } from '../shared/icon';
import { NumberField } from '../shared/controls/number-field';
import { QuantityField } from '../shared/controls/quantity-field';
import { TextField } from '../shared/controls/text-field';
import { Tickbox } from '../shared/controls/tickbox';
import { Button, DialogFields, LinkButton, Panel, PanelHead, Rows, Words } from '../shared/ui/ui';
import { PickedRows } from './picked-rows';
import { RemoveStock } from './remove-stock';

const STEP = { mm: 1, inch: 1 / 8 };

/** What a first roll of wadding starts as. */
const NEW_WADDING: Wadding = { id: 'new-wadding', name: 'New wadding', loftMm: 13, rollWidthMm: 1400, pricePerM: 0 };

/** The shop's rolls of wadding, which wraps and padded crowns are cut of. */
@Component({
  selector: 'yl-waddings-panel',
  imports: [RemoveStock, Words, Rows, LinkButton, Panel, PanelHead, Button, DialogFields, Tickbox, NumberField, QuantityField, TextField, Icon],
  template: `
    <h2 id="waddings-title">Wadding</h2>
    <div class="mb-6.5 gap-4.5 grid grid-cols-[minmax(0,1fr)_minmax(20rem,40%)] items-start max-tablet:grid-cols-[minmax(0,1fr)]">
      <div class="overflow-x-auto">
        <table ylRows aria-labelledby="waddings-title">
          <thead>
            <tr>
              <th scope="col">wadding</th>
              <th scope="col" class="text-right!">loft</th>
              <th scope="col" class="text-right!">wide</th>
              <th scope="col" class="text-right!">price a metre</th>
              <th scope="col">out of doors</th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.id) {
              <tr class="[&.picked_td]:bg-linen" [class.picked]="row.id === wadding()?.id">
                <td>
                  <button type="button" ylLink [attr.aria-pressed]="row.id === wadding()?.id" (click)="pick(row.id)">{{ row.name }}</button>
                  @if (row.putAway) {
                    <span class="text-ink-soft">put away</span>
                  }
                </td>
                <td class="text-right whitespace-nowrap">{{ row.loft }}</td>
                <td class="text-right whitespace-nowrap">{{ row.wide }}</td>
                <td class="text-right whitespace-nowrap">{{ row.price }}</td>
                <td class="whitespace-nowrap">{{ row.outdoors }}</td>
              </tr>
            } @empty {
              <tr>
                <td colspan="5">None: nothing can be wrapped.</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <section ylPanel class="sticky top-0 mb-0!" aria-labelledby="wadding-title">
        <div ylPanelHead>
          <h3 id="wadding-title">{{ wadding()?.name ?? 'No wadding' }}</h3>
          <div class="flex gap-2">
            <button type="button" ylButton (click)="add()"><svg ylIcon="plus" size="20"></svg> {{ wadding() ? 'One like it' : 'New wadding' }}</button>
            @if (wadding(); as wadding) {
              <yl-remove-stock [of]="wadding" (removed)="remove(wadding)" (back)="bringBack(wadding)" />
            }
          </div>
        </div>
        @if (wadding(); as wadding) {
          <div ylDialogFields class="grid-cols-[repeat(auto-fit,minmax(8.75rem,1fr))]!">
            <yl-text label="Called" [maxLength]="80" [value]="wadding.name" (valueChange)="set({ name: $event })" />
            <yl-quantity
              label="Loft"
              hint="one layer, lying free"
              [value]="wadding.loftMm"
              [min]="1"
              [max]="200"
              [units]="units()"
              [step]="step"
              (entered)="set({ loftMm: $event })"
            />
            <yl-quantity
              label="Wide"
              hint="on the roll"
              [value]="wadding.rollWidthMm"
              [min]="200"
              [max]="10000"
              [units]="units()"
              [step]="step"
              (entered)="set({ rollWidthMm: $event })"
            />
            <yl-number label="Price a metre" [min]="0" [max]="100000" [value]="wadding.pricePerM" (entered)="set({ pricePerM: $event, pricedOn: today() })" />
            <yl-text label="Price as of" type="date" [value]="wadding.pricedOn ?? ''" (valueChange)="set({ pricedOn: $event || undefined })" />
            <yl-tickbox [checked]="wadding.open ?? false" (checkedChange)="set({ open: wadding.open ? undefined : true })">open, dries quickly</yl-tickbox>
          </div>
        }
        <p ylWords>A wrap takes the roll whose loft is nearest to what its school asks for, unless a job has chosen one; out of doors, an open one.</p>
      </section>
    </div>
  `,
  host: { class: 'block [&>h2]:mt-1.5 [&>h2]:mb-2 [&>h2]:text-figure' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class WaddingsPanel {
  /** A price that is entered is of today. */
  protected readonly today = today;
  readonly #list = new PickedRows({
    schema: waddingSchema,
    rows: ({ waddings }) => waddings,
    withRows: (shop, waddings) => ({ ...shop, waddings }),
  });
  protected readonly step = STEP;
  protected readonly units = this.#list.units;
  protected readonly wadding = this.#list.picked;
  protected readonly rows = computed(() =>
    this.#list.rows().map(({ id, name, loftMm, rollWidthMm, pricePerM, open, putAway = false }) => ({
      id,
      name,
      putAway,
      loft: formatLengthUnit(loftMm, this.units(), STEP),
      wide: formatLengthUnit(rollWidthMm, this.units(), STEP),
      price: formatNumber(pricePerM, 2),
      outdoors: open ? 'yes, open' : '—',
    })),
  );

  /** A new roll like the one in hand, where there is one. */
  protected add(): void {
    const like = this.wadding();
    this.#list.add(like ?? NEW_WADDING, like ? `${like.name}, another` : NEW_WADDING.name);
  }

  protected pick(id: string): void {
    this.#list.pick(id);
  }

  /** A roll that a job has chosen is put away. */
  protected remove(wadding: Wadding): void {
    this.#list.drop(wadding);
  }

  protected bringBack({ id }: Wadding): void {
    this.#list.bringBack(id);
  }

  protected set(change: Partial<Wadding>): void {
    this.#list.set(change);
  }
}
