import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { Button, DialogFoot, DialogFrame } from '../shared/ui/ui';
import type { Conflict } from './job-store';
import { differences } from './saving/differences';

/** Two windows changed one job: shows both and lets the person choose. */
@Component({
  selector: 'yl-conflict-dialog',
  imports: [DialogFrame, DialogFoot, Button],
  template: `
    <div ylDialog>
      <h2 id="conflict-title">This job was changed in another window</h2>
      <p>Nothing of either is lost yet. What differs:</p>
      <table
        class="w-full text-row [&_th]:py-1.5 [&_th]:pr-2.5 [&_th]:border-b [&_th]:border-dotted [&_th]:border-b-line-strong [&_th]:text-left [&_th]:align-top [&_td]:py-1.5 [&_td]:pr-2.5 [&_td]:border-b [&_td]:border-dotted [&_td]:border-b-line-strong [&_td]:text-left [&_td]:align-top"
      >
        <thead>
          <tr>
            <th scope="col">where</th>
            <th scope="col">the other window</th>
            <th scope="col">this window</th>
          </tr>
        </thead>
        <tbody>
          @for (row of rows; track row.path) {
            <tr>
              <th scope="row">{{ row.path }}</th>
              <td>{{ row.theirs }}</td>
              <td>{{ row.mine }}</td>
            </tr>
          }
        </tbody>
      </table>
      <div ylDialogFoot>
        <button type="button" ylButton (click)="close('theirs')">Take the other window’s</button>
        <button type="button" ylButton="strong" (click)="close('mine')">Keep this window’s</button>
      </div>
    </div>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ConflictDialog {
  readonly #dialog = inject<DialogRef<'mine' | 'theirs'>>(DialogRef);
  readonly #conflict = inject<Conflict>(DIALOG_DATA);
  protected readonly rows = differences(this.#conflict.theirs.job, this.#conflict.mine);

  protected close(keep: 'mine' | 'theirs'): void {
    this.#dialog.close(keep);
  }
}
