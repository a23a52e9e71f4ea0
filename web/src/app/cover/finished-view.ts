import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { constructionOf } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { RoundOfJob } from '../round/round-of-job';
import { RoundTray } from '../round/round-tray';
import { RoundView } from '../round/round-view';
import { TrayPart, Words } from '../shared/ui/ui';

/** The cushion in hand, finished and closed, in the round, as large as the table. */
@Component({
  selector: 'yl-finished-view',
  imports: [RoundView],
  template: `
    @if (round.subject(); as subject) {
      <yl-round-view class="h-full w-full" [subject]="subject" [name]="round.name()" [says]="round.says()" [sittings]="round.sittings()" />
      <p class="pointer-events-none absolute bottom-2 left-4 rounded-md bg-calico/85 px-2 py-0.5 text-note text-ink-soft" aria-hidden="true">
        {{ round.says() }}
      </p>
    }
  `,
  host: { class: 'relative block min-h-0 [grid-area:table]' },
  providers: [RoundOfJob],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FinishedView {
  protected readonly round = inject(RoundOfJob);
}

/** What there is to say of the finished cover, and how it is looked at. */
@Component({
  selector: 'yl-finished-facts',
  imports: [Words, RoundTray],
  template: `
    @if (round.subject(); as subject) {
      <yl-round-tray [one]="subject.one" [sittings]="round.sittings()" [inWords]="round.inWords()" />
    }
    <p ylWords class="basis-full">{{ words() }}</p>
  `,
  hostDirectives: [TrayPart],
  providers: [RoundOfJob],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class FinishedFacts {
  readonly #store = inject(JobStore);
  protected readonly round = inject(RoundOfJob);
  protected readonly words = computed(() => {
    const choices = this.#store.cushion()?.construction;
    if (!choices) return '';
    const { zip, washable, edge, hard } = constructionOf(choices).traits(choices);
    return `Edge: ${edge}. ${zip ? `Zip ${zip}.` : 'No zip.'} ${washable ? 'Comes off to be washed.' : 'Does not come off to be washed.'} Hard about it: ${hard}`;
  });
}
