import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { parseNumber } from '@yardland/core';
import { Field } from './ui/ui';

let nextId = 0;

/** A plain number with its unit; point or comma. What is no number in range stays in the field with a sentence, and nothing is changed. */
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
  /** A number was typed, or in a field that may be left empty: null. */
  readonly changed = output<number | null>();
  /** A number was typed. */
  readonly entered = output<number>();
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
    const value = parseNumber(text);
    this.changed.emit(value);
    if (value !== null) this.entered.emit(value);
  }
}
