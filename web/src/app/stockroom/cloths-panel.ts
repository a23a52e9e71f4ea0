import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Icon } from '../shared/icon';
import {
  CLOTH_KINDS,
  clothSchema,
  formatLength,
  formatLengthUnit,
  formatNumber,
  natureOf,
  type Cloth,
  type ClothKind,
  type ClothPattern,
} from '@yardland/core';
import { Choice } from '../shared/controls/choice';
import { Dialogs } from '../shared/dialogs';
import { PicturesApi } from '../shared/reading/pictures-api';
import type { ClothPictureData } from './cloth-picture-dialog';
import { NumberField } from '../shared/controls/number-field';
import { QuantityField } from '../shared/controls/quantity-field';
import { TextField } from '../shared/controls/text-field';
import { Tickbox } from '../shared/controls/tickbox';
import { Button, DialogFields, LinkButton, Panel, PanelHead, Rows, Words } from '../shared/ui/ui';
import { PickedRows } from './picked-rows';
import { today } from '../shared/words/days';
import { RemoveStock } from './remove-stock';

const STEP = { mm: 1, inch: 1 / 8 };

const KIND_WORDS: Record<ClothKind, string> = { woven: 'woven cloth', leather: 'leather', vinyl: 'vinyl' };

/** What follows from the kind, in a sentence under its fields. */
const WORKED: Record<ClothKind, string> = {
  woven: 'Pinned or basted, pressed where it may be, steamed when it is dressed.',
  leather:
    'Every hole stays: clips and staples in the allowance, each seam sewn once, no iron and no steam. Linings are never cut from it unless a cushion names it for them.',
  vinyl:
    'Every hole stays: clips and staples in the allowance, each seam sewn once, no iron and no steam. Linings are never cut from it unless a cushion names it for them.',
};

/** The shop's cloths: how wide they are, which way they lie, and how they give and shrink. Covers, linings and tickings are all cut of these. */
@Component({
  selector: 'yl-cloths-panel',
  imports: [RemoveStock, Choice, Words, Rows, LinkButton, Panel, PanelHead, Button, DialogFields, Tickbox, NumberField, QuantityField, TextField, Icon],
  template: `
    <h2 id="cloths-title">Cloths</h2>
    <div
      class="mb-6.5 gap-4.5 grid grid-cols-[minmax(0,1fr)_minmax(20rem,40%)] items-start [&_h4]:mt-2.5 [&_h4]:mb-1 [&_h4]:text-row max-tablet:grid-cols-[minmax(0,1fr)]"
    >
      <div class="overflow-x-auto">
        <table ylRows aria-labelledby="cloths-title">
          <thead>
            <tr>
              <th scope="col">cloth</th>
              <th scope="col">worked as</th>
              <th scope="col" class="text-right!">wide</th>
              <th scope="col">nap</th>
              <th scope="col" class="text-right!">pattern, along × across</th>
              <th scope="col" class="text-right!">shrinks, along × across</th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.id) {
              <tr class="[&.picked_td]:bg-linen" [class.picked]="row.id === cloth()?.id">
                <td>
                  <button type="button" ylLink [attr.aria-pressed]="row.id === cloth()?.id" (click)="pick(row.id)">{{ row.name }}</button>
                  @if (row.putAway) {
                    <span class="text-ink-soft">put away</span>
                  }
                </td>
                <td class="whitespace-nowrap">{{ row.kind }}</td>
                <td class="text-right whitespace-nowrap">{{ row.wide }}</td>
                <td class="whitespace-nowrap">{{ row.nap }}</td>
                <td class="text-right whitespace-nowrap">{{ row.pattern }}</td>
                <td class="text-right whitespace-nowrap">{{ row.shrinks }}</td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      @if (cloth(); as cloth) {
        <section ylPanel class="sticky top-0 mb-0!" aria-labelledby="cloth-title">
          <div ylPanelHead>
            <h3 id="cloth-title">{{ cloth.name }}</h3>
            <div class="flex gap-2">
              <button type="button" ylButton (click)="add(cloth)"><svg ylIcon="plus" size="20"></svg> One like it</button>
              <yl-remove-stock [of]="cloth" (removed)="remove(cloth)" (back)="bringBack(cloth)" />
            </div>
          </div>
          <div ylDialogFields class="grid-cols-[repeat(auto-fit,minmax(8.75rem,1fr))]!">
            <yl-text label="Called" [maxLength]="80" [value]="cloth.name" (valueChange)="set({ name: $event })" />
            <yl-choice label="Worked as" [options]="kinds" [value]="nature().kind" (picked)="setKind($event)" />
            <yl-quantity
              label="Wide"
              [hint]="nature().kind === 'leather' ? 'what is usable of a hide' : 'over the selvedges'"
              [value]="cloth.widthMm"
              [min]="200"
              [max]="10000"
              [units]="units()"
              [step]="step"
              (entered)="set({ widthMm: $event })"
            />
            <yl-number label="Thickness" unit="mm" [min]="0.05" [max]="10" [value]="cloth.thicknessMm" (entered)="set({ thicknessMm: $event })" />
            @if (nature().kind !== 'leather') {
              <yl-quantity
                label="Selvedge"
                hint="each side"
                [value]="cloth.selvedgeMm"
                [max]="200"
                [units]="units()"
                [step]="step"
                (entered)="set({ selvedgeMm: $event })"
              />
              <yl-number
                label="Shrinks along the roll"
                unit="%"
                [min]="0"
                [max]="30"
                [value]="cloth.shrinkAlongPercent ?? 0"
                (valueChange)="set({ shrinkAlongPercent: $event ?? 0 })"
              />
              <yl-number
                label="Shrinks across"
                unit="%"
                [min]="0"
                [max]="30"
                [value]="cloth.shrinkAcrossPercent ?? 0"
                (valueChange)="set({ shrinkAcrossPercent: $event ?? 0 })"
              />
              <yl-quantity
                label="Pattern repeats along"
                hint="the roll; 0 for none"
                [value]="cloth.pattern?.alongMm ?? 0"
                [min]="0"
                [max]="3000"
                [units]="units()"
                [step]="step"
                (entered)="setPattern({ alongMm: $event })"
              />
              <yl-quantity
                label="Pattern repeats across"
                hint="the roll; 0 for none"
                [value]="cloth.pattern?.acrossMm ?? 0"
                [min]="0"
                [max]="3000"
                [units]="units()"
                [step]="step"
                (entered)="setPattern({ acrossMm: $event })"
              />
              @if (cloth.pattern; as pattern) {
                <yl-quantity
                  label="First motif"
                  hint="its centre, from the selvedge’s inner edge"
                  [value]="pattern.motifMm ?? pattern.acrossMm / 2"
                  [min]="0"
                  [max]="3000"
                  [units]="units()"
                  [step]="step"
                  (entered)="setPattern({ motifMm: $event })"
                />
                <yl-tickbox [checked]="pattern.halfDrop ?? false" (checkedChange)="setPattern({ halfDrop: !pattern.halfDrop })">half drop</yl-tickbox>
              }
            }
            @if (nature().kind === 'leather') {
              <yl-quantity
                label="Whole hides, long"
                hint="what is usable of one"
                placeholder="off a roll"
                [optional]="true"
                [value]="cloth.hideMm ?? null"
                [min]="200"
                [max]="5000"
                [units]="units()"
                [step]="step"
                (valueChange)="set({ hideMm: $event ?? undefined })"
              />
            }
            <yl-number label="Price a metre" [min]="0" [max]="100000" [value]="cloth.pricePerM" (entered)="set({ pricePerM: $event, pricedOn: today() })" />
            <yl-text label="Price as of" type="date" [value]="cloth.pricedOn ?? ''" (valueChange)="set({ pricedOn: $event || undefined })" />
            @if (nature().kind !== 'leather') {
              <yl-tickbox [checked]="cloth.oneWay" (checkedChange)="set({ oneWay: !cloth.oneWay })">nap or pattern one way</yl-tickbox>
            }
            <yl-tickbox [checked]="cloth.stretches ?? false" (checkedChange)="set({ stretches: !cloth.stretches })">stretches</yl-tickbox>
            @if (nature().kind === 'woven') {
              <yl-tickbox [checked]="nature().frays" (checkedChange)="set({ frays: !nature().frays })">frays</yl-tickbox>
              <yl-tickbox [checked]="nature().pressable" (checkedChange)="set({ pressable: !nature().pressable })">may be pressed</yl-tickbox>
            }
            @if (nature().kind !== 'leather') {
              <yl-tickbox [checked]="nature().synthetic" (checkedChange)="set({ synthetic: !nature().synthetic })">synthetic</yl-tickbox>
            }
          </div>
          <div class="mt-2 flex flex-wrap items-center gap-2.5">
            @if (cloth.picture; as picture) {
              <img class="h-14 w-18 rounded-md border border-line-strong object-cover" [src]="address(picture.id)" [alt]="'Picture of ' + cloth.name" />
            }
            <button type="button" ylButton (click)="photo(cloth)">
              <svg ylIcon="camera" size="20"></svg> {{ cloth.picture ? 'Another picture' : 'Picture of the cloth' }}
            </button>
            @if (cloth.picture) {
              <button type="button" ylButton (click)="set({ picture: undefined })">Take it off</button>
            }
            <p ylWords class="basis-full">
              {{ cloth.picture ? 'Cushions are shown in the round in it.' : 'Cushions are shown in the round in its colour.' }}
            </p>
          </div>
          <p ylWords>{{ worked() }}</p>
          @if (nature().kind !== 'leather') {
            <p ylWords>Cloth that shrinks is cut larger by its per cent, unless a job says that it is washed first.</p>
          }
        </section>
      }
    </div>
  `,
  host: { class: 'block [&>h2]:mt-1.5 [&>h2]:mb-2 [&>h2]:text-figure' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ClothsPanel {
  /** A price that is entered is of today. */
  protected readonly today = today;
  readonly #list = new PickedRows({ schema: clothSchema, rows: ({ cloths }) => cloths, withRows: (shop, cloths) => ({ ...shop, cloths }) });
  protected readonly step = STEP;
  protected readonly units = this.#list.units;
  protected readonly cloth = this.#list.picked;
  protected readonly kinds = CLOTH_KINDS.map((value) => ({ value, name: KIND_WORDS[value] }));
  protected readonly nature = computed(() => natureOf(this.cloth() ?? {}));
  protected readonly worked = computed(() => WORKED[this.nature().kind]);
  readonly #dialogs = inject(Dialogs);
  readonly #pictures = inject(PicturesApi);
  protected readonly address = (id: string): string => this.#pictures.address(id);
  protected readonly rows = computed(() =>
    this.#list.rows().map((one) => {
      const { id, name, widthMm, oneWay, pattern, shrinkAlongPercent = 0, shrinkAcrossPercent = 0 } = one;
      return {
        id,
        name,
        putAway: one.putAway ?? false,
        kind: KIND_WORDS[natureOf(one).kind],
        wide: formatLengthUnit(widthMm, this.units(), STEP),
        pattern: pattern ? this.#patternWords(pattern) : '—',
        nap: natureOf(one).kind === 'woven' ? (oneWay ? 'one way' : 'either way') : '—',
        shrinks: shrinkAlongPercent || shrinkAcrossPercent ? `${formatNumber(shrinkAlongPercent, 1)} × ${formatNumber(shrinkAcrossPercent, 1)} %` : '—',
      };
    }),
  );

  #patternWords({ alongMm, acrossMm, halfDrop }: ClothPattern): string {
    const [along, across] = [alongMm, acrossMm].map((mm) => (mm > 0 ? formatLength(mm, this.units(), STEP) : '—'));
    return `${along} × ${across}${halfDrop ? ', half drop' : ''}`;
  }

  /** A new cloth like the one in hand, but for its picture. */
  protected add({ picture: _of, ...like }: Cloth): void {
    this.#list.add(like, `${like.name}, another`);
  }

  protected remove(cloth: Cloth): void {
    this.#list.drop(cloth);
  }

  protected bringBack({ id }: Cloth): void {
    this.#list.bringBack(id);
  }

  protected pick(id: string): void {
    this.#list.pick(id);
  }

  /** No repeat either way is no pattern; a half drop ends with one of the repeats. */
  protected setPattern(change: Partial<ClothPattern>): void {
    const pattern = { alongMm: 0, acrossMm: 0, ...this.cloth()?.pattern, ...change };
    const { halfDrop: _drop, ...straight } = pattern;
    const both = pattern.alongMm > 0 && pattern.acrossMm > 0;
    this.set({
      pattern: pattern.alongMm === 0 && pattern.acrossMm === 0 ? undefined : both ? pattern : { ...straight, ...(change.halfDrop ? { halfDrop: true } : {}) },
    });
  }

  /** A picture of the cloth, which also gives its colour. */
  protected async photo(cloth: Cloth): Promise<void> {
    const data: ClothPictureData = {
      cloth,
      inWords: { units: this.units(), step: STEP },
      taken: (picture, tint) => this.set({ picture, tint }),
    };
    await this.#dialogs.open(async () => (await import('./cloth-picture-dialog')).ClothPictureDialog, { data, labelledBy: 'cloth-picture-title' });
  }

  /** What only another kind has is taken off: hides are leather. */
  protected setKind(value: string): void {
    const kind = CLOTH_KINDS.find((one) => one === value);
    if (kind) this.set({ kind, frays: undefined, synthetic: undefined, pressable: undefined, ...(kind === 'leather' ? {} : { hideMm: undefined }) });
  }

  protected set(change: Partial<Cloth>): void {
    this.#list.set(change);
  }
}
