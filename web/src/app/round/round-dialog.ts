import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { JobStore } from '../job/job-store';
import { Button, DialogFoot, DialogFrame } from '../shared/ui/ui';
import { RoundLook } from './round-look';
import { RoundOfJob } from './round-of-job';
import { RoundTray } from './round-tray';
import { RoundView } from './round-view';

/** The cushion in hand in the round, as large as the window. */
@Component({
  selector: 'yl-round-dialog',
  imports: [DialogFrame, DialogFoot, Button, RoundView, RoundTray],
  template: `
    <div ylDialog="widest">
      <h2 id="round-title">{{ round.name() }}</h2>
      @if (round.subject(); as subject) {
        <yl-round-view class="h-[54dvh]" [subject]="subject" [name]="round.name()" [says]="round.says()" [sittings]="round.sittings()" />
        <p class="text-note text-ink-soft">{{ round.says() }}</p>
        <div class="flex flex-wrap items-start gap-x-3.5 gap-y-1.5">
          <yl-round-tray [one]="subject.one" [sittings]="round.sittings()" [inWords]="round.inWords()" />
        </div>
      }
      <div ylDialogFoot><button type="button" ylButton="strong" (click)="close()">Done</button></div>
    </div>
  `,
  providers: [RoundLook, RoundOfJob, { provide: JobStore, useFactory: () => inject<JobStore>(DIALOG_DATA) }],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RoundDialog {
  readonly #dialog = inject<DialogRef<null>>(DialogRef);
  protected readonly round = inject(RoundOfJob);

  protected close(): void {
    this.#dialog.close(null);
  }
}
