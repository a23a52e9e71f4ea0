import { createHash } from 'node:crypto';

/** Wrong guesses are remembered so long, ms. */
const WITHIN_MS = 60_000;
/** So many wrong guesses from one address cost nothing; each further one doubles what the next has to wait, up to the most, ms. */
const FREE = 3;
const FIRST_MS = 250;
const MOST_MS = 8000;
/** From so many different wrong guesses on, from wherever, every guess waits this at least, ms. */
const MANY = 40;
const MANY_MS = 1000;
/** Guesses of one address that wait at once at most. */
const WAITING = 10;

interface Wrong {
  readonly at: number;
  readonly address: string;
  readonly guess: string;
}

/**
 * Slows guessing at the pass-phrase down and locks nobody out: each wrong guess makes the next one from its address wait longer, and very many from anywhere make all wait. A guess
 * that was wrong before counts once. Guesses of one address are tried one after the other.
 */
export class Guesses {
  #wrong: Wrong[] = [];
  readonly #lanes = new Map<string, { count: number; last: Promise<void> }>();

  constructor(
    private readonly now: () => number = Date.now,
    private readonly wait: (ms: number) => Promise<void> = (ms) => new Promise((resolve) => setTimeout(resolve, ms)),
  ) {}

  /** How long the next guess from an address has to wait, ms. */
  delay(address: string): number {
    this.#wrong = this.#wrong.filter(({ at }) => at > this.now() - WITHIN_MS);
    const own = this.#wrong.filter((one) => one.address === address).length;
    const slowed = own < FREE ? 0 : Math.min(MOST_MS, FIRST_MS * 2 ** (own - FREE));
    return this.#wrong.length >= MANY ? Math.max(MANY_MS, slowed) : slowed;
  }

  /** Notes a wrong guess. */
  wrong(address: string, guess: string): void {
    const known = createHash('sha256').update(guess).digest('hex');
    if (this.#wrong.some((one) => one.address === address && one.guess === known)) return;
    this.#wrong.push({ at: this.now(), address, guess: known });
  }

  /** Tries a guess in its turn, after its delay. Null where too many of this address wait already. */
  async inTurn<T>(address: string, work: () => Promise<T>): Promise<T | null> {
    const lane = this.#lanes.get(address) ?? { count: 0, last: Promise.resolve() };
    if (lane.count >= WAITING) return null;
    lane.count++;
    this.#lanes.set(address, lane);
    const before = lane.last;
    let done = (): void => undefined;
    lane.last = new Promise((resolve) => (done = resolve));
    try {
      await before;
      const ms = this.delay(address);
      if (ms > 0) await this.wait(ms);
      return await work();
    } finally {
      done();
      if (--lane.count === 0) this.#lanes.delete(address);
    }
  }
}
