import type { Budget } from './budget';
import { SAME_MM, type Lattice } from './lattice';
import { snapshot, type Layout, type Snapshot } from './layout';
import type { Mover } from './mover';
import { exchanged, layInOrder } from './one-by-one';

/** Orders in which the matched pieces are laid in one round at most, and share of the moves that are left it may take. */
const TRIES = 60;
const SHARE = 0.2;
/** Phases whose lays are gone on with. */
const KEPT = 4;
/** Lines for each turn of a piece on stripes; otherwise it is looked for at every place that matches. */
const LINES = 8;
/** Probability that a try goes on with the best one's phase. */
const SAME_PHASE = 0.5;

interface Tried {
  readonly order: readonly number[];
  readonly at: Snapshot;
  /** Sum of the reaches of the pieces, mm. */
  readonly sumMm: number;
}

const byLength = (a: Tried, b: Tried): number => (Math.abs(a.at.length - b.at.length) > SAME_MM ? a.at.length - b.at.length : a.sumMm - b.sumMm);

/**
 * Lays the pieces that have to match a pattern alone, in ever new orders and with several phases of the pattern: often they decide the length, and the rest finds room round them. Without
 * a known phase those are tried at which some matched piece lies flush with the squared end.
 */
export class MatchedFirst {
  /** The pieces that may be moved and need not match. */
  readonly rest: readonly number[];
  readonly #matched: readonly number[];
  readonly #phases: readonly number[];
  readonly #bests = new Map<number, Tried>();
  #best: Tried | null = null;
  #begun = 0;

  constructor(
    private readonly all: Layout,
    lattice: Lattice,
    knownPhaseMm: number | null,
    private readonly mover: Mover,
  ) {
    const area = (i: number): number => all.areaMm2[i] as number;
    this.#matched = all
      .movable()
      .filter((i) => all.isMatched(i))
      .sort((a, b) => area(b) - area(a) || a - b);
    this.rest = all.movable().filter((i) => !all.isMatched(i));
    this.#phases = knownPhaseMm === null ? lattice.flushPhases((s) => all.originsOf(s)) : [knownPhaseMm];
  }

  /** Goes on for a round. Yields after each piece; returns the shortest lay of the matched pieces with each of the best phases, the shortest first. */
  *round(budget: Budget): Generator<void, Snapshot[]> {
    const { all, mover } = this;
    const least = budget.left * (1 - SHARE);
    const most = this.#matched.length > 1 ? TRIES : this.#phases.length;
    for (let tries = 0; tries < most && (!this.#best || budget.left > least); tries++) {
      const order = this.#next();
      yield* layInOrder(all, mover, order, { lines: LINES, absent: this.rest }, budget);
      const tried: Tried = { order, at: snapshot(all), sumMm: order.reduce((sum, i) => sum + all.reachOf(i), 0) };
      const known = this.#bests.get(all.phase);
      if (!known || byLength(tried, known) < 0) this.#bests.set(all.phase, tried);
      if (!this.#best || byLength(tried, this.#best) < 0) this.#best = tried;
    }
    return [...this.#bests.values()]
      .sort(byLength)
      .slice(0, KEPT)
      .map(({ at }) => at);
  }

  /** Sets the phase of the next try and returns its order: each phase begins with the largest piece, later tries change the best order of their phase. */
  #next(): readonly number[] {
    const { random } = this.mover;
    const begins = this.#begun < this.#phases.length;
    const some = begins ? this.#phases[this.#begun] : this.#phases[Math.floor(random() * this.#phases.length)];
    this.all.phase = !begins && this.#best && random() < SAME_PHASE ? this.#best.at.phase : (some ?? 0);
    if (!begins) return exchanged(this.#bests.get(this.all.phase)?.order ?? this.#matched, random);
    this.#begun++;
    return this.#matched;
  }
}
