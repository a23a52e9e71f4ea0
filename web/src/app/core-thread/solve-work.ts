import { checkedLay, layEngine, runTrial, solve, stillGood, type LayRequest, type TrialAsk } from '@yardland/core';
import type { FromSolving, Solving, ToSolve, Trying } from './messages';

/** Progress is told at most this often; a stop is heard as often. */
const TELL_EVERY_MS = 80;

/** Lets messages in between stretches of work. By a message of its own: timers are slowed down in pages that are not looked at. */
const breathe = (): Promise<void> =>
  new Promise((resolve) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });

type Wish = 'go on' | 'stop' | 'cancel';

/** What a solve worker does with its messages; `tell` posts to the page. Kept apart from the worker itself so that it can be run in a test. */
export class SolveWork {
  readonly #running = new Map<string, Wish>();

  constructor(private readonly tell: (message: FromSolving) => void) {}

  async hear(message: ToSolve): Promise<void> {
    const { id } = message;
    if (message.kind !== 'solve' && message.kind !== 'trial') {
      if (this.#running.has(id)) this.#running.set(id, message.kind);
      return;
    }
    this.#running.set(id, 'go on');
    // A cancel that came in the same breath is heard before any work is begun.
    await breathe();
    try {
      await (message.kind === 'solve' ? this.#solve(message) : this.#try(id, message.ask));
    } catch (error) {
      this.#say(id, { kind: 'failed', message: String(error) });
    } finally {
      this.#running.delete(id);
    }
  }

  #say(id: string, says: Solving | Trying): void {
    if (this.#running.get(id) !== 'cancel') this.tell({ id, says });
  }

  #wish(id: string): Wish {
    return this.#running.get(id) ?? 'cancel';
  }

  async #solve({ id, request, kept }: Extract<ToSolve, { kind: 'solve' }>): Promise<void> {
    if (this.#wish(id) === 'cancel') return;
    if (request.format !== 'yardland/lay-request@2') {
      this.#say(id, { kind: 'done', answer: solve(request) });
      return;
    }
    const good = kept ? stillGood(request, kept) : null;
    if (good) this.#say(id, { kind: 'done', answer: good });
    else await this.#lay(id, request);
  }

  async #lay(id: string, request: LayRequest): Promise<void> {
    const run = layEngine(request);
    let told = performance.now();
    for (let step = run.next(); ; step = run.next()) {
      if (step.done) {
        this.#say(id, { kind: 'done', answer: checkedLay(request, step.value) });
        return;
      }
      if (performance.now() - told < TELL_EVERY_MS) continue;
      this.#say(id, { kind: 'progress', progress: step.value });
      await breathe();
      told = performance.now();
      const wish = this.#wish(id);
      if (wish === 'stop') this.#say(id, { kind: 'done', answer: checkedLay(request, { ...step.value.best, stopped: true }) });
      if (wish !== 'go on') return;
    }
  }

  async #try(id: string, ask: TrialAsk): Promise<void> {
    const run = runTrial(ask);
    let told = performance.now();
    while (this.#wish(id) === 'go on') {
      const step = run.next();
      if (step.done) {
        this.#say(id, { kind: 'tried', answer: step.value });
        return;
      }
      if (performance.now() - told < TELL_EVERY_MS) continue;
      this.#say(id, { kind: 'trying', progress: step.value });
      await breathe();
      told = performance.now();
    }
  }
}
