import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
import { Label } from '../shared/ui/ui';

let nextId = 1;

/** A share between nothing and all, set by sliding. */
@Component({
  selector: 'yl-slide',
  imports: [Label],
  template: `
    <label ylLabel [attr.for]="id">{{ label() }}</label>
    <input
      #box
      class="min-h-11 w-full accent-chalk"
      type="range"
      min="0"
      max="1"
      step="0.005"
      [id]="id"
      [value]="share()"
      [attr.aria-valuetext]="says()"
      (input)="share.set(box.valueAsNumber)"
    />
  `,
  host: { class: 'block min-w-36 flex-[1_1_150px]' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Slide {
  readonly label = input.required<string>();
  readonly share = model.required<number>();
  /** Where it stands, in words. */
  readonly says = input('');
  protected readonly id = `slide-${nextId++}`;
}
