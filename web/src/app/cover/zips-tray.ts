import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { fittingZips, formatLengthUnit, zipOpeningOf } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Tickbox } from '../shared/controls/tickbox';
import { Words } from '../shared/ui/ui';
import { zipWords } from './zip-words';

/** Salvaged zips that are long enough for this cushion, to be set aside for the job; which goes where is worked out over all its cushions. */
@Component({
  selector: 'yl-zips-tray',
  imports: [Tickbox, Words],
  template: `
    @if (rows().length) {
      <fieldset class="ticks flex flex-[1_1_100%] flex-wrap gap-x-4">
        <legend class="text-label text-ink-soft">Salvaged zips that fit, nearest longer first</legend>
        @for (row of rows(); track row.id) {
          <yl-tickbox [checked]="row.taken" (checkedChange)="take(row.id, $event)">{{ row.words }}</yl-tickbox>
        }
      </fieldset>
      @if (goes()) {
        <p ylWords role="status">{{ goes() }}</p>
      }
    }
  `,
  host: { class: 'contents' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ZipsTray {
  protected readonly store = inject(JobStore);
  protected readonly rows = computed(() => {
    const [one, shop, job, inWords] = [this.store.cushionPlan(), this.store.shop(), this.store.job(), this.store.inWords()];
    const openingMm = one ? zipOpeningOf(one) : null;
    if (!shop || openingMm === null) return [];
    return fittingZips(openingMm, shop)
      .filter(({ id }) => id !== this.store.cushion()?.madeForZip?.id)
      .map((zip) => ({ id: zip.id, taken: job?.zips?.includes(zip.id) ?? false, words: zipWords(zip, inWords) }));
  });

  /** Where the zips set aside go. */
  protected readonly goes = computed(() => {
    const [plan, { units, step }] = [this.store.plan(), this.store.inWords()];
    const index = this.store.cushionIndex();
    const uses = (plan?.salvaged ?? []).filter(({ cushion }) => cushion === index);
    const set = plan?.job.zips?.length ?? 0;
    if (!set) return '';
    const here = uses.map(({ zip }) => formatLengthUnit(zip.lengthMm, units, step)).join(', ');
    return `${set} set aside for the job. ${uses.length ? `Into this cushion ${uses.length === 1 ? 'goes' : 'go'} ${here}.` : 'None goes into this cushion: others need them more.'}`;
  });

  protected take(id: string, on: boolean): void {
    this.store.edit(on ? 'Salvaged zip set aside' : 'Salvaged zip put back', ({ zips = [], ...job }) => {
      const next = on ? [...zips, id] : zips.filter((one) => one !== id);
      return next.length ? { ...job, zips: next } : job;
    });
  }
}
