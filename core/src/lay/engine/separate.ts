import { ALONG, type Arrangement, type Effort, type Pull } from './arrangement';

/** How weights change: after each round those of overlapping pairs grow, the worst by the larger factor; other weights decay towards 1. */
export interface Heat {
  readonly least: number;
  readonly most: number;
  readonly back: number;
}

/** Moves pieces far: for boxes and strips it finds about the same lay in a fraction of the moves. */
export const HOT: Heat = { least: 1.2, most: 2, back: 0.9 };
/** Separates pieces that are nearly apart: for crooked pieces at a use that the hot setting never reaches. */
export const COOL: Heat = { least: 1.1, most: 1.1, back: 0.98 };

/** Rounds without improvement before giving up. */
const PATIENCE = 70;
/** An improvement reduces the overlap by at least this share. */
const BETTER = 0.98;

/** Directions of the pull, so that free room is gathered as well. */
const PULLS: readonly Pull[] = [ALONG, { x: -1, y: 0.1 }, { x: 0.1, y: 1 }, { x: 0.1, y: -1 }];
const CHANGE_PULL = 0.5;

/** A search among this many pieces counts as one move; among more pieces it takes longer and counts for more. */
const USUAL_PIECES = 60;

/** Counts down the searches for a place that are left. A count and not a clock, so that the same request gets the same answer. */
export class Budget {
  constructor(public left: number) {}

  /** Counts one search among a number of pieces. */
  spend(pieces: number): void {
    this.left -= Math.max(1, pieces / USUAL_PIECES);
  }
}

/** Shuffles in place (Fisher and Yates). */
function shuffle(list: number[], random: () => number): void {
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [list[i], list[j]] = [list[j] as number, list[i] as number];
  }
}

interface Overlap {
  readonly i: number;
  /** Another piece; indices beyond the pieces are blocked parts of panels. */
  readonly other: number;
  readonly cost: number;
}

function overlaps(all: Arrangement): Overlap[] {
  const found: Overlap[] = [];
  const n = all.bodies.length;
  for (let i = 0; i < n; i++) {
    for (let j = i + 1; j < n; j++) {
      const cost = all.overlap(i, j);
      if (cost > 0) found.push({ i, other: j, cost });
    }
    const cost = all.overlapBlocked(i);
    if (cost > 0) found.push({ i, other: n + (all.places[i]?.panel ?? 0), cost });
  }
  return found;
}

/** After a round: what overlaps weighs more, the rest less. */
function weigh(all: Arrangement, found: readonly Overlap[], heat: Heat): void {
  const n = all.bodies.length;
  const columns = n + all.panels.length;
  const heavy = new Set<number>();
  const worst = found.reduce((most, { cost }) => Math.max(most, cost), 0);
  for (const { i, other, cost } of found) {
    heavy.add(i * columns + other);
    all.weights.set(i, other, all.weights.of(i, other) * (heat.least + ((heat.most - heat.least) * cost) / worst));
  }
  for (let i = 0; i < n; i++) {
    for (let other = i + 1; other < columns; other++) {
      const weight = all.weights.of(i, other);
      if (weight > 1 && !heavy.has(i * columns + other)) all.weights.set(i, other, Math.max(1, weight * heat.back));
    }
  }
}

/**
 * Moves pieces apart by guided local search (Voudouris and Tsang 1999; on overlap: Umetani and others 2009). Each piece that overlaps moves to its place of least weighted overlap;
 * pairs that stay in conflict gain weight, so that they are parted at the cost of others. Yields after each round; returns whether all are apart.
 */
export function* separate(all: Arrangement, effort: Effort, heat: Heat, budget: Budget, random: () => number): Generator<void, boolean> {
  const panels = all.everyPanel;
  let least = Infinity;
  let patience = PATIENCE;
  let pull = ALONG;
  all.weights.reset();
  for (;;) {
    const found = overlaps(all);
    if (found.length === 0) return true;
    const total = found.reduce((sum, { cost }) => sum + cost, 0);
    if (total < least * BETTER) {
      least = total;
      patience = PATIENCE;
    } else if (--patience <= 0) return false;
    if (budget.left <= 0) return false;
    weigh(all, found, heat);
    if (random() < CHANGE_PULL) pull = PULLS[Math.floor(random() * PULLS.length)] as Pull;
    const order = [...new Set(found.flatMap(({ i, other }) => [i, other]))].filter((i) => i < all.bodies.length && !all.fixed[i]);
    if (order.length === 0) return false;
    shuffle(order, random);
    for (const i of order) {
      const cost = all.costOf(i);
      if (cost <= 0) continue;
      const better = all.bestPlace(i, effort, cost, panels, { pull });
      budget.spend(all.bodies.length);
      if (better) all.places[i] = better;
    }
    yield;
  }
}
