import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import type { Conflict } from './job-store';
import { differences } from './differences';

/** Two windows changed one job: shows both and lets the person choose. */
@Component({
  selector: 'yl-conflict-dialog',
  template: `
    <div class="dialog">
      <h2 id="conflict-title">This job was changed in another window</h2>
      <p>Nothing of either is lost yet. What differs:</p>
      <table class="differences">
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
      <div class="dialog-foot">
        <button type="button" class="button" (click)="close('theirs')">Take the other window’s</button>
        <button type="button" class="button strong" (click)="close('mine')">Keep this window’s</button>
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
