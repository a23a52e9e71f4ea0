import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Icon } from '../shared/icon';
import { salvagedZipSchema, type SalvagedZip } from '@yardland/core';
import { Choice } from '../shared/controls/choice';
import { newId } from '../shared/saving/new-id';
import { QuantityField } from '../shared/controls/quantity-field';
import { ShopEditor } from '../shared/saving/shop-editor';
import { ShopService } from '../shared/saving/shop.service';
import { TextField } from '../shared/controls/text-field';
import { Button, Rows, Tool, Words } from '../shared/ui/ui';

const STEP = { mm: 1, inch: 1 / 8 };

/** Zips taken off old covers: how long each really is, its colour, its kind, where it came from. A job sets them aside under Cover, Closing. */
@Component({
  selector: 'yl-zips-panel',
  imports: [Button, Rows, Tool, Words, Choice, QuantityField, TextField, Icon],
  template: `
    <h2 id="zips-title">Salvaged zips</h2>
    @if (zips().length) {
      <table ylRows aria-labelledby="zips-title" class="max-w-220 [&_.field-says]:hidden [&_td]:align-middle">
        <thead>
          <tr>
            <th scope="col">long, measured</th>
            <th scope="col">colour</th>
            <th scope="col">kind</th>
            <th scope="col">from</th>
            <th scope="col"><span class="sr-only">Remove</span></th>
          </tr>
        </thead>
        <tbody>
          @for (zip of zips(); track zip.id; let i = $index) {
            <tr>
              <td class="w-36">
                <yl-quantity
                  [bare]="true"
                  [label]="'Zip ' + (i + 1) + ', long'"
                  [value]="zip.lengthMm"
                  [min]="30"
                  [max]="20000"
                  [units]="units()"
                  [step]="step"
                  (entered)="set(zip, { lengthMm: $event })"
                />
              </td>
              <td>
                <yl-text
                  [bare]="true"
                  [label]="'Zip ' + (i + 1) + ', colour'"
                  [maxLength]="40"
                  [value]="zip.colour"
                  (valueChange)="set(zip, { colour: $event })"
                />
              </td>
              <td>
                <yl-choice [bare]="true" [label]="'Zip ' + (i + 1) + ', kind'" [options]="kinds" [value]="zip.kind" (picked)="set(zip, { kind: $event })" />
              </td>
              <td>
                <yl-text [bare]="true" [label]="'Zip ' + (i + 1) + ', from'" [maxLength]="120" [value]="zip.from" (valueChange)="set(zip, { from: $event })" />
              </td>
              <td>
                <button type="button" ylTool="quiet" [attr.aria-label]="'Remove zip ' + (i + 1)" (click)="remove(zip)">
                  <svg ylIcon="trash-2" size="18"></svg>
                </button>
              </td>
            </tr>
          }
        </tbody>
      </table>
    } @else {
      <p ylWords>None kept. A good zip off an old cover saves one: measure it, the label may lie.</p>
    }
    <button type="button" ylButton class="mt-2" (click)="add()"><svg ylIcon="plus" size="20"></svg> Salvaged zip</button>
  `,
  host: { class: 'mb-6.5 block [&>h2]:mb-2 [&>h2]:text-figure' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ZipsPanel {
  readonly #shop = toSignal(inject(ShopService).document$);
  readonly #edit = inject(ShopEditor);
  protected readonly step = STEP;
  protected readonly kinds = [
    { value: 'continuous', name: 'continuous' },
    { value: 'closed-end', name: 'closed ends' },
  ] as const;
  protected readonly units = computed(() => this.#shop()?.units ?? 'metric');
  protected readonly zips = computed(() => this.#shop()?.zips ?? []);

  protected add(): void {
    this.#edit.change((shop) => {
      const id = newId('zip', new Set(shop.zips.map((one) => one.id)));
      return { ...shop, zips: [...shop.zips, { id, lengthMm: 600, colour: 'black', kind: 'continuous', from: '' }] };
    });
  }

  /** Takes a changed zip over, or says at once what is wrong with it. */
  protected set(zip: SalvagedZip, change: Partial<SalvagedZip>): void {
    const next = this.#edit.taken(salvagedZipSchema, { ...zip, ...change }, this.units());
    if (next) this.#edit.change((shop) => ({ ...shop, zips: shop.zips.map((one) => (one.id === next.id ? next : one)) }));
  }

  protected remove({ id }: SalvagedZip): void {
    this.#edit.change((shop) => ({ ...shop, zips: shop.zips.filter((one) => one.id !== id) }));
  }
}
