import { inject, Injectable } from '@angular/core';
import type { Job, Plan, Shop, Solved } from '@yardland/core';
import { Observable, type Subscriber } from 'rxjs';
import { applied, deltaOf } from './delta';
import { MAKE_CORE_WORKER, startedWorker } from './make-core-worker';
import type { FromPlanning, ToPlan } from './messages';
import { SOURCE_DEPTH, type DerivedPlan, type PlanSource } from './plan-source';
import type { Answer, AnswerKind, Answers } from './read-answer';

/** What a plan is asked for: a job in its shop, with the answers that are known. */
export interface PlanAsk {
  readonly job: Job;
  readonly shop: Shop;
  readonly solved: Solved;
}

/** A plan with what it was asked for; or why it could not be made. */
export type Planned<A extends PlanAsk> = { readonly ask: A; readonly plan: Plan } | { readonly ask: A; readonly failed: string };

/** How long to wait for a plan, ms: many thousand times what one usually takes. */
const PLAN_MS = 10_000;

/** What was asked to be read, and who waits for it. */
interface Reading {
  readonly subscriber: Subscriber<Answer>;
  readonly answer: AnswerKind;
  readonly value: unknown;
}

/** How one plan came out. */
type Outcome = { readonly plan: Plan } | { readonly failed: string };

const wireSource = ({ job, shop, solved }: PlanAsk): PlanSource => ({ job, shop: shop.document, solved });

/**
 * The computing core in a thread of its own: it plans the job in hand, and checks what the server says against its contract, so that the page stays free to draw and
 * need not load the core. Only what has changed goes to and fro; what has not stays the same object.
 */
@Injectable({ providedIn: 'root' })
export class CoreThread {
  readonly #make = inject(MAKE_CORE_WORKER);
  #worker: Worker | null = null;
  #asked = 0;
  /** What the thread has of the job, and what it said of it last. */
  #sent: PlanSource | null = null;
  #plan: DerivedPlan | undefined;
  /** Plans asked for, in their order: they are answered in it. */
  #planning: { readonly ask: PlanAsk; readonly subscriber: Subscriber<Outcome> }[] = [];
  readonly #reading = new Map<string, Reading>();

  /** Starts the thread, so that it is ready when the first thing is asked; always true, as a route wants it. */
  warmUp(): true {
    this.#started();
    return true;
  }

  /** What the server said, checked against its contract; an error where it does not keep to it. */
  read<K extends AnswerKind>(answer: K, value: unknown): Observable<Answers[K]> {
    return new Observable<Answer>((subscriber) => {
      const id = String(++this.#asked);
      this.#reading.set(id, { subscriber, answer, value });
      this.#say({ kind: 'read', id, answer, value });
      return () => this.#reading.delete(id);
    }) as Observable<Answers[K]>;
  }

  /** Plans what comes, one at a time; of what comes meanwhile only the newest. */
  plans<A extends PlanAsk>(asks$: Observable<A>): Observable<Planned<A>> {
    return new Observable((subscriber) => {
      let busy = false;
      let next: A | null = null;
      const serve = (ask: A): void => {
        busy = true;
        subscriber.add(
          this.#planned(ask).subscribe((outcome) => {
            busy = false;
            subscriber.next({ ask, ...outcome });
            const waiting = next;
            next = null;
            if (waiting) serve(waiting);
          }),
        );
      };
      subscriber.add(asks$.subscribe((ask) => (busy ? (next = ask) : serve(ask))));
    });
  }

  #planned(ask: PlanAsk): Observable<Outcome> {
    return new Observable((subscriber) => {
      const source = wireSource(ask);
      const late = setTimeout(() => this.#cutOff(), PLAN_MS);
      subscriber.add(() => clearTimeout(late));
      this.#planning.push({ ask, subscriber });
      const delta = deltaOf(this.#sent, source, SOURCE_DEPTH);
      this.#sent = source;
      this.#say({ kind: 'plan', source: delta });
    });
  }

  #say(message: ToPlan): void {
    this.#started().postMessage(message);
  }

  #started(): Worker {
    return (this.#worker ??= startedWorker<FromPlanning>(
      this.#make,
      (message) => this.#hear(message),
      (why) => this.#died(why),
    ));
  }

  #hear(says: FromPlanning): void {
    if (says.kind === 'planned' || says.kind === 'unplanned') {
      this.#hearPlan(says);
      return;
    }
    const subscriber = this.#reading.get(says.id)?.subscriber;
    this.#reading.delete(says.id);
    if (says.kind === 'unreadable') subscriber?.error(new Error(says.message));
    else {
      subscriber?.next(says.value);
      subscriber?.complete();
    }
  }

  #hearPlan(says: Extract<FromPlanning, { kind: 'planned' | 'unplanned' }>): void {
    if (says.kind === 'unplanned') {
      // How much the thread took in of what it could not plan is not known: it gets the whole of the next.
      this.#sent = null;
      this.#answerPlan(() => ({ failed: says.message }));
      return;
    }
    try {
      const derived = applied(this.#plan, says.plan) as DerivedPlan;
      this.#plan = derived;
      this.#answerPlan(({ job, shop }) => ({ plan: { ...derived, job, shop } }));
    } catch (error) {
      this.#died(String(error));
    }
  }

  /** Answers whoever asked first. */
  #answerPlan(outcome: (ask: PlanAsk) => Outcome): void {
    const first = this.#planning.shift();
    first?.subscriber.next(outcome(first.ask));
    first?.subscriber.complete();
  }

  /** A plan that takes too long is given up and its thread terminated; other requests of that thread are sent to a new one. */
  #cutOff(): void {
    const reading = [...this.#reading];
    this.#reading.clear();
    this.#died(`Planning this job takes longer than ${PLAN_MS / 1000} s and was ended. The plan before it is shown; take some of it back, or make it smaller.`);
    for (const [id, one] of reading) {
      this.#reading.set(id, one);
      this.#say({ kind: 'read', id, answer: one.answer, value: one.value });
    }
  }

  /** Whoever waits is told; the next question starts a thread that knows nothing yet. */
  #died(message: string): void {
    this.#worker?.terminate();
    this.#worker = null;
    this.#sent = null;
    this.#plan = undefined;
    const [planning, reading] = [this.#planning, [...this.#reading.values()].map((one) => one.subscriber)];
    this.#planning = [];
    this.#reading.clear();
    for (const { subscriber } of planning) {
      subscriber.next({ failed: message });
      subscriber.complete();
    }
    for (const subscriber of reading) subscriber.error(new Error(message));
  }
}
