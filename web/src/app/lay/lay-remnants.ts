import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { leftOvers, remnantsFor, remnantWords, type PlannedLay } from '@yardland/core';
import { catchError, filter, of, switchMap, take } from 'rxjs';
import { JobStore } from '../job/job-store';
import { JobsApi } from '../job/saving/jobs-api';
import { Messages } from '../shared/messages';
import { newId } from '../shared/saving/new-id';
import { ShopEditor } from '../shared/saving/shop-editor';
import { Tickbox } from '../shared/controls/tickbox';
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
          <yl-tickbox [checked]="row.taken" (checkedChange)="take(row, $event)"
            >{{ row.words }}
            @if (row.others) {
              <span [class.text-warn]="row.taken" class="text-ink-soft">· set aside for {{ row.others }}</span>
            }
          </yl-tickbox>
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

  readonly #api = inject(JobsApi);
  readonly #kept = computed(() => {
    const shop = this.#store.shop();
    return shop ? remnantsFor(this.lay().subject, shop) : [];
  });
  /** What other jobs have set aside: asked for once, and only where there is something to set aside; nothing while the server is away. */
  readonly #held = toSignal(
    toObservable(this.#kept).pipe(
      filter((kept) => kept.length > 0),
      take(1),
      switchMap(() => this.#api.heldRemnants()),
      catchError(() => of([])),
    ),
    { initialValue: [] },
  );

  protected readonly rows = computed(() => {
    const [shop, aside] = [this.#store.shop(), new Set(this.#store.job()?.remnants)];
    if (!shop) return [];
    return this.#kept().map((one) => ({
      id: one.id,
      taken: aside.has(one.id),
      words: remnantWords(one, shop, this.#store.inWords()),
      others: this.#othersWith(one.id),
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

  /** The other jobs that have set a remnant aside, by name. */
  #othersWith(id: string): string {
    const here = this.#store.head()?.id;
    return this.#held()
      .filter(({ remnant, job }) => remnant === id && job !== here)
      .map(({ name }) => name)
      .join(', ');
  }

  protected take({ id, words, others }: { readonly id: string; readonly words: string; readonly others: string }, on: boolean): void {
    if (on && others) this.#messages.warn('remnant', `The ${words} is set aside for ${others} too: it can be cut once only.`);
    else this.#messages.settle('remnant');
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
