import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output, signal } from '@angular/core';
import {
  constantsOf,
  evaluateSizes,
  MM_PER_INCH,
  pairMm,
  whyLine,
  type Figure,
  type SchoolRow,
  type ShopDocument,
  type SizeRequest,
  type UnitSystem,
  formatSize,
} from '@yardland/core';
import { Choice, Switch } from '../shared/controls/choice';
import { GIVEN_OPTIONS } from '../shared/words/given-words';
import { QuantityField } from '../shared/controls/quantity-field';
import { DialogFields, Panel } from '../shared/ui/ui';

const UNITS = [
  { value: 'metric', name: 'metric' },
  { value: 'inch', name: 'inches' },
] as const;

/** A long bench shows what packed ends and long cores do; in inches a round number of them. */
const FIRST: Record<UnitSystem, readonly [acrossMm: number, deepMm: number, heightMm: number]> = {
  metric: [1200, 450, 100],
  inch: [48 * MM_PER_INCH, 18 * MM_PER_INCH, 4 * MM_PER_INCH],
};

/** One cushion through a school: every size with its derivation, worked out anew as the school or the measures are changed. */
@Component({
  selector: 'yl-worked-example',
  imports: [DialogFields, QuantityField, Switch, Choice],
  template: `
    <h2 id="example-title">Worked example</h2>
    <div ylDialogFields>
      <yl-switch label="Measured in" [options]="unitOptions" [value]="units()" (picked)="unitsChanged.emit($event)" />
      <yl-choice label="Measured is" [options]="givenOptions" [value]="given()" (picked)="given.set($event)" />
    </div>
    <div class="gap-2.5 grid grid-cols-[repeat(3,minmax(0,1fr))]">
      @for (one of measures; track one.name; let i = $index) {
        <yl-quantity
          [label]="one.name"
          [value]="sides()[i] ?? 0"
          [min]="20"
          [max]="5000"
          [units]="units()"
          [step]="document().step"
          (valueChange)="setSide(i, $event)"
        />
      }
    </div>
    <dl
      class="mt-2 [&_b]:text-panel [&_b]:tabular-nums [&_dt]:text-small [&_dt]:text-ink-soft [&_div]:py-1.75 [&_div]:border-t [&_div]:border-t-line [&_div]:grid [&_div]:grid-cols-[5.75rem_minmax(0,1fr)] [&_small]:block [&_small]:text-label [&_small]:leading-[1.35] [&_small]:text-ink-soft"
    >
      @for (row of rows(); track row.name) {
        <div>
          <dt>{{ row.name }}</dt>
          <dd>
            <b>{{ row.size }}</b>
            @for (line of row.why; track line) {
              <small>{{ line }}</small>
            }
          </dd>
        </div>
      }
    </dl>
  `,
  hostDirectives: [Panel],
  host: { class: 'block [&_h2]:text-figure', role: 'region', 'aria-labelledby': 'example-title' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class WorkedExample {
  readonly school = input.required<SchoolRow>();
  readonly document = input.required<ShopDocument>();
  readonly units = input.required<UnitSystem>();
  readonly unitsChanged = output<UnitSystem>();
  protected readonly unitOptions = UNITS;
  protected readonly givenOptions = GIVEN_OPTIONS;
  protected readonly measures = [{ name: 'Wide' }, { name: 'Deep' }, { name: 'High' }];
  protected readonly given = signal<SizeRequest['given']>('seat');
  protected readonly sides = linkedSignal<readonly number[]>(() => FIRST[this.units()]);

  protected readonly rows = computed(() => {
    const [acrossMm = 0, deepMm = 0, heightMm = 0] = this.sides();
    const [school, units] = [this.school(), this.units()];
    const sizes = evaluateSizes(
      school,
      {
        given: this.given(),
        acrossMm,
        deepMm,
        heightMm,
        wrapLoftMm: pairMm(school.wrap.loft, units),
        wrapSqueezed: constantsOf(this.document().calibration, units)('wrapSqueezedLightly'),
        seamMm: null,
        thin: null,
      },
      units,
    );
    const row = (name: string, ...figures: readonly Figure[]) => ({
      name,
      size: formatSize(
        figures.map((figure) => figure.value),
        units,
        this.document().step,
      ),
      why: [...new Set(figures.filter((figure) => figure.kind !== 'given').map((figure) => whyLine(figure, units)))],
    });
    const { seat, finished, core, sewn, cut, boxingCut } = sizes;
    return [
      row('Seat', seat.width, seat.depth),
      row('Finished', finished.width, finished.depth, finished.height),
      row('Core', core.width, core.depth, core.height),
      row('Sewn', sewn.width, sewn.depth, sewn.height),
      row('Plate, cut', cut.width, cut.depth),
      row('Boxing, cut', boxingCut),
    ];
  });

  protected setSide(index: number, mm: number | null): void {
    if (mm !== null) this.sides.update((sides) => sides.map((side, i) => (i === index ? mm : side)));
  }
}
