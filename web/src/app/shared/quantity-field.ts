import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output, signal, viewChild, type ElementRef } from '@angular/core';
import { formatExact, formatLength, formatLengthUnit, pairMm, parseLength, roundToStep, type Pair, type UnitSystem } from '@yardland/core';
import { Label } from './ui/ui';

let nextId = 0;

/**
 * A length to type: takes inches with fractions, feet, millimetres or centimetres whichever way the job is measured; shows what it read;
 * arrows step by the shop's step; what it cannot read stays in the field with a sentence beside it, and nothing is changed.
 */
@Component({
  selector: 'yl-quantity',
  imports: [Label],
  template: `
    <label ylLabel [attr.for]="id" [class.sr-only]="bare()">{{ label() }}</label>
    <div
      class="px-2.5 rounded-lg border border-line-strong flex items-center min-h-11 bg-linen [&.bad]:border-error [&.bad]:shadow-[inset_0_0_0_1px_var(--color-error)] [&_input]:border-0 [&_input]:w-full [&_input]:min-w-0 [&_input]:bg-transparent [&_input]:outline-none [&_input]:text-figure [&_input]:font-[650] focus-within:[outline:3px_solid_var(--color-focus)] focus-within:[outline-offset:1px] [&:has(input:disabled)]:border-dashed [&:has(input:disabled)]:bg-transparent [&:has(input:disabled)]:opacity-100"
      [class.bad]="problem()"
    >
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
      <span class="pl-1.5 text-label text-ink-soft" aria-hidden="true">{{ units() === 'inch' ? 'in' : 'mm' }}</span>
    </div>
    <span
      class="field-says mt-0.5 block min-h-4.25 text-fine leading-4.25 text-ink-soft [&.bad]:text-error [&.bad]:font-semibold"
      [id]="id + '-says'"
      [class.bad]="problem()"
      role="status"
      >{{ problem() ?? reading() ?? hint() ?? '' }}</span
    >
  `,
  host: { class: 'field block min-w-0' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class QuantityField {
  readonly label = input.required<string>();
  /** Millimetres; null when nothing is set. */
  readonly mm = input.required<number | null>();
  readonly units = input.required<UnitSystem>();
  readonly step = input.required<Pair>();
  readonly minMm = input(0);
  readonly maxMm = input(20_000);
  /** Whether the field may be left empty: `changed` then gives null. */
  readonly optional = input(false);
  readonly placeholder = input('');
  readonly hint = input<string | null>(null);
  readonly disabled = input(false);
  /** The label is read out but not shown. */
  readonly bare = input(false);
  readonly changed = output<number | null>();
  readonly left = output();

  protected readonly id = `quantity-${++nextId}`;
  protected readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');
  readonly #shown = computed(() => {
    const mm = this.mm();
    return mm === null ? '' : formatLength(mm, this.units(), this.step());
  });
  protected readonly text = linkedSignal(() => this.#shown());
  readonly #editing = signal(false);

  readonly #read = computed(() => parseLength(this.text(), this.units()));

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
    const other = this.units() === 'inch' ? 'metric' : 'inch';
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
    if (read.ok && this.problem() === null) this.changed.emit(read.mm);
  }

  #nudge(steps: number): void {
    const read = this.#read();
    const from = read.ok ? read.mm : (this.mm() ?? 0);
    const stepMm = pairMm(this.step(), this.units());
    const next = Math.min(this.maxMm(), Math.max(this.minMm(), roundToStep(from + steps * stepMm, this.units(), this.step())));
    this.changed.emit(next);
  }

  #say(mm: number): string {
    return formatLengthUnit(mm, this.units(), this.step());
  }

  #sentence(code: string, rest: string): string | null {
    if (code === 'empty') return this.optional() ? null : 'Write a length.';
    if (code === 'zero-denominator') return 'A fraction cannot be over nought.';
    return `“${rest}” is not a length. Try ${this.units() === 'inch' ? '23 1/2 or 597 mm' : '597 or 23 1/2"'}.`;
  }
}
