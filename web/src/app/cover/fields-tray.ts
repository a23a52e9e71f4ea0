import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Icon } from '../shared/icon';
import {
  materialOf,
  CONSTRUCTIONS,
  constructionOf,
  cushionSchema,
  isUsual,
  natureOf,
  usualChoices,
  withUsual,
  type Choices,
  type ClothNature,
  type ClothSlot,
  type CoverOffer,
  type Field,
} from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice, Switch } from '../shared/controls/choice';
import { Dialogs } from '../shared/dialogs';
import { Messages } from '../shared/messages';
import { NumberField } from '../shared/controls/number-field';
import { QuantityField } from '../shared/controls/quantity-field';
import { ShopEditor } from '../shared/saving/shop-editor';
import { Button, TrayPart, Words } from '../shared/ui/ui';

type UsualLength = Extract<Field<Choices>, { kind: 'length' }>['usual'];

/** A construction's field with what stands in it now. */
type Shown = { readonly key: string; readonly label: string } & (
  | { readonly kind: 'choice'; readonly options: readonly { readonly value: string; readonly name: string }[]; readonly value: string }
  | { readonly kind: 'count'; readonly least: number; readonly most: number; readonly count: number }
  | { readonly kind: 'length'; readonly minMm: number; readonly maxMm: number; readonly mm: number; readonly hint: string | null }
);

/** The construction of a cover and its choices: what is offered, and in which order, is the construction's own. */
@Component({
  selector: 'yl-fields-tray',
  imports: [Button, Icon, Words, Choice, Switch, NumberField, QuantityField],
  template: `
    @if (group() === 'made') {
      <yl-choice class="field few made" label="Made as" [options]="constructions" [value]="choices().kind" (picked)="choose($event)" />
    }
    @for (field of fields(); track field.key) {
      @if (field.kind === 'length') {
        <yl-quantity
          class="few"
          [label]="field.label"
          [value]="field.mm"
          [optional]="true"
          [min]="field.minMm"
          [max]="field.maxMm"
          [hint]="field.hint"
          [step]="fine"
          (valueChange)="set(field.label, field.key, $event)"
        />
      } @else if (field.kind === 'count') {
        <yl-number
          class="few"
          [label]="field.label"
          [whole]="true"
          [min]="field.least"
          [max]="field.most"
          [value]="field.count"
          (entered)="set(field.label, field.key, $event)"
        />
      } @else if (field.options.length < 4) {
        <yl-switch [label]="field.label" [options]="field.options" [value]="field.value" (picked)="set(field.label, field.key, $event)" />
      } @else {
        <yl-choice [label]="field.label" [options]="field.options" [value]="field.value" (picked)="set(field.label, field.key, $event)" />
      }
    }
    @if (group() === 'made') {
      <button type="button" ylButton class="self-end" (click)="compare()"><svg ylIcon="columns-3" size="20"></svg> Compare covers</button>
      @if (ordered()) {
        <button type="button" ylButton class="self-end" (click)="compareOrders()"><svg ylIcon="columns-3" size="20"></svg> Compare orders of work</button>
      }
      @if (!isUsual()) {
        <button type="button" ylButton class="self-end" (click)="keepAsUsual()">Always make it so</button>
      }
      <p ylWords>{{ construction().idea }}</p>
    }
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FieldsTray {
  protected readonly store = inject(JobStore);
  readonly #dialogs = inject(Dialogs);
  readonly #edit = inject(ShopEditor);
  readonly #messages = inject(Messages);
  /** Which of the construction's fields are shown. */
  readonly group = input.required<'made' | 'closing' | 'extras'>();
  /** Small parts are set finer than the shop cuts. */
  protected readonly fine = { mm: 1, inch: 1 / 16 };
  protected readonly constructions = CONSTRUCTIONS.map(({ kind, name }) => ({ value: kind, name }));
  protected readonly choices = computed<Choices>(() => this.store.cushion()?.construction ?? { kind: 'boxed' });
  protected readonly construction = computed(() => constructionOf(this.choices()));
  protected readonly fields = computed<readonly Shown[]>(() => {
    const choices = this.choices();
    const ownZip = this.store.cushion()?.madeForZip !== undefined;
    return this.construction()
      .fields.filter((field) => (field.group ?? 'made') === this.group() && (field.shown?.(choices) ?? true) && !(field.opens && ownZip))
      .map((field) => this.#shown(field, choices));
  });

  /** All constructions side by side; the one that is taken is the cushion's. */
  /** It can be sewn in more than one order. */
  protected readonly ordered = computed(() => this.fields().some(({ key }) => key === 'order'));

  protected async compareOrders(): Promise<void> {
    const construction = await this.#dialogs.open<CoverOffer['construction'] | null, JobStore>(
      async () => (await import('./compare-orders-dialog')).CompareOrdersDialog,
      { data: this.store, labelledBy: 'comparison-title' },
    );
    if (construction) this.#construct('Order of work', construction);
  }

  protected async compare(): Promise<void> {
    const construction = await this.#dialogs.open<CoverOffer['construction'] | null, JobStore>(
      async () => (await import('./compare-covers-dialog')).CompareCoversDialog,
      {
        data: this.store,
        labelledBy: 'comparison-title',
      },
    );
    if (construction) this.#construct('Construction', construction);
  }

  protected choose(kind: string): void {
    const next = CONSTRUCTIONS.find((one) => one.kind === kind);
    if (next && next.kind !== this.choices().kind) this.#construct('Construction', usualChoices(next, this.store.shop()?.document ?? {}));
  }

  /** Whether the shop makes this construction just so. */
  protected readonly isUsual = computed(() => {
    const shop = this.store.shop();
    return !shop || isUsual(this.construction(), this.choices(), shop.document);
  });

  /** From now on the shop makes this construction so, until a cushion says otherwise. Cushions that are there stay as they are. */
  protected keepAsUsual(): void {
    const [{ kind, name }, choices, usual] = [this.construction(), this.choices(), this.store.shop()?.document.usual?.[this.choices().kind]];
    const before = usual ? { ...usual, kind } : null;
    this.#edit.change(
      (shop) => withUsual(shop, kind, choices),
      () =>
        this.#messages.tell('usual', `${name}: new cushions are made so from now on. The Stockroom has the list.`, () =>
          this.#edit.change((shop) => withUsual(shop, kind, before)),
        ),
    );
  }

  protected set(label: string, key: string, value: string | number | null): void {
    const { [key]: _before, ...rest } = this.choices();
    this.#construct(label, { ...rest, kind: this.choices().kind, ...(value === null ? {} : { [key]: value }) });
  }

  #shown(field: Field<Choices>, choices: Choices): Shown {
    const entered = choices[field.key];
    const { key, label } = field;
    if (field.kind === 'choice') {
      const usual = field.usualFor?.(choices, (slot) => this.#nature(slot)) ?? field.usual;
      const suits = field.offered?.(choices);
      const options = suits ? field.options.filter(({ value }) => suits.includes(value)) : field.options;
      return { key, label, kind: 'choice', options, value: options.some(({ value }) => value === entered) ? (entered as string) : usual };
    }
    if (field.kind === 'count')
      return { key, label, kind: 'count', least: field.least, most: field.most, count: typeof entered === 'number' ? entered : field.usual };
    const { minMm, maxMm } = field;
    const { mm, hint } = this.#usual(field.usual);
    return { key, label, kind: 'length', minMm, maxMm, mm: typeof entered === 'number' ? entered : mm, hint: typeof entered === 'number' ? null : hint };
  }

  /** How the cloth of a slot is worked. */
  #nature(slot: ClothSlot): ClothNature {
    const [job, shop, cushion] = [this.store.job(), this.store.shop(), this.store.cushion()];
    return natureOf(job && shop && cushion ? materialOf(slot, job, cushion, shop) : undefined);
  }

  /** What a length is where nothing was entered, and who says so. */
  #usual(usual: UsualLength): { readonly mm: number; readonly hint: string } {
    const [job, shop, sizes] = [this.store.job(), this.store.shop(), this.store.cushionPlan()?.sizes];
    if (usual === 'school seam') return { mm: sizes?.seam.value ?? 0, hint: 'as the school says' };
    if (usual === 'by its flange')
      return { mm: this.store.cushionPlan()?.pieces.find(({ role }) => role === 'welt')?.height.value ?? 0, hint: 'by its flange' };
    if (usual === 'half the height') return { mm: (sizes?.sewn.height.value ?? 0) / 2, hint: 'half the height' };
    if (usual === 'by the thickness') return { mm: this.store.cushionPlan()?.cover?.roll?.insetMm ?? 0, hint: 'by the thickness' };
    return { mm: job && shop ? shop.assume(usual, job.units) : 0, hint: 'as the shop has it' };
  }

  #construct(label: string, choices: Choices): void {
    const read = cushionSchema.shape.construction.safeParse(choices);
    if (read.success) this.store.editCushion(label, (cushion) => ({ ...cushion, construction: read.data }));
  }
}
