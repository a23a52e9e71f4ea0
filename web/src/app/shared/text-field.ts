import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { InputBox, Label } from './ui/ui';

let nextId = 0;

/** A line of words to type; given when the field is left or Enter is pressed. */
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
      [value]="value()"
      [attr.maxlength]="most()"
      [attr.inputmode]="mode()"
      [attr.placeholder]="placeholder() || null"
      (change)="changed.emit(box.value.trim())"
    />
  `,
  host: { class: 'field block min-w-0' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TextField {
  readonly label = input.required<string>();
  readonly value = input.required<string>();
  readonly most = input(120);
  readonly mode = input<'text' | 'decimal'>('text');
  readonly placeholder = input('');
  /** The label is read out but not shown. */
  readonly bare = input(false);
  readonly changed = output<string>();
  protected readonly id = `text-${++nextId}`;
}
