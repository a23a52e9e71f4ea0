import { DIALOG_DATA, DialogRef } from '@angular/cdk/dialog';
import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { clothWords, withCushionCloth } from '@yardland/core';
import type { JobStore } from '../job/job-store';
import { Choice } from '../shared/controls/choice';
import { Tickbox } from '../shared/controls/tickbox';
import { Button, DialogFoot, DialogFrame, Words } from '../shared/ui/ui';
import { JOB_CLOTH, mainClothOptions, useOf } from './cloth-options';

/** Some or all of a job's cushions put in one cloth, as one step of undo. */
@Component({
  selector: 'yl-cushion-cloths-dialog',
  imports: [DialogFrame, DialogFoot, Button, Words, Choice, Tickbox],
  template: `
    <div ylDialog>
      <h2 id="cloths-title">Cushions in one cloth</h2>
      <p ylWords>Boxing, bottom and welt go with it, unless they have a cloth of their own.</p>
      <yl-choice label="All of these in" [options]="options()" [value]="cloth()" (picked)="cloth.set($event)" />
      <ul class="my-2 grid gap-x-6 grid-cols-[repeat(auto-fill,minmax(15rem,1fr))]">
        @for (row of rows(); track row.index) {
          <li>
            <yl-tickbox [checked]="ticked().includes(row.index)" (checkedChange)="tick(row.index, $event)"
              >{{ row.name }} <span class="block text-fine font-normal text-ink-soft">{{ row.cloth }}</span></yl-tickbox
            >
          </li>
        }
      </ul>
      <div ylDialogFoot>
        <button type="button" ylButton="strong" [disabled]="!ticked().length" (click)="take()">{{ takeWords() }}</button>
        <button type="button" ylButton (click)="close()">Leave them as they are</button>
      </div>
    </div>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CushionClothsDialog {
  readonly #store = inject<JobStore>(DIALOG_DATA);
  readonly #dialog = inject(DialogRef);
  protected readonly options = computed(() => mainClothOptions(this.#store.job(), this.#store.shop()));
  protected readonly cloth = signal(this.#store.cushion()?.cloth?.material ?? JOB_CLOTH);
  protected readonly rows = computed(() => {
    const [job, shop] = [this.#store.job(), this.#store.shop()];
    if (!job || !shop) return [];
    return job.cushions.map((cushion, index) => ({ index, name: cushion.name, cloth: `now in ${clothWords('main', job, cushion, shop)}` }));
  });
  /** All of them, to begin with. */
  protected readonly ticked = linkedSignal<readonly number[]>(() => this.rows().map(({ index }) => index));
  protected readonly takeWords = computed(() => {
    const count = this.ticked().length;
    return count === this.rows().length ? 'Put all of them in it' : `Put ${count === 1 ? 'this one' : `these ${count}`} in it`;
  });

  protected tick(index: number, on: boolean): void {
    this.ticked.update((before) => (on ? [...before, index] : before.filter((one) => one !== index)));
  }

  protected take(): void {
    const [indexes, shop, id] = [this.ticked(), this.#store.shop(), this.cloth()];
    this.#store.edit(indexes.length === 1 ? 'Cloth of a cushion' : `Cloth of ${indexes.length} cushions`, (job) =>
      withCushionCloth(job, indexes, useOf(id, job, shop)),
    );
    this.close();
  }

  protected close(): void {
    this.#dialog.close();
  }
}
