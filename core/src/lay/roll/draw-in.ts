import type { Budget } from './budget';
import { exchange, largePieces, pressTo, rearrange, shrink, stretch } from './kicks';
import { restore, snapshot, type Layout, type Snapshot } from './layout';
import type { Effort, Mover } from './mover';
import { layInOrder, orders } from './one-by-one';
import { separate } from './separate';

/** The smallest step, as a share of the length. */
const LAST_STEP = 0.0005;
/** Tries at one length before the step is halved; a success doubles it, up to the first step. */
const TRIES = 4;
/** Up to this use of the roll, places are found quickly. */
const EASILY_USED = 0.76;
/** The largest step, as a share of the length. */
const MOST_AT_ONCE = 0.1;
/** Rounds without less overlap that make a strike, and strikes that end a try; later cycles allow more. */
const ROUNDS = 50;
const STRIKES = 1;
/** Probability that the next smaller step begins at the best failed try, stretched; otherwise it begins at the best lay. */
const LET_OUT = 0.3;
/** Probability, from the second cycle on and with few pieces, that a first try begins at a lay made from scratch. */
const ANEW = 0.5;
const FEW = 40;
/** Probability that a failed try is kicked by turning or moving a stretch of the roll as one; otherwise large pieces are exchanged. */
const REARRANGE = 0.12;
/** Tries whose overlap differs by less than this share count as the same. */
const SAME = 1e-6;
const COMPACT_ROUNDS = 6;

/** Moves each piece to where it reaches less far along the roll, from the squared end on, until no piece can move. */
export function compact(all: Layout, mover: Mover, budget: Budget): void {
  const effort: Effort = { lines: 4, farMm: 0.75 * all.width };
  [mover.pullX, mover.pullY] = [1, 0];
  const pieces = all.movable();
  for (let round = 0; round < COMPACT_ROUNDS; round++) {
    let moved = false;
    pieces.sort((a, b) => all.reachOf(a) - all.reachOf(b));
    for (const i of pieces) {
      budget.left--;
      if (!mover.find(i, effort, { cost: 0, reachMm: all.reachOf(i) })) continue;
      all.x[i] = mover.x;
      all.y[i] = mover.y;
      all.s[i] = mover.s;
      moved = true;
    }
    if (!moved) return;
  }
}

/** How a roll is shortened. */
export interface DrawingIn {
  /** Lower bound on the length, mm. */
  readonly leastMm: number;
  /** The first step, as a share of the length. */
  readonly firstStep: number;
  /** How many times it was done before: later cycles try longer, and sometimes begin from scratch. */
  readonly cycle: number;
  readonly mayBeginAnew: boolean;
}

interface Failed {
  readonly overlap: number;
  readonly at: Snapshot;
}

const gauss = (random: () => number): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/**
 * Shortens the roll by a step, again and again; after some failures the step is halved, down to the smallest. A new try begins at a failed one with little overlap, after two large
 * pieces were exchanged or a stretch was turned; a smaller step begins at the failed try with the least overlap. `from` may overlap. Yields the best so far after each round.
 */
export function* drawIn(all: Layout, mover: Mover, from: Snapshot, budget: Budget, ask: DrawingIn): Generator<Snapshot, Snapshot> {
  const { random } = mover;
  const large = largePieces(all);
  const patience = { rounds: ROUNDS * Math.min(4, 1 + ask.cycle / 2), strikes: STRIKES };
  let best = from;
  let step = ask.firstStep;
  let failed: Failed[] = [];
  let tries = 0;
  while (budget.left > 0 && best.length > ask.leastMm + 1e-3) {
    if (tries === 0) {
      yield* begin(all, mover, { best, nearest: failed[0], targetMm: targetOf(all, best.length, step, ask.leastMm) }, budget, ask);
      failed = [];
    }
    const work = separate(all, mover, budget, patience);
    let round = work.next();
    for (; !round.done; round = work.next()) yield best;
    const overlap = round.value;
    if (overlap === 0) {
      compact(all, mover, budget);
      all.length = all.end();
      // When a fixed piece reaches furthest, the roll cannot get shorter.
      if (all.length >= best.length - 1e-6) return best;
      best = snapshot(all);
      [tries, failed] = [0, []];
      step = Math.min(ask.firstStep, 2 * step);
      yield best;
      continue;
    }
    const again = failed.some((one) => Math.abs(one.overlap - overlap) < SAME * overlap);
    if (!again) failed.push({ overlap, at: snapshot(all) });
    failed.sort((a, b) => a.overlap - b.overlap);
    if (++tries >= TRIES) {
      tries = 0;
      step /= 2;
      if (step < LAST_STEP) return best;
      continue;
    }
    const chosen = failed[Math.min(failed.length - 1, Math.floor(Math.abs(gauss(random)) * 0.25 * failed.length))] as Failed;
    restore(all, chosen.at);
    kick(all, large, again, random);
  }
  return best;
}

/** The next length to try: a step shorter, or much shorter at once while the lay is loose. */
function targetOf(all: Layout, lengthMm: number, step: number, leastMm: number): number {
  const easyMm = all.areaMm2.reduce((a, b) => a + b, 0) / (EASILY_USED * all.width);
  return Math.max(leastMm, Math.min(lengthMm * (1 - step), Math.max(easyMm, lengthMm * (1 - MOST_AT_ONCE))));
}

interface Beginning {
  readonly best: Snapshot;
  readonly nearest: Failed | undefined;
  readonly targetMm: number;
}

/** Sets the start of a try at a new length: a lay made from scratch, the best failed try stretched, or the best lay shrunk. */
function* begin(all: Layout, mover: Mover, { best, nearest, targetMm }: Beginning, budget: Budget, ask: DrawingIn): Generator<Snapshot, void> {
  const { random } = mover;
  if (ask.cycle > 0 && ask.mayBeginAnew && random() < ANEW * Math.min(1, FEW / all.n)) {
    for (const order of orders(all, random)) {
      if (random() < 0.6) continue;
      const laying = layInOrder(all, mover, order, { lines: 4 }, budget);
      for (let one = laying.next(); !one.done; one = laying.next()) yield best;
      break;
    }
    pressTo(all, targetMm);
  } else if (nearest && random() < LET_OUT) {
    restore(all, nearest.at);
    stretch(all, targetMm, random);
  } else {
    restore(all, best);
    shrink(all, targetMm, random);
  }
}

function kick(all: Layout, large: readonly number[], again: boolean, random: () => number): void {
  const way = random();
  if (way < REARRANGE) {
    rearrange(all, random);
    return;
  }
  // A try that ended like an earlier one needs a harder kick.
  for (let k = (way < 0.75 ? 1 : 2) + (again ? 2 : 0); k > 0; k--) exchange(all, large, random);
}

/** Every step of a run and what it returns. */
export function* stepsThrough<T>(run: Generator<T, T>): Generator<T, void> {
  for (let step = run.next(); ; step = run.next()) {
    yield step.value;
    if (step.done) return;
  }
}
