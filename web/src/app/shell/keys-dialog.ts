import { DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Tickbox } from '../shared/controls/tickbox';
import { Button, DialogFoot, DialogFrame } from '../shared/ui/ui';
import { Settings } from './settings';

const KEYS: readonly (readonly [string, string])[] = [
  ['1 … 8', 'go to a station'],
  ['[  ]', 'cushion before, cushion after'],
  ['/', 'quick line'],
  ['u', 'inches or millimetres'],
  ['p', 'print the ticket'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['F1', 'in a field: explain the word over it'],
  ['?', 'this list'],
  ['↑  ↓', 'in a size: a step more or less'],
  ['+  −  0', 'on the table: zoom, fit'],
  ['arrows', 'on the table: move the view'],
  ['Tab', 'from piece to piece and size to size'],
];

/** The list of keys. */
@Component({
  selector: 'yl-keys-dialog',
  imports: [DialogFrame, Tickbox, DialogFoot, Button],
  template: `
    <div ylDialog>
      <h2 id="keys-title">Keys</h2>
      <dl
        class="grid grid-cols-[repeat(auto-fill,minmax(16.875rem,1fr))] gap-y-1 gap-x-5.5 [&_dt]:min-w-16.5 [&_div]:py-1 [&_div]:border-b [&_div]:border-dotted [&_div]:border-b-line-strong [&_div]:gap-2.5 [&_div]:flex [&_div]:items-baseline"
      >
        @for (key of keys; track key[0]) {
          <div>
            <dt>
              <kbd>{{ key[0] }}</kbd>
            </dt>
            <dd>{{ key[1] }}</dd>
          </div>
        }
      </dl>
      <yl-tickbox [checked]="settings.keys()" (checkedChange)="settings.keys.set(!settings.keys())">Single letters and digits act as keys</yl-tickbox>
      <div ylDialogFoot><button type="button" ylButton="strong" (click)="close()">Close</button></div>
    </div>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class KeysDialog {
  protected readonly settings = inject(Settings);
  readonly #dialog = inject(DialogRef);
  protected readonly keys = KEYS;

  protected close(): void {
    this.#dialog.close();
  }
}
