import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output, signal, viewChild, type ElementRef } from '@angular/core';
import { formatExact, formatLength, formatLengthUnit, pairMm, parseLength, roundToStep, type Pair, type UnitSystem } from '@yardland/core';
import { measuresHere } from './measures';
import { Field } from './ui/ui';

let nextId = 0;

/**
 * A length to type: takes inches with fractions, feet, millimetres or centimetres whichever way the job is measured; shows what it read;
 * arrows step by the shop's step; what it cannot read stays in the field with a sentence beside it, and nothing is changed.
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
export class QuantityField {
  readonly label = input.required<string>();
  /** Millimetres; null when nothing is set. */
  readonly mm = input.required<number | null>();
  /** The page's where they are not told. */
  readonly units = input<UnitSystem>();
  readonly step = input<Pair>();
  protected readonly here = measuresHere(this);
  readonly minMm = input(0);
  readonly maxMm = input(20_000);
  /** Whether the field may be left empty: `changed` then gives null. */
  readonly optional = input(false);
  readonly placeholder = input('');
  readonly hint = input<string | null>(null);
  readonly disabled = input(false);
  /** The label is read out but not shown. */
  readonly bare = input(false);
  /** A length was typed, or in a field that may be left empty: null. */
  readonly changed = output<number | null>();
  /** A length was typed. */
  readonly entered = output<number>();
  readonly left = output();

  protected readonly id = `quantity-${++nextId}`;
  protected readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');
  readonly #shown = computed(() => {
    const mm = this.mm();
    return mm === null ? '' : formatLength(mm, this.here.units(), this.here.step());
  });
  protected readonly text = linkedSignal(() => this.#shown());
  readonly #editing = signal(false);

  readonly #read = computed(() => parseLength(this.text(), this.here.units()));

  protected readonly problem = computed<string | null>(() => {
    if (!this.#editing() && this.text() === this.#shown()) return null;
    const read = this.#read();
    if (!read.ok) return this.#sentence(read.code, read.rest);
    if (read.mm < this.minMm() - 1e-9) return `At least ${this.#say(this.minMm())}.`;
    if (read.mm > this.maxMm() + 1e-9) return `At most ${this.#say(this.maxMm())}.`;
    return null;
  });

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
    this.left.emit();
  }

  #keep(): void {
    if (this.text() === this.#shown()) return;
    if (this.optional() && this.text().trim() === '') {
      this.changed.emit(null);
      return;
    }
    const read = this.#read();
    if (read.ok && this.problem() === null) this.#take(read.mm);
  }

  #nudge(steps: number): void {
    const read = this.#read();
    const from = read.ok ? read.mm : (this.mm() ?? 0);
    const stepMm = pairMm(this.here.step(), this.here.units());
    const next = Math.min(this.maxMm(), Math.max(this.minMm(), roundToStep(from + steps * stepMm, this.here.units(), this.here.step())));
    this.#take(next);
  }

  #take(mm: number): void {
    this.changed.emit(mm);
    this.entered.emit(mm);
  }

  #say(mm: number): string {
    return formatLengthUnit(mm, this.here.units(), this.here.step());
  }

  #sentence(code: string, rest: string): string | null {
    if (code === 'empty') return this.optional() ? null : 'Write a length.';
    if (code === 'zero-denominator') return 'A fraction cannot be over nought.';
    return `“${rest}” is not a length. Try ${this.here.units() === 'inch' ? '23 1/2 or 597 mm' : '597 or 23 1/2"'}.`;
  }
}
