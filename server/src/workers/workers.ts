import { availableParallelism } from 'node:os';
import type { DayPaperAsk, Printed } from '@yardland/paper';
import { Piscina } from 'piscina';
import { Refusal } from '../http/refusal';
import type { ShopDocument } from '@yardland/core';
import type { DayTask } from './day-tasks';
import type * as tasks from './tasks';
import { tasksBeside, type ThreadTasks } from './threads';
import { Turns, type Expected } from './turns';

/** Work that waits for a thread at most, half of it for one asker; more is refused and asked for again later. */
const QUEUE = 32;
/** Asked again after so many seconds when the queue is full. */
const RETRY_AFTER_S = 10;

/** Who asks: a name of theirs, so that all get their turn, and the sign that they have gone. */
export interface Asker {
  readonly name: string;
  readonly left: AbortSignal;
  /** Is told how many wait before them, where they have to wait. */
  readonly waits?: (before: number) => void;
}

/** Work that took longer than this the last time is long, ms. */
const LONG_MS = 3000;
/** Long work that runs on beside what has a thread of its own. */
const OVERDUE = 2;
/** Of so much work it is remembered how long it took. */
const REMEMBERED = 500;

export interface WorkersOptions {
  /** A task that takes longer is ended, ms. */
  readonly limitMs?: number;
  readonly queue?: number;
  /** Where the threads find their tasks; beside this module where it is not said. */
  readonly tasks?: ThreadTasks;
}

/** Long computing in worker threads, started when first needed: askers in turn, each task within a time limit, ended when nobody waits for it any more. */
export class Workers {
  #pool: Piscina | null = null;
  /** Tasks asked for and not yet answered, running ones among them, by who asked. */
  readonly #open = new Map<string, number>();
  // One thread is left for the one that answers; but one job that takes long never holds up all others.
  readonly #most = Math.max(2, availableParallelism() - 1);
  readonly #turns = new Turns(this.#most, { longMs: LONG_MS, overdue: OVERDUE });
  /** How long work took the last time, ms, by what it is; the oldest let go. */
  readonly #took = new Map<string, number>();
  readonly #limitMs: number;
  readonly #queue: number;
  readonly #tasks: ThreadTasks;

  constructor({ limitMs = 90_000, queue = QUEUE, tasks = tasksBeside(import.meta.url, 'tasks') }: WorkersOptions = {}) {
    this.#limitMs = limitMs;
    this.#queue = queue;
    this.#tasks = tasks;
  }

  /** `about`: which job it is, so that what took long the last time is known; the same for `plan`. */
  print(task: tasks.PrintTask, asker: Asker, about = ''): Promise<tasks.Laid<Printed>> {
    return this.#run('print', task, asker, `${task.kind} ${about}`);
  }

  plan(task: tasks.InShop, asker: Asker, about = ''): Promise<tasks.Laid<string>> {
    return this.#run('wholePlan', task, asker, about);
  }

  times(task: Parameters<typeof tasks.times>[0], asker: Asker): Promise<ReturnType<typeof tasks.times>> {
    return this.#run('times', task, asker);
  }

  /** Anything that is read off the plan of the day. */
  day<Answer>(
    name: 'dayPlan' | 'dayPromise' | 'daySavers' | 'dayPaper',
    task: DayTask & Partial<{ job: string; ask: DayPaperAsk }>,
    asker: Asker,
  ): Promise<Answer> {
    return this.#run(name, task, asker, 'day');
  }

  practice<Answer>(name: 'practiceStart' | 'practiceOf', task: { readonly shop: ShopDocument; readonly job?: string }, asker: Asker): Promise<Answer> {
    return this.#run(name, task, asker);
  }

  photograph(shot: number | 'cloth'): Promise<Uint8Array> {
    return this.#run('photograph', { shot }, { name: 'camera', left: new AbortController().signal });
  }

  /** Ends what runs: nothing in a worker has to be finished for the shop's data to be whole. */
  async close(): Promise<void> {
    await this.#pool?.destroy();
  }

  /** Throws a Refusal with status 503 when the queue is full or the limit is reached. */
  async #run<Answer>(name: keyof typeof tasks, value: object, { name: who, left, waits }: Asker, about = ''): Promise<Answer> {
    // Counted here: a pool whose threads are still starting takes any number.
    const own = this.#open.get(who) ?? 0;
    const all = [...this.#open.values()].reduce((sum, count) => sum + count, 0);
    if (all >= this.#most + this.#queue || own >= this.#most + Math.ceil(this.#queue / 2))
      throw new Refusal(
        503,
        { code: 'busy', path: '', message: `So much is being worked out that this has to wait: ${all} are before it. Ask again in a moment.` },
        { retryAfterS: RETRY_AFTER_S },
      );
    this.#open.set(who, own + 1);
    const key = `${name} ${about}`;
    // The clock starts at one's turn: waiting is not counted.
    const late = new AbortController();
    try {
      if (all >= this.#most) waits?.(all);
      const turn = await this.#turns.take(who, left, this.#expected(key));
      const began = performance.now();
      const clock = setTimeout(() => late.abort(), this.#limitMs);
      try {
        return (await this.#threads().run(value, { name, signal: AbortSignal.any([late.signal, left]) })) as Answer;
      } finally {
        clearTimeout(clock);
        this.#remember(key, performance.now() - began);
        turn.give();
      }
    } catch (error) {
      if (late.signal.aborted)
        throw new Refusal(503, {
          code: 'took-too-long',
          path: '',
          message: `This takes longer than ${Math.round(this.#limitMs / 1000)} s and was ended. Ask for less at once: fewer cushions in the job, or lays that are not looked at ten times as long.`,
        });
      if (left.aborted) throw new Refusal(499, { code: 'left', path: '', message: 'Nobody waits for this any more.' });
      throw error;
    } finally {
      const rest = (this.#open.get(who) ?? 1) - 1;
      if (rest > 0) this.#open.set(who, rest);
      else this.#open.delete(who);
    }
  }

  #expected(key: string): Expected {
    const took = this.#took.get(key);
    return took === undefined ? 'unknown' : took > LONG_MS ? 'long' : 'short';
  }

  #remember(key: string, ms: number): void {
    this.#took.delete(key);
    this.#took.set(key, ms);
    if (this.#took.size > REMEMBERED) this.#took.delete(this.#took.keys().next().value ?? '');
  }

  #threads(): Piscina {
    return (this.#pool ??= new Piscina({
      ...this.#tasks,
      // Loaded as a thread starts; the others come from the same file.
      name: 'print',
      minThreads: 1,
      maxThreads: this.#most + OVERDUE,
      idleTimeout: 30_000,
    }));
  }
}
