import { computed, inject, Injectable } from '@angular/core';
import { formatLengthUnit } from '@yardland/core';
import { roundWords, sittingsOf } from '@yardland/core/solid';
import { JobStore } from '../job/job-store';
import type { RoundSubject } from './round-view';

/** The cushion in hand as it is shown in the round: with its plan, so that its cloth lies on it as it was laid. */
@Injectable()
export class RoundOfJob {
  readonly #store = inject(JobStore);
  readonly inWords = this.#store.inWords;
  readonly name = computed(() => `${this.#store.cushion()?.name ?? ''}, finished`);
  /** Null while the cushion cannot be made. */
  readonly subject = computed((): RoundSubject | null => {
    const [one, job, shop, plan] = [this.#store.cushionPlan(), this.#store.job(), this.#store.shop(), this.#store.plan()];
    return one?.state === 'planned' && job && shop && plan ? { one, job, shop, laid: { plan, index: this.#store.cushionIndex() } } : null;
  });
  /** What is seen of it, in words. */
  readonly says = computed(() => {
    const { units, step } = this.inWords();
    const one = this.subject()?.one;
    return one ? roundWords(one, (mm) => formatLengthUnit(mm, units, step)) : '';
  });
  readonly sittings = computed(() => {
    const subject = this.subject();
    return subject ? sittingsOf(subject.one, subject.shop, this.#store.units()) : [];
  });
}
