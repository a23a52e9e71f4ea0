import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Icon } from '../shared/icon';
import { outlineOf, shapeOf, SHAPES, type SeatStation, type Template } from '@yardland/core';
import { capital } from '../shared/words/capital';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/controls/choice';
import { NumberField } from '../shared/controls/number-field';
import { QuantityField } from '../shared/controls/quantity-field';
import { measureOf } from '../shared/table/shape-dimensions';
import { Tickbox } from '../shared/controls/tickbox';
import { Button, Tool } from '../shared/ui/ui';
import { measureWord, withMeasure } from './measures';

/** The shape and its measures; depths from the front as a small table. */
@Component({
  selector: 'yl-shape-tray',
  imports: [Tickbox, Tool, Button, Choice, NumberField, QuantityField, Icon],
  template: `
    <yl-choice class="named" label="Shape" [options]="shapes" [value]="shape().shape" (picked)="setShape($event)" />
    @for (option of shape().options ?? []; track option.key) {
      <yl-choice
        [label]="capital(option.word)"
        [options]="option.values"
        [value]="optionOf(option.key)"
        none="usual"
        (picked)="setOption(option.key, $event)"
      />
    }
    @for (measure of shape().measures; track measure.key) {
      @if (measure.unit === 'mm') {
        <yl-quantity
          [label]="capital(measure.word)"
          [value]="valueOf(measure.key)"
          [optional]="measure.optional"
          [min]="measure.least"
          [max]="measure.most"
          (valueChange)="setMeasure(measure.key, $event)"
        />
      } @else {
        <yl-number
          [label]="capital(measure.word)"
          unit="°"
          [min]="measure.least"
          [max]="measure.most"
          [value]="valueOf(measure.key)"
          (valueChange)="setMeasure(measure.key, $event)"
        />
      }
    }
    @if (stations(); as rows) {
      <div
        class="grid grid-cols-[repeat(auto-fill,minmax(20.625rem,1fr))] flex-[1_1_100%] gap-y-1 gap-x-4.5"
        role="group"
        aria-label="Depths from the straight front"
      >
        @for (row of rows; track $index; let i = $index) {
          <div class="gap-2 grid grid-cols-[1fr_1fr_auto_2.75rem] items-end [&_.field-says:empty]:hidden">
            <yl-quantity label="at" [value]="row.atMm" (valueChange)="setStation(i, { atMm: $event ?? 0 })" />
            <yl-quantity label="deep" [value]="row.depthMm" (valueChange)="setStation(i, { depthMm: $event ?? 0 })" />
            <yl-tickbox [checked]="row.corner ?? false" (checkedChange)="setStation(i, { corner: !row.corner })">corner</yl-tickbox>
            <button type="button" ylTool="quiet" [disabled]="rows.length <= 2" [attr.aria-label]="'Take depth ' + (i + 1) + ' out'" (click)="dropStation(i)">
              <svg ylIcon="trash-2" size="18"></svg>
            </button>
          </div>
        }
        <button type="button" ylButton (click)="addStation()"><svg ylIcon="plus" size="20"></svg> A depth</button>
      </div>
    }
  `,
  host: { class: 'contents [&>.field]:flex-[1_1_108px] [&>.field]:max-w-75 [&>.field.named]:flex-[1_1_180px]' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ShapeTray {
  protected readonly capital = capital;
  protected readonly store = inject(JobStore);
  protected readonly shapes = SHAPES.map(({ shape, name }) => ({ value: shape, name }));
  readonly #template = computed<Template>(() => this.store.cushion()?.template ?? { shape: 'rectangle', widthMm: 1, depthMm: 1 });
  protected readonly shape = computed(() => shapeOf(this.#template()));
  protected readonly stations = computed(() => {
    const template = this.#template();
    return template.shape === 'stations' ? template.stations : null;
  });

  protected valueOf(key: string): number | null {
    const value = measureOf(this.#template(), key);
    const optional = this.shape().measures.find((one) => one.key === key)?.optional ?? false;
    return optional && value === 0 ? null : value;
  }

  protected optionOf(key: string): string {
    return String((this.#template() as unknown as Record<string, unknown>)[key] ?? '');
  }

  protected setMeasure(key: string, value: number | null): void {
    this.store.editCushion(measureWord(this.store.cushion(), key), (cushion) => withMeasure(cushion, key, value));
  }

  /** Another shape of about the same width and depth. */
  protected setShape(value: string): void {
    const next = SHAPES.find(({ shape }) => shape === value);
    if (!next || next.shape === this.shape().shape) return;
    this.store.editCushion('Shape', (cushion) => {
      const cannotBe = shapeOf(cushion.template).check(cushion.template).length > 0;
      const { acrossMm, deepMm } = cannotBe ? { acrossMm: 500, deepMm: 450 } : outlineOf(cushion.template);
      const whole = (mm: number): number => Math.round(mm * 10) / 10;
      return { ...cushion, template: next.like(whole(acrossMm), whole(deepMm)) };
    });
  }

  protected setOption(key: string, value: string): void {
    this.store.editCushion('Shape', (cushion) => ({ ...cushion, template: { ...cushion.template, [key]: value } as Template }));
  }

  protected setStation(index: number, change: Partial<SeatStation>): void {
    this.#stations((rows) => rows.map((row, i) => (i === index ? tidy({ ...row, ...change }) : row)).sort((a, b) => a.atMm - b.atMm));
  }

  protected dropStation(index: number): void {
    this.#stations((rows) => rows.filter((_, i) => i !== index));
  }

  /** Another depth in the widest gap, on the line between its neighbours. */
  protected addStation(): void {
    this.#stations((rows) => {
      const gaps = rows.slice(1).map((row, i) => ({ i, mm: row.atMm - (rows[i]?.atMm ?? 0) }));
      const widest = gaps.reduce((a, b) => (b.mm > a.mm ? b : a), gaps[0] ?? { i: 0, mm: 0 });
      const [a, b] = [rows[widest.i], rows[widest.i + 1]];
      if (!a || !b) return rows;
      const between = { atMm: Math.round((a.atMm + b.atMm) / 2), depthMm: Math.round((a.depthMm + b.depthMm) / 2) };
      return [...rows.slice(0, widest.i + 1), between, ...rows.slice(widest.i + 1)];
    });
  }

  #stations(change: (rows: SeatStation[]) => SeatStation[]): void {
    this.store.editCushion('Depths from the front', (cushion) =>
      cushion.template.shape === 'stations' ? { ...cushion, template: { ...cushion.template, stations: change([...cushion.template.stations]) } } : cushion,
    );
  }
}

const tidy = ({ corner, ...row }: SeatStation): SeatStation => (corner ? { ...row, corner } : row);
