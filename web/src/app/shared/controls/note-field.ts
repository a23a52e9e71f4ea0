import { CdkTextareaAutosize } from '@angular/cdk/text-field';
import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
import type { FormValueControl } from '@angular/forms/signals';
import { Label, TextArea } from '../ui/ui';

let nextId = 0;

/** Several lines of words; the box grows with them. Given when it is left. A control of a signal form, or by itself. */
@Component({
  selector: 'yl-note',
  imports: [CdkTextareaAutosize, Label, TextArea],
  template: `
    <label ylLabel [attr.for]="id">{{ label() }}</label>
    <textarea
      #box
      [id]="id"
      ylInput
      cdkTextareaAutosize
      [cdkAutosizeMinRows]="2"
      [cdkAutosizeMaxRows]="12"
      [attr.maxlength]="maxLength() ?? null"
      [value]="value()"
      (change)="value.set(box.value.trim())"
      (blur)="touched.set(true)"
    ></textarea>
  `,
  host: { class: 'field block min-w-0' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class NoteField implements FormValueControl<string> {
  readonly label = input.required<string>();
  readonly value = model.required<string>();
  readonly touched = model(false);
  readonly maxLength = input<number | undefined>(5000);
  protected readonly id = `note-${++nextId}`;
}
