import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { LucideTrash2 } from '@lucide/angular';
import { dryingCurves, formatNumber, type Constants, type Drying, type DryingCurve, type Sample } from '@yardland/core';
import { LineChart, type ChartLine } from '../shared/line-chart';
import { NumberField } from '../shared/number-field';
import { Button, FieldRow, PanelHead, Tick, Tool } from '../shared/ui/ui';

const nameOf = (curve: Pick<DryingCurve, 'covered'>): string => (curve.covered ? 'in its cover' : 'bare');

/** How a wetted core dries, weighed at intervals, bare and in its cover. */
@Component({
  selector: 'yl-drying-panel',
  imports: [FieldRow, PanelHead, Tick, Button, Tool, LineChart, NumberField, LucideTrash2],
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
        [most]="200"
        [least]="0.001"
        [value]="drying()?.dryKg ?? sample().massKg ?? null"
        (changed)="setDry($event)"
      />
      <yl-number label="After" unit="min" [optional]="true" [most]="100000" [value]="minute()" (changed)="minute.set($event)" />
      <yl-number label="Weighs" unit="kg" [optional]="true" [most]="300" [value]="mass()" (changed)="mass.set($event)" />
      <label ylTick><input type="checkbox" [checked]="covered()" (change)="covered.set(!covered())" /> in its cover</label>
      <label ylTick><input type="checkbox" [checked]="knocked()" (change)="knocked.set(!knocked())" /> knocked on a grate first</label>
      <button type="button" ylButton [disabled]="!ready()" (click)="add()">Add weighing</button>
    </div>
    <ul class="flex flex-wrap gap-y-0.5 gap-x-3.5 [&_li]:flex [&_li]:items-center [&_li]:font-semibold">
      @for (row of rows(); track $index; let i = $index) {
        <li>
          {{ row }}
          <button type="button" ylTool="quiet" [attr.aria-label]="'Take weighing out: ' + row" (click)="drop(i)"><svg lucideTrash2 size="18"></svg></button>
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
  protected readonly minute = signal<number | null>(null);
  protected readonly mass = signal<number | null>(null);
  protected readonly covered = signal(false);
  protected readonly knocked = signal(false);
  protected readonly drying = computed(() => this.sample().drying ?? null);
  readonly #dryKg = computed(() => this.drying()?.dryKg ?? this.sample().massKg ?? null);
  protected readonly ready = computed(() => this.#dryKg() !== null && this.minute() !== null && this.mass() !== null);

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

  protected add(): void {
    const [dryKg, minute, massKg] = [this.#dryKg(), this.minute(), this.mass()];
    if (dryKg === null || minute === null || massKg === null) return;
    const reading = { minute, massKg, covered: this.covered(), ...(this.knocked() ? { knocked: true } : {}) };
    this.changed.emit({ dryKg, readings: [...(this.drying()?.readings ?? []), reading] });
    this.minute.set(null);
    this.mass.set(null);
    this.knocked.set(false);
  }

  protected drop(index: number): void {
    const drying = this.drying();
    if (drying) this.changed.emit({ ...drying, readings: drying.readings.filter((_, i) => i !== index) });
  }
}
