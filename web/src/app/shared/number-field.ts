import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { parseNumber } from '@yardland/core';

let nextId = 0;

/** A plain number with its unit; point or comma. What is no number in range stays in the field with a sentence, and nothing is changed. */
@Component({
  selector: 'yl-number',
  template: `
    <label class="field-label" [class.sr-only]="bare()" [attr.for]="id">{{ label() }}</label>
    <div class="quantity" [class.bad]="problem()">
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
        <span class="unit" aria-hidden="true">{{ unit() }}</span>
      }
    </div>
    <span class="field-says" [id]="id + '-says'" [class.bad]="problem()" role="status">{{ problem() ?? hint() }}</span>
  `,
  host: { class: 'field' },
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
