import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { leftOvers, remnantsFor, remnantWords, type PlannedLay } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Messages } from '../shared/messages';
import { newId } from '../shared/new-id';
import { ShopEditor } from '../shared/shop-editor';
import { Tickbox } from '../shared/tickbox';
import { Button } from '../shared/ui/ui';

/** Remnants and hides of the lay's material, to be set aside for the job, and what the job leaves over, to be kept in one press. */
@Component({
  selector: 'yl-lay-remnants',
  imports: [Tickbox, Button],
  template: `
    @if (rows().length) {
      <fieldset class="ticks flex flex-[1_1_100%] flex-wrap gap-x-4">
        <legend class="text-label text-ink-soft">Kept in the stockroom: cut from these first</legend>
        @for (row of rows(); track row.id) {
          <yl-tickbox [checked]="row.taken" (checkedChange)="take(row.id, $event)">{{ row.words }}</yl-tickbox>
        }
      </fieldset>
    }
    @if (left().length) {
      <button type="button" ylButton class="self-center" (click)="keep()">Keep what is left ({{ left().length }})</button>
    }
  `,
  host: { class: 'contents' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LayRemnants {
  readonly lay = input.required<PlannedLay>();
  readonly #store = inject(JobStore);
  readonly #edit = inject(ShopEditor);
  readonly #messages = inject(Messages);

  protected readonly rows = computed(() => {
    const [shop, aside] = [this.#store.shop(), new Set(this.#store.job()?.remnants)];
    if (!shop) return [];
    return remnantsFor(this.lay().subject, shop).map((one) => ({
      id: one.id,
      taken: aside.has(one.id),
      words: remnantWords(one, shop, this.#store.inWords()),
    }));
  });

  /** What the whole job leaves over and has not kept yet. */
  protected readonly left = computed(() => {
    const plan = this.#store.plan();
    if (!plan || plan.wanted.length) return [];
    const same = (a: number, b: number): boolean => Math.abs(a - b) < 0.5;
    const stock = plan.shop.document.remnants;
    return leftOvers(plan).filter(
      (one) => !stock.some((kept) => kept.note === one.note && same(kept.lengthMm, one.lengthMm) && same(kept.widthMm, one.widthMm)),
    );
  });

  protected take(id: string, on: boolean): void {
    this.#store.edit(on ? 'Remnant set aside' : 'Remnant put back', ({ remnants = [], ...job }) => {
      const next = on ? [...remnants, id] : remnants.filter((one) => one !== id);
      return next.length ? { ...job, remnants: next } : job;
    });
  }

  /** Everything that is left goes on the shelf at once; it can be taken back. */
  protected keep(): void {
    const [left, shop, inWords] = [this.left(), this.#store.shop(), this.#store.inWords()];
    if (!shop) return;
    const ids: string[] = [];
    this.#edit.change(
      (document) => {
        const taken = new Set(document.remnants.map(({ id }) => id));
        ids.length = 0;
        const kept = left.map((one) => {
          const id = newId(`${'grade' in one ? one.grade : one.cloth} left`, taken);
          taken.add(id);
          ids.push(id);
          return { ...one, id };
        });
        return { ...document, remnants: [...document.remnants, ...kept] };
      },
      () => {
        const words = left.map((one) => remnantWords(one, shop, inWords)).join('; ');
        this.#messages.tell('left over', `On the shelf: ${words}.`, () => {
          this.#edit.change((now) => ({ ...now, remnants: now.remnants.filter(({ id }) => !ids.includes(id)) }));
        });
      },
    );
  }
}
