import { ChangeDetectionStrategy, Component, input, model } from '@angular/core';
import type { FormCheckboxControl } from '@angular/forms/signals';

/** A tick box with its words beside it. A control of a signal form, or by itself. */
@Component({
  selector: 'yl-tickbox',
  template: `
    <label class="gap-2 inline-flex items-center min-h-11 font-semibold cursor-pointer"
      ><input
        #box
        class="w-5.5 h-5.5 flex-none accent-chalk"
        type="checkbox"
        [checked]="checked()"
        [disabled]="disabled()"
        (change)="checked.set(box.checked)"
        (blur)="touched.set(true)" /><span><ng-content /></span
    ></label>
  `,
  host: { class: 'block' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Tickbox implements FormCheckboxControl {
  readonly checked = model(false);
  readonly touched = model(false);
  readonly disabled = input(false);
}
