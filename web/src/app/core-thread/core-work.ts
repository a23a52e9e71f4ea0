import type { FromCore, ToCore } from './messages';
import { PlanWork } from './plan-work';
import { SolveWork } from './solve-work';

/** What a core worker does with its messages; `tell` posts to the page. Kept apart from the worker itself so that it can be run in a test. */
export class CoreWork {
  readonly #planning = new PlanWork();
  readonly #solving: SolveWork;

  constructor(private readonly tell: (message: FromCore) => void) {
    this.#solving = new SolveWork(tell);
  }

  hear(message: ToCore): void {
    if (message.kind === 'plan' || message.kind === 'read') this.tell(this.#planning.answer(message));
    else void this.#solving.hear(message);
  }
}
