import type { Budget } from './budget';
import { drawIn, stepsThrough, type DrawingIn } from './draw-in';
import type { Lattice } from './lattice';
import { restore, snapshot, type Snapshot } from './layout';
import { MatchedFirst } from './matched-first';
import type { Tool } from './mover';
import { layInOrder, MOST_MOVED, ORDER_LINES, orders, ORDERS_FOR } from './one-by-one';

/** First steps of drawing in by turns, as a share of the length. */
const STEPS = [0.01, 0.02] as const;
/** Every so many cycles a round goes to the matched pieces alone, and in another of them the best lay with another phase is drawn in, if it is not longer than this multiple. */
const EVERY = 3;
const WORTH_OTHER_PHASE = 1.05;

/** What is laid on a pattern: the layout with fine shapes, with rough ones if they have fewer parts; the lower bound on the length, mm. */
export interface OnPatternAsk extends Pick<DrawingIn, 'leastMm'> {
  readonly fine: Tool;
  readonly rough: Tool | null;
  readonly lattice: Lattice;
  /** Where along the roll a motif of the first row lies, if a held piece says so, mm. */
  readonly knownPhaseMm: number | null;
}

/** Lays pieces on a roll of which some have to match a pattern: holds the shortest lay with each phase of the pattern. */
class OnPattern {
  readonly #tool: Tool;
  readonly #matched: MatchedFirst;
  #phases: readonly number[] = [];
  readonly #byPhase = new Map<number, Snapshot>();
  #best: Snapshot | null = null;
  /** Lays of the matched pieces that were gone on with. */
  readonly #used = new Set<Snapshot>();

  constructor(
    private readonly ask: OnPatternAsk,
    private readonly budget: Budget,
  ) {
    this.#tool = ask.rough ?? ask.fine;
    this.#matched = new MatchedFirst(this.#tool.all, ask.lattice, ask.knownPhaseMm, this.#tool.mover);
  }

  /** Searches until the moves are used up. Yields each lay that is the shortest with its phase, and null in between. */
  *run(): Generator<Snapshot | null, void> {
    yield* this.#matchedFirst();
    yield* this.#inOrders();
    const { fine, rough } = this.ask;
    if (fine.all.n > MOST_MOVED) return;
    for (let cycle = 0; this.#open; cycle++) {
      // A lay that cannot get shorter takes no moves.
      this.budget.left--;
      if (cycle % EVERY === EVERY - 1) yield* this.#matchedFirst();
      const { all, mover } = rough && cycle % 2 === 0 ? rough : fine;
      const start = this.#startOf(cycle);
      // A lay made from scratch while drawing in has the same phase.
      all.phase = start.phase;
      const ask = { leastMm: this.#leastMm(start.phase), firstStep: STEPS[cycle % STEPS.length] as number, cycle, mayBeginAnew: true };
      for (const lay of stepsThrough(drawIn(all, mover, start, this.budget, ask))) yield this.#kept(lay);
    }
  }

  get #open(): boolean {
    return this.budget.left > 0 && this.#best !== null && this.#best.length > Math.min(...this.#phases.map((phase) => this.#leastMm(phase))) + 1e-3;
  }

  /** Lower bound on the length with a phase of the pattern, mm. */
  #leastMm(phase: number): number {
    const { all } = this.ask.fine;
    all.phase = phase;
    return Math.max(this.ask.leastMm, all.leastMm());
  }

  /** The lay if it is the shortest with its phase, otherwise null. */
  #kept(lay: Snapshot): Snapshot | null {
    if (lay.length >= (this.#byPhase.get(lay.phase)?.length ?? Infinity) - 1e-6) return null;
    this.#byPhase.set(lay.phase, lay);
    if (!this.#best || lay.length < this.#best.length) this.#best = lay;
    return lay;
  }

  /** Lays the matched pieces alone for a round, and the rest round those that became shorter. */
  *#matchedFirst(): Generator<Snapshot | null, void> {
    const { all, mover } = this.#tool;
    const starts = yield* silent(this.#matched.round(this.budget));
    this.#phases = starts.map(({ phase }) => phase);
    for (const start of starts) {
      if (this.#used.has(start) || (this.#best && start.length >= this.#best.length)) continue;
      this.#used.add(start);
      const order = orders(all, mover.random).next().value;
      restore(all, start);
      const rest = order.filter((i) => this.#matched.rest.includes(i));
      yield* silent(layInOrder(all, mover, rest, { lines: ORDER_LINES }, this.budget));
      yield this.#kept(snapshot(all));
    }
  }

  /** Lays all pieces one by one in several orders, each with the most promising phases. */
  *#inOrders(): Generator<Snapshot | null, void> {
    const { all, mover } = this.#tool;
    let tried = 0;
    for (const order of orders(all, mover.random))
      for (const phase of this.#phases) {
        if (tried >= this.#phases.length - 1 + ORDERS_FOR / all.n || this.budget.left <= all.n) return;
        tried++;
        all.phase = phase;
        yield* silent(layInOrder(all, mover, order, { lines: ORDER_LINES }, this.budget));
        yield this.#kept(snapshot(all));
      }
  }

  /** What is drawn in: the best lay, in some cycles the best with another phase. */
  #startOf(cycle: number): Snapshot {
    const best = this.#best as Snapshot;
    const others = [...this.#byPhase.values()].filter(({ phase, length }) => phase !== best.phase && length < best.length * WORTH_OTHER_PHASE);
    return (cycle % EVERY === 1 ? others[Math.floor(cycle / EVERY) % others.length] : null) ?? best;
  }
}

/** A run of which only the pauses count. */
function* silent<T>(run: Generator<void, T>): Generator<null, T> {
  for (let step = run.next(); ; step = run.next()) {
    if (step.done) return step.value;
    yield null;
  }
}

/** Lays pieces on a roll of which some have to match a pattern. Yields each lay that is the shortest with its phase of the pattern, and null in between. */
export function layOnPattern(ask: OnPatternAsk, budget: Budget): Generator<Snapshot | null, void> {
  return new OnPattern(ask, budget).run();
}
