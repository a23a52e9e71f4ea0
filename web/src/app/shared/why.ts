import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatExact, formatLengthUnit, whyLine, whySteps, type Figure, type SayIn } from '@yardland/core';

/** Sizes that stand on the ticket themselves: a why that goes through them starts there, unless it is their own. */
const NAMED: ReadonlySet<string> = new Set(['sewn', 'core', 'seam line round', 'zip opening']);

/** The derivation of a figure, a step a line, and how it was rounded. */
@Component({
  selector: 'yl-why',
  template: `
    @for (step of steps(); track $index) {
      <p>{{ step }}</p>
    }
    @if (rounding(); as text) {
      <p class="font-normal text-ink-soft">{{ text }}</p>
    }
  `,
  host: {
    class: 'block px-2.5 py-2 mt-1 mb-2 rounded-r-md rounded-l-none border-l-3 border-l-chalk bg-calico text-small text-left [&_p:last-of-type]:font-[650]',
  },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Why {
  readonly figure = input.required<Figure>();
  readonly inWords = input.required<SayIn>();

  protected readonly steps = computed(() => {
    const { units } = this.inWords();
    const steps = whySteps(this.figure(), units, NAMED);
    return steps.length ? steps : [whyLine(this.figure(), units)];
  });

  protected readonly rounding = computed(() => {
    const [figure, { units, step }] = [this.figure(), this.inWords()];
    if (figure.unit !== 'mm') return null;
    const exact = `${formatExact(figure.value, units)} ${units === 'inch' ? 'in' : 'mm'}`;
    const printed = formatLengthUnit(figure.value, units, step);
    return exact === printed ? null : `printed as ${printed}, to the shop’s step`;
  });
}
