import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { JobStore } from '../job/job-store';
import { Dialogs } from '../shared/dialogs';
import { Button } from '../shared/ui/ui';
import { RoundLook } from './round-look';
import { RoundOfJob } from './round-of-job';
import { RoundView } from './round-view';

/** The cushion in hand in the round beside a plan: small, turned by hand, and large by itself on a press. */
@Component({
  selector: 'yl-round-aside',
  imports: [RoundView, Button],
  template: `
    @if (round.subject(); as subject) {
      <yl-round-view class="h-48" [subject]="subject" [name]="round.name()" [says]="round.says()" />
      <p class="mb-1 text-fine text-ink-soft" aria-hidden="true">{{ round.says() }}</p>
      <button type="button" ylButton class="mb-2 w-full" (click)="large()">Large, cut open, sat on</button>
    }
  `,
  providers: [RoundLook, RoundOfJob],
  host: { class: 'block' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RoundAside {
  readonly #store = inject(JobStore);
  readonly #dialogs = inject(Dialogs);
  protected readonly round = inject(RoundOfJob);

  protected large(): void {
    void this.#dialogs.open(async () => (await import('./round-dialog')).RoundDialog, { data: this.#store, labelledBy: 'round-title' });
  }
}
