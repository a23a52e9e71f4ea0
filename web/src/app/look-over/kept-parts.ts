import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { lookedOverCover, type SalvagedZip } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/controls/choice';
import { NumberField } from '../shared/controls/number-field';
import { QuantityField } from '../shared/controls/quantity-field';
import { newId } from '../shared/saving/new-id';
import { ShopEditor } from '../shared/saving/shop-editor';
import { TextField } from '../shared/controls/text-field';
import { Button, Words } from '../shared/ui/ui';
import { SeatEditor } from './seat-editor';

type Counted = 'buttons' | 'eyelets' | 'handles';

/** What is taken off an old cover for the new one: its zip into the stock, measured, in one press; buttons, eyelets, handles and welt cord counted. */
@Component({
  selector: 'yl-kept-parts',
  imports: [Button, Choice, NumberField, QuantityField, TextField, Words],
  template: `
    <fieldset class="flex flex-[1_1_100%] flex-wrap items-start gap-x-4 gap-y-1">
      <legend class="mb-1 text-body font-semibold">Taken off it for the new cover, of all {{ quantity() }} together</legend>
      @for (part of counted; track part.key) {
        <yl-number
          class="few"
          [label]="part.label"
          [value]="keeps()[part.key] ?? null"
          [max]="part.most"
          [whole]="true"
          [optional]="true"
          (valueChange)="keep(part.key, $event)"
        />
      }
      <yl-quantity
        class="few"
        label="Welt cord"
        [value]="keeps().cordMm ?? null"
        [max]="1000000"
        [units]="units()"
        [step]="step()"
        [optional]="true"
        (valueChange)="keep('cordMm', $event)"
      />
    </fieldset>
    @if (zipGood()) {
      <fieldset class="flex flex-[1_1_100%] flex-wrap items-start gap-x-4 gap-y-1">
        <legend class="mb-1 text-body font-semibold">Its zip is still good</legend>
        @if (put(); as zip) {
          <p ylWords role="status">In the stockroom: {{ zip.colour }}, from {{ zip.from }}.</p>
          <button type="button" ylButton [disabled]="madeFor()" (click)="makeFor(zip)">
            {{ madeFor() ? 'The new cover is made for it' : 'Make the new cover for it' }}
          </button>
        } @else {
          <yl-quantity
            class="few"
            label="Zip, measured"
            [value]="length()"
            [min]="30"
            [max]="20000"
            [units]="units()"
            [step]="step()"
            (entered)="length.set($event)"
          />
          <yl-text class="few" label="Colour" [maxLength]="40" [value]="colour()" (valueChange)="colour.set($event)" />
          <yl-choice label="Its ends" [options]="kinds" [value]="kind()" (picked)="kind.set($event)" />
          <button type="button" ylButton class="mt-5" (click)="toStock()">Put it into stock</button>
        }
      </fieldset>
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class KeptParts {
  readonly #store = inject(JobStore);
  readonly #edit = inject(SeatEditor);
  readonly #shop = inject(ShopEditor);
  protected readonly counted: readonly { readonly key: Counted; readonly label: string; readonly most: number }[] = [
    { key: 'handles', label: 'Handles', most: 500 },
    { key: 'buttons', label: 'Buttons', most: 2000 },
    { key: 'eyelets', label: 'Eyelets', most: 2000 },
  ];
  protected readonly kinds = [
    { value: 'closed-end', name: 'closed ends' },
    { value: 'continuous', name: 'continuous' },
  ] as const;
  protected readonly length = signal<number | null>(null);
  protected readonly colour = signal('black');
  protected readonly kind = signal<SalvagedZip['kind']>('closed-end');
  protected readonly units = computed(() => this.#store.inWords().units);
  protected readonly step = computed(() => this.#store.inWords().step);
  protected readonly quantity = computed(() => this.#store.cushion()?.quantity ?? 1);
  protected readonly keeps = computed(() => this.#edit.cover().keeps ?? {});
  protected readonly zipGood = computed(() => {
    const cushion = this.#store.cushion();
    return cushion ? this.#edit.cover().findings.includes('zip-good') && lookedOverCover(cushion)?.verdict === 'renew' : false;
  });
  /** The zip as it stands in the stockroom. */
  protected readonly put = computed(() => {
    const id = this.#edit.cover().zip;
    return this.#store.shop()?.document.zips.find((zip) => zip.id === id) ?? null;
  });
  protected readonly madeFor = computed(() => this.#store.cushion()?.madeForZip?.id === this.put()?.id);

  protected keep(part: Counted | 'cordMm', value: number | null): void {
    const { [part]: _before, ...others } = this.keeps();
    const keeps = value ? { ...others, [part]: value } : others;
    this.#edit.setCover('Taken off the old cover', { keeps: Object.keys(keeps).length ? keeps : null });
  }

  protected toStock(): void {
    const [shop, job, cushion] = [this.#store.shop(), this.#store.job(), this.#store.cushion()];
    if (!shop || !job || !cushion) return;
    const lengthMm = this.length();
    if (lengthMm === null) {
      this.#shop.refuse('Measure the zip as it lies, and enter its length.');
      return;
    }
    const id = newId('zip', new Set(shop.document.zips.map((one) => one.id)));
    // Within what the stockroom takes: the fields hold the length and the colour to it.
    const zip: SalvagedZip = { id, lengthMm, colour: this.colour().trim(), kind: this.kind(), from: `${job.name}, ${cushion.name}`.slice(0, 120) };
    this.#shop.change((document) => ({ ...document, zips: [...document.zips, zip] }));
    this.#edit.setCover('Its zip into stock', { zip: id });
  }

  protected makeFor(zip: SalvagedZip): void {
    this.#store.editCushion('Cover made for a salvaged zip', (cushion) => ({ ...cushion, madeForZip: zip }));
  }
}
