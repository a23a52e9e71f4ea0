import type { Budget } from './budget';
import { restore, snapshot, type Layout } from './layout';
import type { Effort, Mover } from './mover';

/** Lines for each turn of a piece that overlaps, and their searched length in widths of the roll; longer ones are slower and find no more. */
const LINES = 4;
const WIDTHS = 0.2;
/** After a round, weights of overlapping pairs grow, the worst by the larger factor; other weights decay towards 1. */
const LEAST = 1.05;
const MOST = 1.2;
const BACK = 0.98;
/** An improvement reduces the overlap by at least this share. */
const BETTER = 0.98;
/** Probability that the pull changes before a round. */
const CHANGE_PULL = 0.5;

/** Directions of the pull, chosen at random, so that free room is gathered as well. */
const PULLS: readonly (readonly [x: number, y: number])[] = [
  [1, 0],
  [-1, 0.1],
  [0.1, 1],
  [0.1, -1],
];

/** When to give up: rounds without improvement before a restart from the best, and the number of restarts. */
export interface Patience {
  readonly rounds: number;
  readonly strikes: number;
}

interface Pairs {
  readonly first: number[];
  readonly second: number[];
  readonly cost: number[];
  readonly total: number;
  readonly worst: number;
}

function overlapping(all: Layout): Pairs {
  const [first, second, cost]: [number[], number[], number[]] = [[], [], []];
  let [total, worst] = [0, 0];
  for (let i = 0; i < all.n; i++)
    for (let j = i + 1; j < all.n; j++) {
      const one = all.overlap(i, j);
      if (one <= 0) continue;
      first.push(i);
      second.push(j);
      cost.push(one);
      total += one;
      worst = Math.max(worst, one);
    }
  return { first, second, cost, total, worst };
}

function weigh({ weights, n }: Layout, { first, second, cost, worst }: Pairs): void {
  for (let k = 0; k < n * n; k++) {
    const weight = weights[k] as number;
    if (weight > 1) weights[k] = Math.max(1, weight * BACK);
  }
  cost.forEach((one, p) => {
    const [i, j] = [first[p] as number, second[p] as number];
    const more = LEAST + ((MOST - LEAST) * one) / worst;
    weights[i * n + j] = weights[j * n + i] = Math.max(((weights[i * n + j] as number) / BACK) * more, LEAST);
  });
}

/** Shuffles in place (Fisher and Yates). */
export function shuffle<T>(list: T[], random: () => number): void {
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [list[i], list[j]] = [list[j] as T, list[i] as T];
  }
}

/**
 * Moves pieces apart by guided local search (Voudouris and Tsang 1999; on overlap: Umetani and others 2009). Each piece that overlaps moves to its place of least weighted overlap; pairs
 * that stay in conflict gain weight, so that they are parted at the cost of others. Yields after each round. Returns the overlap that is left: 0 when all are apart, otherwise the
 * layout with the least overlap has been restored.
 */
export function* separate(all: Layout, mover: Mover, budget: Budget, { rounds, strikes }: Patience): Generator<void, number> {
  const { random } = mover;
  const effort: Effort = { lines: LINES, farMm: WIDTHS * all.width };
  all.weights.fill(1);
  let least = Infinity;
  let best = snapshot(all);
  let [idle, struck, strikeFrom] = [0, 0, Infinity];
  for (;;) {
    const pairs = overlapping(all);
    const { total } = pairs;
    if (total === 0) return 0;
    if (total < least) {
      if (total < least * BETTER) idle = 0;
      least = total;
      best = snapshot(all);
    } else idle++;
    const over = budget.left <= 0;
    if (over || idle > rounds) {
      idle = 0;
      struck = least < strikeFrom * BETTER ? 0 : struck + 1;
      strikeFrom = least;
      restore(all, best);
      if (over || struck >= strikes) return least;
      continue;
    }
    weigh(all, pairs);
    const order = [...new Set([...pairs.first, ...pairs.second])].filter((i) => !all.fixed[i]);
    if (order.length === 0) return least;
    shuffle(order, random);
    if (random() < CHANGE_PULL) [mover.pullX, mover.pullY] = PULLS[Math.floor(random() * PULLS.length)] as readonly [number, number];
    for (const i of order) {
      const cost = all.costOf(i);
      if (cost <= 0) continue;
      budget.left--;
      if (!mover.find(i, effort, { cost, reachMm: Infinity })) continue;
      all.x[i] = mover.x;
      all.y[i] = mover.y;
      all.s[i] = mover.s;
    }
    yield;
  }
}
