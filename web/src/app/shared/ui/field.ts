import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { Term } from '../words/term';
import { Label } from './words';

/** The frame of a typed field: its label, the box round the input put into it, its unit, and the line under it that helps or says what is wrong. */
@Component({
  selector: 'yl-field',
  imports: [Label, Term],
  template: `
    <label ylLabel [attr.for]="for()" [class.sr-only]="bare()"><yl-term [words]="label()" /></label>
    <div
      class="flex min-h-11 items-center rounded-lg border border-line-strong bg-linen px-2.5 focus-within:outline-3 focus-within:outline-offset-1 focus-within:outline-focus has-[input:disabled]:border-dashed has-[input:disabled]:bg-transparent [&.bad]:border-error [&.bad]:shadow-[inset_0_0_0_1px_var(--color-error)] [&_input]:w-full [&_input]:min-w-0 [&_input]:bg-transparent [&_input]:text-figure [&_input]:font-[650] [&_input]:outline-none"
      [class.bad]="problem()"
    >
      <ng-content />
      @if (unit()) {
        <span class="pl-1.5 text-label text-ink-soft" aria-hidden="true">{{ unit() }}</span>
      }
    </div>
    <span
      class="field-says mt-0.5 block min-h-4.25 text-fine leading-4.25 text-ink-soft [&.bad]:font-semibold [&.bad]:text-error"
      [id]="for() + '-says'"
      [class.bad]="problem()"
      role="status"
      >{{ problem() ?? hint() }}</span
    >
  `,
  host: { class: 'contents' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Field {
  readonly label = input.required<string>();
  /** Id of the input inside; the line under it is `<id>-says`, for the input to name as its description. */
  readonly for = input.required<string>();
  readonly unit = input('');
  readonly problem = input<string | null>(null);
  readonly hint = input<string | null>(null);
  /** The label is read out but not shown. */
  readonly bare = input(false);
}
