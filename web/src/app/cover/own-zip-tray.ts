import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/controls/choice';
import { zipWords } from './zip-words';

/** The salvaged zip that the cover is made for: its opening then follows from the zip, not from the choices. Nothing where there is no zip to choose. */
@Component({
  selector: 'yl-own-zip-tray',
  imports: [Choice],
  template: `
    @if (zips().length) {
      <yl-choice label="Opening made for" [options]="zips()" [value]="madeFor()" (picked)="makeFor($event)" />
    }
  `,
  host: { class: 'contents' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class OwnZipTray {
  readonly #store = inject(JobStore);

  /** Every zip of the shop, and the one it is made for although that has left the shop. */
  protected readonly zips = computed(() => {
    const inWords = this.#store.inWords();
    const [own, there] = [this.#store.cushion()?.madeForZip, this.#store.shop()?.document.zips ?? []];
    const all = own && !there.some(({ id }) => id === own.id) ? [own, ...there] : there;
    const zipped = own !== undefined || (this.#store.cushionPlan()?.cover?.closings.some(({ kind }) => kind === 'zip') ?? false);
    return zipped && all.length
      ? [{ value: '', name: 'new tape, or any that fits' }, ...all.map((zip) => ({ value: zip.id, name: zipWords(zip, inWords) }))]
      : [];
  });
  protected readonly madeFor = computed(() => this.#store.cushion()?.madeForZip?.id ?? '');

  /** Makes the cover for a salvaged zip, or for none. */
  protected makeFor(id: string): void {
    const zip = this.#store.shop()?.document.zips.find((one) => one.id === id);
    if (zip) this.#store.editCushion('Cover made for a salvaged zip', (cushion) => ({ ...cushion, madeForZip: zip }));
    else if (!id) this.#store.editCushion('Opening by the choices', ({ madeForZip: _let, ...cushion }) => cushion);
  }
}
