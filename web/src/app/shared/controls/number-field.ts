import { ChangeDetectionStrategy, Component, computed, input, model, output, signal } from '@angular/core';
import type { FormValueControl } from '@angular/forms/signals';
import { parseNumber } from '@yardland/core';
import { fieldProblem, type FormErrors } from './form-errors';
import { Field } from '../ui/ui';

let nextId = 0;

/**
 * A plain number with its unit; point or comma. What is no number in range stays in the field with a sentence, and nothing is changed.
 * A control of a signal form, or by itself.
 */
@Component({
  selector: 'yl-number',
  imports: [Field],
  template: `
    <yl-field [label]="label()" [for]="id" [unit]="unit()" [problem]="problem()" [hint]="hint()" [bare]="bare()">
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
    </yl-field>
  `,
  host: { class: 'field block min-w-0' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class NumberField implements FormValueControl<number | null> {
  readonly label = input.required<string>();
  /** Null when nothing is set; a field that may not be left empty never changes to it. */
  readonly value = model.required<number | null>();
  readonly errors = input<FormErrors>([]);
  readonly touched = model(false);
  readonly unit = input('');
  readonly min = input<number | undefined>(0);
  readonly max = input<number | undefined>(1e7);
  readonly whole = input(false);
  /** Whether it may be left empty: its value then is null. */
  readonly optional = input(false);
  readonly placeholder = input('');
  readonly hint = input('');
  readonly bare = input(false);
  /** A number was typed. */
  readonly entered = output<number>();
  protected readonly id = `number-${++nextId}`;
  readonly #typed = signal<string | null>(null);

  readonly #unreadable = computed<string | null>(() => {
    const text = this.#typed();
    if (text === null) return null;
    const value = parseNumber(text);
    if (value === null) return `“${text}” is not a number.`;
    if (this.whole() && !Number.isInteger(value)) return 'A whole number, please.';
    const [min, max] = [this.min() ?? -Infinity, this.max() ?? Infinity];
    if (value < min) return `At least ${min}.`;
    return value > max ? `At most ${max}.` : null;
  });
  protected readonly problem = computed(() => fieldProblem(this.#unreadable(), this.touched(), this.errors()));

  protected take(text: string): void {
    this.touched.set(true);
    if (this.optional() && !text.trim()) {
      this.#typed.set(null);
      this.value.set(null);
      return;
    }
    this.#typed.set(text);
    if (this.#unreadable() !== null) return;
    this.#typed.set(null);
    const value = parseNumber(text);
    this.value.set(value);
    if (value !== null) this.entered.emit(value);
  }
}
