import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { FILLING_KINDS, type Filling } from '@yardland/core';
import { Choice } from '../shared/controls/choice';
import { NumberField } from '../shared/controls/number-field';
import { TextField } from '../shared/controls/text-field';
import { DialogFields, PanelHead, Words } from '../shared/ui/ui';
import { KIND_RULES, KIND_WORDS, numbersIn } from './stock-words';
import { today } from '../shared/words/days';
import { RemoveStock } from './remove-stock';

/** One filling besides foam: springs, feather and down, felt. */
@Component({
  selector: 'yl-filling-editor',
  imports: [RemoveStock, PanelHead, DialogFields, Words, Choice, NumberField, TextField],
  template: `
    <div ylPanelHead>
      <h3 id="stock-title">{{ filling().name }}</h3>
      <yl-remove-stock [of]="filling()" (removed)="removed.emit()" (back)="set({ putAway: undefined })" />
    </div>
    <div ylDialogFields class="grid-cols-[repeat(auto-fit,minmax(8.75rem,1fr))]!">
      <yl-text label="Called" [maxLength]="80" [value]="filling().name" (valueChange)="set({ name: $event })" />
      <yl-choice label="Is" [options]="kinds" [value]="filling().kind" (picked)="setKind($event)" />
      <yl-number label="Density" unit="kg/m³" [min]="1" [max]="400" [value]="filling().densityKgM3" (entered)="set({ densityKgM3: $event })" />
      <yl-number label="Price a m³" [max]="1000000" [value]="filling().pricePerM3" (entered)="set({ pricePerM3: $event, pricedOn: today() })" />
      <yl-text label="Price as of" type="date" [value]="filling().pricedOn ?? ''" (valueChange)="set({ pricedOn: $event || undefined })" />
      @if (filling().kind === 'spring') {
        <yl-number
          label="Stiffness"
          unit="kPa"
          [min]="2"
          [max]="60"
          [optional]="true"
          hint="pressure over travel by height; soft 10, firm 18"
          [value]="filling().stiffnessKPa ?? null"
          (valueChange)="setStiffness($event)"
        />
      }
      <yl-text class="col-span-full" label="Made this high, mm" [maxLength]="300" [value]="heights()" (valueChange)="setHeights($event)" />
    </div>
    <p ylWords>{{ rule() }}</p>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FillingEditor {
  /** A price that is entered is of today. */
  protected readonly today = today;
  readonly filling = input.required<Filling>();
  readonly changed = output<Filling>();
  readonly removed = output();
  protected readonly kinds = FILLING_KINDS.map((value) => ({ value, name: KIND_WORDS[value] }));
  protected readonly heights = computed(() => this.filling().thicknessesMm.join(', '));
  protected readonly rule = computed(() => KIND_RULES[this.filling().kind]);

  protected set(change: Partial<Filling>): void {
    this.changed.emit({ ...this.filling(), ...change });
  }

  /** A unit's own stiffness; without one the shop's constant stands for it. */
  protected setStiffness(stiffnessKPa: number | null): void {
    const { stiffnessKPa: _before, ...rest } = this.filling();
    this.changed.emit(stiffnessKPa === null ? rest : { ...rest, stiffnessKPa });
  }

  protected setKind(kind: string): void {
    this.set({ kind: kind as Filling['kind'] });
  }

  protected setHeights(text: string): void {
    this.set({ thicknessesMm: numbersIn(text) });
  }
}
