import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output, signal } from '@angular/core';
import { form, FormField, max, min, required, submit, validate } from '@angular/forms/signals';
import { formatNumber, sampleResults, type Constants, type Sample } from '@yardland/core';
import type { ShownSample } from './samples-store';
import { Choice } from '../shared/controls/choice';
import { LineChart, type ChartLine } from '../shared/line-chart';
import { NumberField } from '../shared/controls/number-field';
import { Button, FieldRow, PanelHead } from '../shared/ui/ui';

/** Litres poured where nothing else is said. */
const POURED_L = 2;

/** How water runs out of a sample: poured on, collected after some minutes; beside another sample of the shop. */
@Component({
  selector: 'yl-drain-panel',
  imports: [FieldRow, PanelHead, Button, Choice, LineChart, NumberField, FormField],
  template: `
    <div ylPanelHead>
      <h3 id="drain-title">Drain test</h3>
      @if (retained(); as ml) {
        <p class="[&_b]:text-dialog">
          <b>{{ ml }} ml</b> held back for each litre of foam
        </p>
      }
    </div>
    <div ylFieldRow>
      <yl-number label="Poured on" unit="l" [formField]="reading.pouredL" />
      <yl-number label="After" unit="min" [optional]="true" [formField]="reading.minute" />
      <yl-number label="Collected" unit="l" [optional]="true" [formField]="reading.litres" />
      <button type="button" ylButton (click)="add()">Add</button>
    </div>
    @if (names().length > 1) {
      <yl-choice label="Beside" [options]="names()" [value]="beside()?.id ?? ''" (picked)="layBeside($event)" />
    }
    @if (lines().length) {
      <yl-line-chart [lines]="lines()" xTitle="minutes" yTitle="ml held back a litre" [words]="words()" />
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DrainPanel {
  readonly sample = input.required<Sample>();
  /** The other samples that were drained, to lay beside. */
  readonly others = input.required<readonly ShownSample[]>();
  /** The shop's constants. */
  readonly assume = input.required<Constants>();
  readonly changed = output<NonNullable<Sample['drain']>>();

  readonly #beside = signal<string | null>(null);
  protected readonly names = computed(() => this.others().map(({ id, sample }) => ({ value: id, name: sample.name })));
  protected readonly beside = computed(() => this.others().find(({ id }) => id === this.#beside()) ?? this.others()[0] ?? null);

  readonly #typed = linkedSignal(() => ({
    pouredL: (this.sample().drain?.pouredL ?? POURED_L) as number | null,
    minute: null as number | null,
    litres: null as number | null,
  }));
  protected readonly reading = form(this.#typed, (path) => {
    required(path.pouredL, { message: 'How much was poured on?' });
    min(path.pouredL, 0.01);
    max(path.pouredL, 100);
    required(path.minute, { message: 'After how many minutes?' });
    min(path.minute, 0);
    max(path.minute, 10_000);
    required(path.litres, { message: 'How much had run through?' });
    min(path.litres, 0);
    validate(path.litres, ({ value, valueOf }) =>
      (value() ?? 0) > (valueOf(path.pouredL) ?? Infinity) ? { kind: 'more-than-poured', message: 'More than was poured on.' } : null,
    );
  });

  readonly #results = computed(() => sampleResults(this.sample(), this.assume()).retained);
  protected readonly retained = computed(() => {
    const last = this.#results().at(-1);
    return last ? (last.perLitre * 1000).toFixed(1) : null;
  });
  protected readonly lines = computed<readonly ChartLine[]>(() =>
    [this.sample(), this.beside()?.sample].flatMap((sample) => {
      const points = (sample ? sampleResults(sample, this.assume()).retained : []).map(({ minute, perLitre }) => ({ x: minute, y: perLitre * 1000 }));
      return sample && points.length ? [{ name: sample.name, points, marks: points.map((point) => ({ name: '', ...point })) }] : [];
    }),
  );
  protected readonly words = computed(() =>
    this.lines()
      .map(
        ({ name, points }) => `${name}: ${formatNumber(points.at(-1)?.y ?? 0, 1)} ml held back for each litre of foam after ${points.at(-1)?.x ?? 0} minutes`,
      )
      .join('. '),
  );

  protected layBeside(id: string): void {
    this.#beside.set(id);
  }

  /** Adds the reading; what is missing is said at its field instead. */
  protected async add(): Promise<void> {
    await submit(this.reading, async () => {
      const { pouredL, minute, litres } = this.#typed();
      if (pouredL === null || minute === null || litres === null) return;
      this.changed.emit({ pouredL, collected: [...(this.sample().drain?.collected ?? []), { minute, litres }] });
      this.reading().reset({ pouredL, minute: null, litres: null });
    });
  }
}
