import { ChangeDetectionStrategy, Component, input, model, viewChild, type ElementRef } from '@angular/core';
import type { FormValueControl } from '@angular/forms/signals';
import { InputBox, Label } from '../ui/ui';

let nextId = 0;

/** A line of words to type; given when the field is left or Enter is pressed. A control of a signal form, or by itself. */
@Component({
  selector: 'yl-text',
  imports: [Label, InputBox],
  template: `
    <label ylLabel [class.sr-only]="bare()" [attr.for]="id">{{ label() }}</label>
    <input
      #box
      [id]="id"
      ylInput
      autocomplete="off"
      [type]="type()"
      [value]="value()"
      [attr.maxlength]="maxLength() ?? null"
      [attr.inputmode]="mode()"
      [attr.placeholder]="placeholder() || null"
      (change)="value.set(box.value.trim())"
      (blur)="touched.set(true)"
    />
  `,
  host: { class: 'field block min-w-0' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TextField implements FormValueControl<string> {
  readonly label = input.required<string>();
  readonly value = model.required<string>();
  readonly touched = model(false);
  readonly maxLength = input<number | undefined>(120);
  readonly type = input<'text' | 'date' | 'time'>('text');
  readonly mode = input<'text' | 'decimal'>('text');
  readonly placeholder = input('');
  /** The label is read out but not shown. */
  readonly bare = input(false);
  protected readonly id = `text-${++nextId}`;
  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');

  /** Empties it, also where what was typed a moment ago has not been drawn since: a binding that goes there and back is not written. */
  clear(): void {
    this.value.set('');
    this.box().nativeElement.value = '';
  }
}
