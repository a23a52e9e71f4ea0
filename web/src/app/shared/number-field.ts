import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { parseNumber } from '@yardland/core';
import { Label } from './ui/ui';

let nextId = 0;

/** A plain number with its unit; point or comma. What is no number in range stays in the field with a sentence, and nothing is changed. */
@Component({
  selector: 'yl-number',
  imports: [Label],
  template: `
    <label ylLabel [class.sr-only]="bare()" [attr.for]="id">{{ label() }}</label>
    <div
      class="px-2.5 rounded-lg border border-line-strong flex items-center min-h-11 bg-linen [&.bad]:border-error [&.bad]:shadow-[inset_0_0_0_1px_var(--color-error)] [&_input]:border-0 [&_input]:w-full [&_input]:min-w-0 [&_input]:bg-transparent [&_input]:outline-none [&_input]:text-figure [&_input]:font-[650] focus-within:[outline:3px_solid_var(--color-focus)] focus-within:[outline-offset:1px] [&:has(input:disabled)]:border-dashed [&:has(input:disabled)]:bg-transparent [&:has(input:disabled)]:opacity-100"
      [class.bad]="problem()"
    >
      <input
        #box
        [id]="id"
        inputmode="decimal"
        autocomplete="off"
        [value]="value() ?? ''"
        [attr.placeholder]="placeholder() || null"
        [attr.aria-invalid]="problem() ? true : null"
        [attr.aria-describedby]="id + '-says'"
        (change)="take(box.value)"
      />
      @if (unit()) {
        <span class="pl-1.5 text-label text-ink-soft" aria-hidden="true">{{ unit() }}</span>
      }
    </div>
    <span
      class="field-says mt-0.5 block min-h-4.25 text-fine leading-4.25 text-ink-soft [&.bad]:text-error [&.bad]:font-semibold"
      [id]="id + '-says'"
      [class.bad]="problem()"
      role="status"
      >{{ problem() ?? hint() }}</span
    >
  `,
  host: { class: 'field block min-w-0' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class NumberField {
  readonly label = input.required<string>();
  readonly value = input.required<number | null>();
  readonly unit = input('');
  readonly least = input(0);
  readonly most = input(1e7);
  readonly whole = input(false);
  /** Whether it may be left empty: `changed` then gives null. */
  readonly optional = input(false);
  readonly placeholder = input('');
  readonly hint = input('');
  readonly bare = input(false);
  readonly changed = output<number | null>();
  protected readonly id = `number-${++nextId}`;
  readonly #typed = signal<string | null>(null);

  protected readonly problem = computed<string | null>(() => {
    const text = this.#typed();
    if (text === null) return null;
    const value = parseNumber(text);
    if (value === null) return `“${text}” is not a number.`;
    if (this.whole() && !Number.isInteger(value)) return 'A whole number, please.';
    if (value < this.least()) return `At least ${this.least()}.`;
    return value > this.most() ? `At most ${this.most()}.` : null;
  });

  protected take(text: string): void {
    if (this.optional() && !text.trim()) {
      this.#typed.set(null);
      this.changed.emit(null);
      return;
    }
    this.#typed.set(text);
    if (this.problem() !== null) return;
    this.#typed.set(null);
    this.changed.emit(parseNumber(text));
  }
}
