import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { lotBefore, lotThatCame, withLot } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { TextField } from '../shared/controls/text-field';
import { today } from '../shared/words/days';

/** Which lot of a foam, or batch of a cloth, came for the job, and which one a trial cushion or an earlier set was cut from. */
@Component({
  selector: 'yl-lay-lot',
  imports: [TextField],
  template: `
    <yl-text
      class="few"
      [label]="of() === 'foam' ? 'Lot that came' : 'Batch that came'"
      [maxLength]="60"
      [value]="came()"
      (valueChange)="note($event, false)"
    />
    <yl-text class="few" label="Trial or earlier set" [maxLength]="60" [value]="before()" (valueChange)="note($event, true)" />
  `,
  host: { class: 'contents' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LayLot {
  /** The material, by id. */
  readonly material = input.required<string>();
  readonly of = input.required<'foam' | 'cloth'>();
  readonly #store = inject(JobStore);
  protected readonly came = computed(() => lotThatCame(this.#store.job() ?? {}, this.material()) ?? '');
  protected readonly before = computed(() => lotBefore(this.#store.job() ?? {}, this.material()) ?? '');

  protected note(lot: string, before: boolean): void {
    this.#store.edit(before ? 'Lot before' : 'Lot that came', (job) => withLot(job, this.material(), lot.trim(), before ? { before } : { day: today() }));
  }
}
