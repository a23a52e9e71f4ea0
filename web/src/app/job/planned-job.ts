import { computed, inject, signal, type Signal } from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import type { Job, Plan, Shop, Solved } from '@yardland/core';
import { distinctUntilChanged, filter, merge, Subject } from 'rxjs';
import { CoreThread, type PlanAsk, type Planned } from '../core-thread/core-thread';
import { Messages } from '../shared/messages';

/** What messages about plans are about. */
const ABOUT_PLAN = 'plan';
/** Answers kept beside those that the plan uses: undo may need them again. */
const SPARE_ANSWERS = 60;

interface Ask extends PlanAsk {
  readonly id: string;
}

/** What a plan is made of; null until the job is open. */
interface PlanParts {
  readonly id: Signal<string | null>;
  readonly job: Signal<Job | null>;
  readonly shop: Signal<Shop | null>;
}

const hashesOf = ({ cushions, lays }: Plan): string[] => [
  ...lays.map(({ hash }) => hash),
  ...cushions.flatMap(({ crown, longCore }) => [crown?.hash ?? '', longCore?.hash ?? '']),
];

/** The plan of the job in hand, made in a thread of its own, with the answers of long computations that it uses. Created in an injection context. */
export class PlannedJob {
  readonly #thread = inject(CoreThread);
  readonly #messages = inject(Messages);
  readonly #solved = signal<Solved>({});
  readonly #plan = signal<Plan | null>(null);
  readonly #ask: Signal<Ask | null>;
  /** Requests made right after a change, before the page is drawn, so that the thread works meanwhile. */
  readonly #askedNow = new Subject<Ask | null>();
  /** The last plan asked for could not be made, and that stands on the screen. */
  #unplanned = false;

  /** The newest plan there is: of the document as it is now, or, for a moment after a change, as it was before. */
  readonly plan = this.#plan.asReadonly();

  constructor(parts: PlanParts) {
    this.#ask = computed(() => {
      const [id, job, shop] = [parts.id(), parts.job(), parts.shop()];
      return id !== null && job && shop ? { id, job, shop, solved: this.#solved() } : null;
    });
    const asks$ = merge(toObservable(this.#ask), this.#askedNow).pipe(
      filter((ask) => ask !== null),
      distinctUntilChanged(),
    );
    this.#thread
      .plans(asks$)
      .pipe(takeUntilDestroyed())
      // A plan that was asked for before another job was opened is ignored.
      .subscribe((planned) => planned.ask.id === parts.id() && this.#take(planned));
  }

  /** Asks for a plan of the job as it is now, before the page is drawn. */
  askNow(): void {
    this.#askedNow.next(this.#ask());
  }

  /** Forgets the plan: another job is opened. */
  forget(): void {
    this.#plan.set(null);
  }

  /** Adds the answer of a long computation; the oldest answers that the plan does not use are dropped. */
  addAnswer(hash: string, answer: Solved[string]): void {
    const plan = this.#plan();
    const used = new Set(plan ? hashesOf(plan) : []);
    this.#solved.update((solved) => {
      const all = Object.entries({ ...solved, [hash]: answer });
      const spare = all.filter(([name]) => name !== hash && !used.has(name));
      const gone = new Set(spare.slice(0, Math.max(0, spare.length - SPARE_ANSWERS)).map(([name]) => name));
      return Object.fromEntries(all.filter(([name]) => !gone.has(name)));
    });
  }

  #take(planned: Planned<Ask>): void {
    if ('plan' in planned) {
      this.#plan.set(planned.plan);
      if (this.#unplanned) this.#messages.settle(ABOUT_PLAN);
    } else
      this.#messages.warn(ABOUT_PLAN, `This could not be worked out: ${planned.failed}. What you changed is kept; change something, and it is tried again.`);
    this.#unplanned = 'failed' in planned;
  }
}
