import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { form, FormField, max, min, required, submit, validate } from '@angular/forms/signals';
import { Icon } from '../shared/icon';
import { dryingCurves, formatNumber, type Constants, type Drying, type DryingCurve, type Sample } from '@yardland/core';
import { LineChart, type ChartLine } from '../shared/line-chart';
import { NumberField } from '../shared/controls/number-field';
import { Tickbox } from '../shared/controls/tickbox';
import { Button, FieldRow, PanelHead, Tool } from '../shared/ui/ui';

const nameOf = (curve: Pick<DryingCurve, 'covered'>): string => (curve.covered ? 'in its cover' : 'bare');

/** How a wetted core dries, weighed at intervals, bare and in its cover. */
@Component({
  selector: 'yl-drying-panel',
  imports: [FieldRow, PanelHead, FormField, Tickbox, Button, Tool, LineChart, NumberField, Icon],
  template: `
    <div ylPanelHead>
      <h3 id="drying-title">Drying</h3>
    </div>
    @if (verdict()) {
      <p class="mb-2 font-semibold">{{ verdict() }}</p>
    }
    <div ylFieldRow>
      <yl-number
        label="Dry, before wetting"
        unit="kg"
        [optional]="true"
        [max]="200"
        [min]="0.001"
        [value]="drying()?.dryKg ?? sample().massKg ?? null"
        (valueChange)="setDry($event)"
      />
      <yl-number label="After" unit="min" [optional]="true" [formField]="weighing.minute" />
      <yl-number label="Weighs" unit="kg" [optional]="true" [formField]="weighing.massKg" />
      <yl-tickbox [formField]="weighing.covered">in its cover</yl-tickbox>
      <yl-tickbox [formField]="weighing.knocked">knocked on a grate first</yl-tickbox>
      <button type="button" ylButton (click)="add()">Add weighing</button>
    </div>
    <ul class="flex flex-wrap gap-y-0.5 gap-x-3.5 [&_li]:flex [&_li]:items-center [&_li]:font-semibold">
      @for (row of rows(); track $index; let i = $index) {
        <li>
          {{ row }}
          <button type="button" ylTool="quiet" [attr.aria-label]="'Take weighing out: ' + row" (click)="drop(i)"><svg ylIcon="trash-2" size="18"></svg></button>
        </li>
      }
    </ul>
    @if (lines().length) {
      <yl-line-chart [lines]="lines()" xTitle="minutes" yTitle="water held, g" [words]="verdict()" />
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DryingPanel {
  readonly sample = input.required<Sample>();
  /** The shop's constants. */
  readonly assume = input.required<Constants>();
  readonly changed = output<Drying>();
  readonly #typed = signal({ minute: null as number | null, massKg: null as number | null, covered: false, knocked: false });
  protected readonly weighing = form(this.#typed, (path) => {
    required(path.minute, { message: 'How long after wetting?' });
    min(path.minute, 0);
    max(path.minute, 100_000);
    required(path.massKg, { message: 'What does it weigh?' });
    min(path.massKg, 0);
    max(path.massKg, 300);
    validate(path.massKg, () => (this.#dryKg() === null ? { kind: 'dry-first', message: 'Say first what it weighed dry.' } : null));
  });
  protected readonly drying = computed(() => this.sample().drying ?? null);
  readonly #dryKg = computed(() => this.drying()?.dryKg ?? this.sample().massKg ?? null);

  readonly #curves = computed(() => {
    const drying = this.drying();
    return drying ? dryingCurves(drying, this.assume()) : [];
  });
  protected readonly rows = computed(() =>
    (this.drying()?.readings ?? []).map(
      ({ minute, massKg, covered, knocked }) => `${minute} min: ${formatNumber(massKg, 3)} kg, ${nameOf({ covered })}${knocked ? ', knocked first' : ''}`,
    ),
  );
  protected readonly lines = computed<readonly ChartLine[]>(() =>
    this.#curves().map((curve) => {
      const points = curve.points.map(({ minute, waterKg }) => ({ x: minute, y: waterKg * 1000 }));
      return { name: nameOf(curve), points, marks: points.map((point) => ({ name: '', ...point })) };
    }),
  );
  protected readonly verdict = computed(() =>
    this.#curves()
      .map((curve) => {
        const dry = curve.dryAfter;
        if (!dry) return `${nameOf(curve)}: not dry yet`;
        return `${nameOf(curve)}: dry after ${dry.extrapolated ? 'about ' : ''}${formatNumber(dry.minutes / 60, 1)} h${dry.extrapolated ? ', as it goes on' : ''}`;
      })
      .join('; '),
  );

  protected setDry(dryKg: number | null): void {
    if (dryKg !== null) this.changed.emit({ readings: this.drying()?.readings ?? [], dryKg });
  }

  /** Adds the weighing; what is missing is said at its field instead. */
  protected async add(): Promise<void> {
    await submit(this.weighing, async () => {
      const [dryKg, { minute, massKg, covered, knocked }] = [this.#dryKg(), this.#typed()];
      if (dryKg === null || minute === null || massKg === null) return;
      const reading = { minute, massKg, covered, ...(knocked ? { knocked: true } : {}) };
      this.changed.emit({ dryKg, readings: [...(this.drying()?.readings ?? []), reading] });
      this.weighing().reset({ minute: null, massKg: null, covered, knocked: false });
    });
  }

  protected drop(index: number): void {
    const drying = this.drying();
    if (drying) this.changed.emit({ ...drying, readings: drying.readings.filter((_, i) => i !== index) });
  }
}
