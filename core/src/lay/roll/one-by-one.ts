import type { Budget } from './budget';
import type { Layout } from './layout';
import type { Mover } from './mover';

/** More pieces than this stay where they are first laid: each round of moving would look at every pair. */
export const MOST_MOVED = 400;
/** Orders tried one by one (this number ÷ number of pieces), and lines searched for each turn. */
export const ORDERS_FOR = 120;
export const ORDER_LINES = 16;
/** Probability that an order is changed by moving a piece to the front instead of exchanging two. */
const TO_FRONT = 0.4;
/** Length of the strip while its end is not known, mm. */
const NO_END_MM = 1e7;

/** How pieces are laid one by one: lines searched for each turn, and pieces that are neither laid nor in the way. */
export interface OneByOne {
  readonly lines: number;
  readonly absent?: readonly number[];
}

/** Lays the movable pieces of an order from scratch, each where it reaches least far along and is clear of those before. The length becomes that of what lies. Yields after each. */
export function* layInOrder(all: Layout, mover: Mover, order: readonly number[], { lines, absent = [] }: OneByOne, budget: Budget): Generator<void, void> {
  const waiting = new Uint8Array(all.n);
  for (const i of [...order, ...absent]) waiting[i] = 1;
  [mover.pullX, mover.pullY] = [1, 0];
  let end = 0;
  for (let i = 0; i < all.n; i++) if (!waiting[i]) end = Math.max(end, all.reachOf(i));
  for (const i of order) {
    budget.left--;
    const turns = all.shapesOf(i);
    const along = (s: number): number => (all.maxX[s] as number) - (all.minX[s] as number);
    // Never further than beyond all other pieces, on a pattern by one repeat more.
    all.length = end + Math.max(...turns.map(along)) + all.gap + 1 + (all.lattice?.repeatMm ?? 0);
    if (mover.find(i, { lines, farMm: all.width }, { cost: 0, reachMm: Infinity }, { waiting })) {
      all.x[i] = mover.x;
      all.y[i] = mover.y;
      all.s[i] = mover.s;
    } else {
      const s = turns.find((one) => (all.maxY[one] as number) - (all.minY[one] as number) <= all.width + 1e-6) ?? (turns[0] as number);
      all.s[i] = s;
      all.x[i] = end + all.gap - (all.minX[s] as number);
      all.y[i] = -(all.minY[s] as number);
      matchBeyond(all, i);
    }
    end = Math.max(end, all.reachOf(i));
    waiting[i] = 0;
    all.length = NO_END_MM;
    yield;
  }
  all.length = end;
}

/** Moves a matched piece that lies beyond all others to the first place from there that is on the pattern. */
function matchBeyond(all: Layout, i: number): void {
  const { lattice } = all;
  if (!lattice) return;
  const from = (all.x[i] as number) + (all.minX[all.s[i] as number] as number);
  for (const s of all.shapesOf(i)) {
    const at = lattice.lines(s, all.phase, { ...all.originsOf(s), lowX: from - (all.minX[s] as number), highX: NO_END_MM }, from)[0];
    if (!at) continue;
    [all.x[i], all.y[i], all.s[i]] = [at.x, at.y, s];
    return;
  }
}

/** Orders in which pieces are laid: by area, by the longer side, by the shorter side; after that one of these, slightly shuffled. */
export function* orders(all: Layout, random: () => number): Generator<number[], never> {
  const pieces = all.movable();
  const sides = (i: number): readonly [number, number] => {
    const s = all.firstShape[i] as number;
    return [(all.maxX[s] as number) - (all.minX[s] as number), (all.maxY[s] as number) - (all.minY[s] as number)];
  };
  const area = (i: number): number => all.areaMm2[i] as number;
  const longer = (i: number): number => Math.max(...sides(i));
  const by = (key: (i: number) => number): number[] => [...pieces].sort((a, b) => key(b) - key(a) || a - b);
  yield by(area);
  yield by(longer);
  yield by((i) => Math.min(...sides(i)));
  for (;;) {
    // Copies of one item stay together.
    const noise = new Map<number, number>();
    for (const i of pieces) if (!noise.has(all.firstShape[i] as number)) noise.set(all.firstShape[i] as number, Math.exp(1.2 * (random() - 0.5)));
    const key = random() < 0.5 ? longer : (i: number) => Math.sqrt(area(i));
    yield by((i) => key(i) * (noise.get(all.firstShape[i] as number) as number));
  }
}

/** An order with two of its pieces exchanged, or with one moved to the front; of fewer than two pieces the same. */
export function exchanged<T>(order: readonly T[], random: () => number): T[] {
  const next = [...order];
  if (next.length < 2) return next;
  const [a, b] = [Math.floor(random() * next.length), Math.floor(random() * next.length)];
  if (random() < TO_FRONT) next.unshift(...next.splice(a, 1));
  else [next[a], next[b]] = [next[b] as T, next[a] as T];
  return next;
}
