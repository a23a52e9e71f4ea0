import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { CONSTRUCTIONS, constructionOf, cushionSchema, type Choices, type Field } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice, Switch } from '../shared/choice';
import { QuantityField } from '../shared/quantity-field';
import { TrayPart, Words } from '../shared/ui/ui';

/** A construction's field with what stands in it now. */
type Shown = { readonly key: string; readonly label: string } & (
  | { readonly kind: 'choice'; readonly options: readonly { readonly value: string; readonly name: string }[]; readonly value: string }
  | { readonly kind: 'length'; readonly minMm: number; readonly maxMm: number; readonly mm: number; readonly hint: string | null }
);

/** The construction of a cover and its choices: what is offered, and in which order, is the construction's own. */
@Component({
  selector: 'yl-fields-tray',
  imports: [Words, Choice, Switch, QuantityField],
  template: `
    <yl-choice class="field few wider" label="Made as" [options]="constructions" [value]="choices().kind" (changed)="choose($event)" />
    @for (field of fields(); track field.key) {
      @if (field.kind === 'length') {
        <yl-quantity
          class="few"
          [label]="field.label"
          [mm]="field.mm"
          [optional]="true"
          [minMm]="field.minMm"
          [maxMm]="field.maxMm"
          [hint]="field.hint"
          [step]="fine"
          (changed)="set(field.label, field.key, $event)"
        />
      } @else if (field.options.length < 4) {
        <yl-switch [label]="field.label" [options]="field.options" [value]="field.value" (changed)="set(field.label, field.key, $event)" />
      } @else {
        <yl-choice [label]="field.label" [options]="field.options" [value]="field.value" (changed)="set(field.label, field.key, $event)" />
      }
    }
    <p ylWords>{{ construction().idea }}</p>
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FieldsTray {
  protected readonly store = inject(JobStore);
  /** Small parts are set finer than the shop cuts. */
  protected readonly fine = { mm: 1, inch: 1 / 16 };
  protected readonly constructions = CONSTRUCTIONS.map(({ kind, name }) => ({ value: kind, name }));
  protected readonly choices = computed<Choices>(() => this.store.cushion()?.construction ?? { kind: 'boxed' });
  protected readonly construction = computed(() => constructionOf(this.choices()));
  protected readonly fields = computed<readonly Shown[]>(() => {
    const choices = this.choices();
    return this.construction()
      .fields.filter((field) => field.shown?.(choices) ?? true)
      .map((field) => this.#shown(field, choices));
  });

  protected choose(kind: string): void {
    const next = CONSTRUCTIONS.find((one) => one.kind === kind);
    if (next && next.kind !== this.choices().kind) this.#construct('Construction', next.defaults());
  }

  protected set(label: string, key: string, value: string | number | null): void {
    const { [key]: _before, ...rest } = this.choices();
    this.#construct(label, { ...rest, kind: this.choices().kind, ...(value === null ? {} : { [key]: value }) });
  }

  #shown(field: Field<Choices>, choices: Choices): Shown {
    const entered = choices[field.key];
    const { key, label } = field;
    if (field.kind === 'choice') return { key, label, kind: 'choice', options: field.options, value: typeof entered === 'string' ? entered : field.usual };
    const [job, shop] = [this.store.job(), this.store.shop()];
    const school = field.usual === 'school seam';
    const usual = school ? (this.store.cushionPlan()?.sizes?.seam.value ?? 0) : job && shop ? shop.assume(field.usual, job.units) : 0;
    const { minMm, maxMm } = field;
    const hint = typeof entered === 'number' ? null : school ? 'as the school says' : 'as the shop has it';
    return { key, label, kind: 'length', minMm, maxMm, mm: typeof entered === 'number' ? entered : usual, hint };
  }

  #construct(label: string, choices: Choices): void {
    const read = cushionSchema.shape.construction.safeParse(choices);
    if (read.success) this.store.editCushion(label, (cushion) => ({ ...cushion, construction: read.data }));
  }
}
