import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { Piscina } from 'piscina';
import { Refusal } from '../http/refusal';
import type * as tasks from './tasks';

/** Work that waits for a thread at most; more is refused and asked for again later. */
const QUEUE = 32;
/** Asked again after so many seconds when the queue is full. */
const RETRY_AFTER_S = 10;

export interface WorkersOptions {
  /** A task that takes longer is ended, ms. */
  readonly limitMs?: number;
  readonly queue?: number;
}

/** Long computing in worker threads, started when first needed: each within a time limit, ended when nobody waits for it any more. */
export class Workers {
  #pool: Piscina | null = null;
  /** Tasks asked for and not yet answered, running ones among them. */
  #open = 0;
  // One thread is left for the one that answers; but one job that takes long never holds up all others.
  readonly #most = Math.max(2, availableParallelism() - 1);
  readonly #limitMs: number;
  readonly #queue: number;

  constructor({ limitMs = 90_000, queue = QUEUE }: WorkersOptions = {}) {
    this.#limitMs = limitMs;
    this.#queue = queue;
  }

  ticket(task: tasks.TicketTask, left: AbortSignal): Promise<Uint8Array> {
    return this.#run('ticket', task, left);
  }

  cuttingList(task: Omit<tasks.TicketTask, 'index'>, left: AbortSignal): Promise<Uint8Array> {
    return this.#run('cuttingList', task, left);
  }

  labels(task: Parameters<typeof tasks.labels>[0], left: AbortSignal): Promise<tasks.Printed> {
    return this.#run('labels', task, left);
  }

  template(task: tasks.TemplateTask, left: AbortSignal): Promise<tasks.Printed> {
    return this.#run('template', task, left);
  }

  plan(task: tasks.InShop, left: AbortSignal): Promise<string> {
    return this.#run('wholePlan', task, left);
  }

  photograph(shot: number): Promise<Uint8Array> {
    return this.#run('photograph', shot, new AbortController().signal);
  }

  /** Ends what runs: nothing in a worker has to be finished for the shop's data to be whole. */
  async close(): Promise<void> {
    await this.#pool?.destroy();
  }

  /** Throws a Refusal with status 503 when the queue is full or the limit is reached. */
  async #run<Answer>(name: keyof typeof tasks, value: unknown, left: AbortSignal): Promise<Answer> {
    // Counted here: a pool whose threads are still starting takes any number.
    if (this.#open >= this.#most + this.#queue)
      throw new Refusal(503, { code: 'busy', path: '', message: 'So much is being worked out that this has to wait. Ask again in a moment.' }, RETRY_AFTER_S);
    const late = AbortSignal.timeout(this.#limitMs);
    this.#open++;
    try {
      return (await this.#threads().run(value, { name, signal: AbortSignal.any([late, left]) })) as Answer;
    } catch (error) {
      if (late.aborted)
        throw new Refusal(503, {
          code: 'took-too-long',
          path: '',
          message: `This takes longer than ${Math.round(this.#limitMs / 1000)} s and was ended. Ask for less at once: fewer cushions in the job, or lays that are not looked at ten times as long.`,
        });
      if (left.aborted) throw new Refusal(499, { code: 'left', path: '', message: 'Nobody waits for this any more.' });
      throw error;
    } finally {
      this.#open--;
    }
  }

  #threads(): Piscina {
    const here = import.meta.url;
    const source = here.endsWith('.ts');
    return (this.#pool ??= new Piscina({
      filename: fileURLToPath(new URL(source ? './tasks.ts' : './tasks.js', here)),
      execArgv: source ? ['--import', 'tsx'] : [],
      // Loaded as a thread starts; the others come from the same file.
      name: 'ticket',
      minThreads: 1,
      maxThreads: this.#most,
      idleTimeout: 30_000,
    }));
  }
}
