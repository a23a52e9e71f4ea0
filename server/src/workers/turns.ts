/** Something that was let in; given back when it is done. */
export interface Turn {
  readonly give: () => void;
}

/** What is known of the work that a turn is asked for: from the last time it was done. */
export type Expected = 'short' | 'long' | 'unknown';

interface Waiting {
  readonly expected: Expected;
  readonly comes: (turn: Turn) => void;
}

interface Running {
  readonly asker: string;
  /** It has taken long, and its place was given to others. */
  overdue: boolean;
}

export interface TurnsOptions {
  /** Work that runs longer than this gives its place to others while it runs on, ms. */
  readonly longMs?: number;
  /** So many may run on beside those that have a place. */
  readonly overdue?: number;
}

/**
 * Limits how many tasks run at once. The others wait in one queue for each asker, and the queues are served round-robin: whoever asks for much does not hold up those who ask for little.
 * With several places, the last free one is kept for short tasks and for askers who have none running. A task that turns out to be long gives its place to others and runs on.
 */
export class Turns {
  readonly #atOnce: number;
  readonly #longMs: number;
  readonly #overdue: number;
  readonly #running = new Set<Running>();
  /** Askers in the order of their turns. */
  readonly #lines = new Map<string, Waiting[]>();

  constructor(atOnce: number, { longMs = Infinity, overdue = 0 }: TurnsOptions = {}) {
    this.#atOnce = atOnce;
    this.#longMs = longMs;
    this.#overdue = overdue;
  }

  /** How many wait. */
  get waiting(): number {
    return [...this.#lines.values()].reduce((sum, line) => sum + line.length, 0);
  }

  /** Waits for a turn. Fails with the signal's reason when it is aborted before. */
  async take(asker: string, left: AbortSignal, expected: Expected = 'unknown'): Promise<Turn> {
    left.throwIfAborted();
    if (this.#mayRun(asker, expected)) return this.#run(asker);
    return new Promise<Turn>((resolve, reject) => {
      const goes = (): void => {
        this.#drop(asker, waiting);
        reject(left.reason as Error);
      };
      const waiting: Waiting = {
        expected,
        comes: (turn) => {
          left.removeEventListener('abort', goes);
          resolve(turn);
        },
      };
      left.addEventListener('abort', goes, { once: true });
      this.#lines.set(asker, [...(this.#lines.get(asker) ?? []), waiting]);
    });
  }

  #run(asker: string): Turn {
    const one: Running = { asker, overdue: false };
    this.#running.add(one);
    const late = Number.isFinite(this.#longMs) ? setTimeout(() => this.#giveWay(one), this.#longMs) : null;
    late?.unref();
    return {
      give: () => {
        if (late) clearTimeout(late);
        this.#running.delete(one);
        this.#next();
      },
    };
  }

  /** Work that takes long runs on beside the others, as long as not too many do. */
  #giveWay(one: Running): void {
    if ([...this.#running].filter(({ overdue }) => overdue).length >= this.#overdue) return;
    one.overdue = true;
    this.#next();
  }

  #mayRun(asker: string, expected: Expected): boolean {
    const placed = [...this.#running].filter(({ overdue }) => !overdue).length;
    if (placed >= this.#atOnce) return false;
    if (this.#atOnce === 1 || placed < this.#atOnce - 1 || expected === 'short') return true;
    return expected === 'unknown' && ![...this.#running].some((one) => one.asker === asker);
  }

  /** Lets in whoever may come, line after line. */
  #next(): void {
    for (const [asker, line] of [...this.#lines]) {
      const first = line.find(({ expected }) => this.#mayRun(asker, expected));
      if (!first) continue;
      this.#drop(asker, first);
      const rest = this.#lines.get(asker);
      if (rest) {
        // To the end: the others come first.
        this.#lines.delete(asker);
        this.#lines.set(asker, rest);
      }
      first.comes(this.#run(asker));
      this.#next();
      return;
    }
  }

  #drop(asker: string, waiting: Waiting): void {
    const line = (this.#lines.get(asker) ?? []).filter((one) => one !== waiting);
    if (line.length) this.#lines.set(asker, line);
    else this.#lines.delete(asker);
  }
}
