import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { fittingZips, formatLengthUnit, zipOpeningOf, type SalvagedZip, type SayIn } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/controls/choice';
import { Tickbox } from '../shared/controls/tickbox';
import { Words } from '../shared/ui/ui';

const zipWords = ({ lengthMm, colour, kind, from }: SalvagedZip, { units, step }: SayIn): string =>
  `${formatLengthUnit(lengthMm, units, step)} ${colour}${kind === 'closed-end' ? ', closed ends' : ''}${from ? `, ${from}` : ''}`;

/** The salvaged zip that the cover is made for; those that are long enough for this cushion, to be set aside for the job; which goes where is worked out over all its cushions. */
@Component({
  selector: 'yl-zips-tray',
  imports: [Choice, Tickbox, Words],
  template: `
    @if (zips().length) {
      <yl-choice class="wide" label="Opening made for" [options]="zips()" [value]="madeFor()" (picked)="makeFor($event)" />
    }
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
      .filter(({ id }) => id !== this.madeFor())
      .map((zip) => ({ id: zip.id, taken: job?.zips?.includes(zip.id) ?? false, words: zipWords(zip, inWords) }));
  });

  /** Every zip that a cover can be made for: those in the shop, and the one it is made for although it has left the shop. */
  protected readonly zips = computed(() => {
    const inWords = this.store.inWords();
    const [own, there] = [this.store.cushion()?.madeForZip, this.store.shop()?.document.zips ?? []];
    const all = own && !there.some(({ id }) => id === own.id) ? [own, ...there] : there;
    const zipped = own !== undefined || (this.store.cushionPlan()?.cover?.closings.some(({ kind }) => kind === 'zip') ?? false);
    return zipped && all.length ? [{ value: '', name: 'new tape, or any that fits' }, ...all.map((zip) => ({ value: zip.id, name: zipWords(zip, inWords) }))] : [];
  });
  protected readonly madeFor = computed(() => this.store.cushion()?.madeForZip?.id ?? '');

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

  /** Makes the cover for a salvaged zip, or for none. */
  protected makeFor(id: string): void {
    const zip = this.store.shop()?.document.zips.find((one) => one.id === id);
    if (zip) this.store.editCushion('Cover made for a salvaged zip', (cushion) => ({ ...cushion, madeForZip: zip }));
    else if (!id) this.store.editCushion('Opening by the choices', ({ madeForZip: _let, ...cushion }) => cushion);
  }

  protected take(id: string, on: boolean): void {
    this.store.edit(on ? 'Salvaged zip set aside' : 'Salvaged zip put back', ({ zips = [], ...job }) => {
      const next = on ? [...zips, id] : zips.filter((one) => one !== id);
      return next.length ? { ...job, zips: next } : job;
    });
  }
}
