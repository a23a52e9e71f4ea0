import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, model, output, signal, viewChild, type ElementRef } from '@angular/core';
import type { FormValueControl } from '@angular/forms/signals';
import { formatExact, formatLength, formatLengthUnit, pairMm, parseLength, roundToStep, type Pair, type UnitSystem } from '@yardland/core';
import { fieldProblem, type FormErrors } from './form-errors';
import { measuresHere } from './measures';
import { Field } from '../ui/ui';

let nextId = 0;

/**
 * A length to type: takes inches with fractions, feet, millimetres or centimetres whichever way the job is measured; shows what it read;
 * arrows step by the shop's step; what it cannot read stays in the field with a sentence beside it, and nothing is changed. A control of a
 * signal form, or by itself.
 */
@Component({
  selector: 'yl-quantity',
  imports: [Field],
  template: `
    <yl-field [label]="label()" [for]="id" [unit]="here.units() === 'inch' ? 'in' : 'mm'" [problem]="problem()" [hint]="reading() ?? hint()" [bare]="bare()">
      <input
        #box
        [id]="id"
        type="text"
        inputmode="text"
        autocomplete="off"
        spellcheck="false"
        [value]="text()"
        [disabled]="disabled()"
        [placeholder]="placeholder()"
        [attr.aria-invalid]="problem() ? true : null"
        [attr.aria-describedby]="id + '-says'"
        (focus)="begin()"
        (input)="typed(box.value)"
        (keydown)="key($event)"
        (blur)="settle()"
      />
    </yl-field>
  `,
  host: { class: 'field block min-w-0' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class QuantityField implements FormValueControl<number | null> {
  readonly label = input.required<string>();
  /** Millimetres; null when nothing is set. A field that may not be left empty never changes to it. */
  readonly value = model.required<number | null>();
  readonly errors = input<FormErrors>([]);
  readonly touched = model(false);
  /** The page's where they are not told. */
  readonly units = input<UnitSystem>();
  readonly step = input<Pair>();
  protected readonly here = measuresHere(this);
  /** Millimetres. */
  readonly min = input<number | undefined>(0);
  readonly max = input<number | undefined>(20_000);
  /** Whether the field may be left empty: its value then is null. */
  readonly optional = input(false);
  readonly placeholder = input('');
  readonly hint = input<string | null>(null);
  readonly disabled = input(false);
  /** The label is read out but not shown. */
  readonly bare = input(false);
  /** A length was typed. */
  readonly entered = output<number>();
  readonly left = output();

  protected readonly id = `quantity-${++nextId}`;
  protected readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');
  readonly #shown = computed(() => {
    const mm = this.value();
    return mm === null ? '' : formatLength(mm, this.here.units(), this.here.step());
  });
  protected readonly text = linkedSignal(() => this.#shown());
  readonly #editing = signal(false);

  readonly #least = computed(() => this.min() ?? -Infinity);
  readonly #most = computed(() => this.max() ?? Infinity);
  readonly #read = computed(() => parseLength(this.text(), this.here.units()));

  readonly #unreadable = computed<string | null>(() => {
    if (!this.#editing() && this.text() === this.#shown()) return null;
    const read = this.#read();
    if (!read.ok) return this.#sentence(read.code, read.rest);
    if (read.mm < this.#least() - 1e-9) return `At least ${this.#say(this.#least())}.`;
    if (read.mm > this.#most() + 1e-9) return `At most ${this.#say(this.#most())}.`;
    return null;
  });
  protected readonly problem = computed(() => fieldProblem(this.#unreadable(), this.touched(), this.errors()));

  /** What was understood, in the other units, while typing. */
  protected readonly reading = computed<string | null>(() => {
    const read = this.#read();
    if (!this.#editing() || !read.ok) return null;
    const other = this.here.units() === 'inch' ? 'metric' : 'inch';
    return `= ${formatExact(read.mm, other)} ${other === 'inch' ? 'in' : 'mm'}`;
  });

  focus(): void {
    this.box().nativeElement.focus();
  }

  /** Empties the box: for one that collects lengths one after the other. */
  clear(): void {
    this.value.set(null);
    this.text.set('');
  }

  protected begin(): void {
    this.#editing.set(true);
    this.box().nativeElement.select();
  }

  protected typed(text: string): void {
    this.text.set(text);
  }

  protected key(event: KeyboardEvent): void {
    if (event.key === 'Enter') {
      this.#keep();
      this.box().nativeElement.select();
    } else if (event.key === 'Escape') {
      this.text.set(this.#shown());
      this.left.emit();
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      event.preventDefault();
      this.#nudge(event.key === 'ArrowUp' ? 1 : -1);
    }
  }

  protected settle(): void {
    this.#keep();
    this.#editing.set(false);
    this.touched.set(true);
    this.left.emit();
  }

  #keep(): void {
    if (this.text() === this.#shown()) return;
    if (this.optional() && this.text().trim() === '') {
      this.value.set(null);
      return;
    }
    const read = this.#read();
    if (read.ok && this.#unreadable() === null) this.#take(read.mm);
  }

  #nudge(steps: number): void {
    const read = this.#read();
    const from = read.ok ? read.mm : (this.value() ?? 0);
    const stepMm = pairMm(this.here.step(), this.here.units());
    const next = Math.min(this.#most(), Math.max(this.#least(), roundToStep(from + steps * stepMm, this.here.units(), this.here.step())));
    this.#take(next);
  }

  #take(mm: number): void {
    this.value.set(mm);
    this.entered.emit(mm);
  }

  #say(mm: number): string {
    return formatLengthUnit(mm, this.here.units(), this.here.step());
  }

  #sentence(code: string, rest: string): string | null {
    if (code === 'empty') return this.optional() ? null : 'Write a length.';
    if (code === 'zero-denominator') return 'The lower number of a fraction cannot be zero.';
    return `“${rest}” is not a length. Try ${this.here.units() === 'inch' ? '23 1/2 or 597 mm' : '597 or 23 1/2"'}.`;
  }
}
