import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { toObservable, toSignal } from '@angular/core/rxjs-interop';
import { cheapestWelt, formatRun, isBiasItem, type LayCompared, type PlannedLay } from '@yardland/core';
import { debounceTime, distinctUntilChanged, map, of, startWith, switchMap } from 'rxjs';
import { JobStore } from '../job/job-store';
import { SolvePool } from '../job/solving/solve-pool';
import { Button, Words } from '../shared/ui/ui';
import { knownLays } from '../job/solving/known-lays';
import { BIAS_WORDS } from './way-words';

/** The lays stand still for so long before others are tried, ms. */
const STILL_MS = 1200;

/** A way to cut the welt for which less cloth is bought, once the lays of the job are known: tried by itself, each way really laid. */
@Component({
  selector: 'yl-lay-proposal',
  imports: [Button, Words],
  template: `
    @if (words(); as words) {
      <p ylWords class="self-center" role="status" data-part="proposal">{{ words }} <button type="button" ylButton (click)="take()">Cut it so</button></p>
    }
  `,
  host: { class: 'contents' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LayProposal {
  readonly lay = input.required<PlannedLay>();
  readonly #store = inject(JobStore);
  readonly #pool = inject(SolvePool);

  /** What is to be tried: a cloth with strips on the bias, laid to the end, and nothing else to work out. */
  readonly #ask = computed(() => {
    const [{ subject, request, answer, recutOf }, plan] = [this.lay(), this.#store.plan()];
    const biased = request.items.some(({ id }) => isBiasItem(id));
    return plan && subject.kind === 'cloth' && biased && answer && recutOf === null && plan.wanted.length === 0
      ? { job: plan.job, use: subject.use, shop: plan.shop.document, known: knownLays(plan) }
      : null;
  });
  readonly #compared = toSignal(
    toObservable(this.#ask).pipe(
      distinctUntilChanged((a, b) => a?.job === b?.job && a?.shop === b?.shop && JSON.stringify(a?.use) === JSON.stringify(b?.use)),
      switchMap((ask) =>
        of(ask).pipe(
          debounceTime(STILL_MS),
          switchMap((still) =>
            still
              ? this.#pool
                  .try({ format: 'yardland/lay-compare-ask@1', ...still, only: 'welt' })
                  .pipe(map((says) => (says.kind === 'tried' && says.answer.format === 'yardland/lay-compare-answer@1' ? says.answer.compared : [])))
              : of([]),
          ),
          startWith<readonly LayCompared[]>([]),
        ),
      ),
    ),
    { initialValue: [] as readonly LayCompared[] },
  );
  readonly #best = computed(() => cheapestWelt(this.#compared()));

  protected readonly words = computed(() => {
    const [best, [now]] = [this.#best(), this.#compared()];
    if (!best || !now || best.buyMm === null || now.buyMm === null) return '';
    const way = best.way.kind === 'bias' ? BIAS_WORDS[best.way.way] : 'Welt cut straight';
    const joins = best.joins - now.joins;
    const more = joins === 0 ? 'as many joins' : `${Math.abs(joins)} ${Math.abs(joins) === 1 ? 'join' : 'joins'} ${joins > 0 ? 'more' : 'fewer'}`;
    return `${way}: ${formatRun(now.buyMm - best.buyMm, this.#store.units())} less to buy, ${more} in the welt.`;
  });

  /** One step of undo. */
  protected take(): void {
    const job = this.#best()?.job;
    if (job) this.#store.edit('Welt cut otherwise', () => job);
  }
}
