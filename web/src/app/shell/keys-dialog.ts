import { DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Settings } from './settings';

const KEYS: readonly (readonly [string, string])[] = [
  ['1 … 8', 'go to a station'],
  ['[  ]', 'cushion before, cushion after'],
  ['/', 'quick line'],
  ['u', 'inches or millimetres'],
  ['p', 'print the ticket'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['?', 'this list'],
  ['↑  ↓', 'in a size: a step more or less'],
  ['+  −  0', 'on the table: zoom, fit'],
  ['arrows', 'on the table: move the view'],
  ['Tab', 'from piece to piece and size to size'],
];

/** The list of keys. */
@Component({
  selector: 'yl-keys-dialog',
  template: `
    <div class="dialog">
      <h2 id="keys-title">Keys</h2>
      <dl class="keys">
        @for (key of keys; track key[0]) {
          <div>
            <dt>
              <kbd>{{ key[0] }}</kbd>
            </dt>
            <dd>{{ key[1] }}</dd>
          </div>
        }
      </dl>
      <label class="tickbox"
        ><input type="checkbox" [checked]="settings.keys()" (change)="settings.keys.set(!settings.keys())" /> Single letters and digits act as keys</label
      >
      <div class="dialog-foot"><button type="button" class="button strong" (click)="close()">Close</button></div>
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
