import { seededRandom } from '../kernel/random';
import { boundsOf, chainEnds } from './bounds';
import type { Model } from './model';
import { better, Board, decoded, WORTH_MOVING, type Cost } from './place';

/** Steps put in their places in a second of what is asked for, about what an ordinary machine does with four people: orders tried are so many fewer as there are more steps. */
const STEPS_PER_SECOND = 80_000;
const DAY = 24 * 60;
/** Small shops are tried through, up to so many steps. */
const MOST_EXACT = 9;
/** Places in orders looked at by the exact search for each second asked for. */
const PLACES_PER_SECOND = 60_000;
const LEAST_PLACES = 30_000;

interface Found {
  readonly board: Board;
  readonly cost: Cost;
}

/** What is left of a job after each task, minutes: the longest chain of work and waits behind it. */
function tails({ tasks }: Model): number[] {
  const behind: number[][] = tasks.map(() => []);
  for (const { index, after } of tasks) for (const before of after) behind[before]?.push(index);
  const tail = new Array<number>(tasks.length).fill(-1);
  const of = (index: number): number => {
    if ((tail[index] as number) >= 0) return tail[index] as number;
    const { minutes, waitMinutes } = (tasks[index] as Model['tasks'][number]).step;
    return (tail[index] = minutes + Math.max(0, ...(behind[index] ?? []).map((next) => waitMinutes + of(next))));
  };
  tasks.forEach((_, index) => of(index));
  return tail;
}

/** Tasks put by hand and all that they come after, in the order of their times: they are placed first, in every order that is tried. */
function putByHand({ tasks }: Model): number[] {
  const byHand = tasks.filter(({ step }) => step.person || step.notBefore).sort((a, b) => a.ready - b.ready || a.index - b.index);
  const first: number[] = [];
  const take = (index: number): void => {
    if (first.includes(index)) return;
    for (const before of tasks[index]?.after ?? []) take(before);
    first.push(index);
  };
  for (const { index } of byHand) take(index);
  return first;
}

/** Orders to begin with: by due day and slack, by due day alone, and by what is worst by weight. */
function firstOrders(model: Model): number[][] {
  const { tasks, jobs } = model;
  const tail = tails(model);
  const chain = chainEnds(model);
  const due = (index: number): number => jobs[(tasks[index] as Model['tasks'][number]).job]?.due ?? 0;
  const weight = (index: number): number => Math.max(0.01, jobs[(tasks[index] as Model['tasks'][number]).job]?.weight ?? 1);
  const by = (key: (index: number) => number): number[] =>
    tasks.map(({ index }) => index).sort((a, b) => key(a) - key(b) || (chain[a] ?? 0) - (chain[b] ?? 0) || a - b);
  return [by((i) => due(i) - (tail[i] ?? 0)), by(due), by((i) => (due(i) - (tail[i] ?? 0)) / weight(i)), by((i) => chain[i] ?? 0)];
}

/** An order of the tasks, and whose each is; null for whoever is free first. */
interface Start {
  readonly order: readonly number[];
  readonly told: readonly (number | null)[];
}

/** Takes a plan and makes it better by moving a task in the order, a whole job, or a task to another person, until nothing is gained or the tries are used up. */
function improved(model: Model, start: Start, tries: number, random: () => number, costOf: (board: Board) => Cost): Found {
  let order = [...start.order];
  let told = [...start.told];
  let board = decoded(model, order, told);
  let best: Found = { board, cost: costOf(board) };
  // What was put by hand keeps its place before the rest.
  const kept = putByHand(model).length;
  const count = order.length - kept;
  if (count === 0) return best;
  const pick = (below: number): number => Math.floor(random() * below);
  for (let i = 0; i < tries; i++) {
    const [next, people] = [[...order], [...told]];
    const kind = random();
    const at = kept + pick(count);
    if (kind < 0.5) {
      const [moved] = next.splice(at, 1) as [number];
      next.splice(kept + pick(count), 0, moved);
    } else if (kind < 0.75) {
      const { job } = model.tasks[order[at] as number] as Model['tasks'][number];
      const free = next.splice(kept);
      const own = free.filter((index) => model.tasks[index]?.job === job);
      const others = free.filter((index) => model.tasks[index]?.job !== job);
      others.splice(pick(others.length + 1), 0, ...own);
      next.push(...others);
    } else {
      const index = order[at] as number;
      const { able } = model.tasks[index] as Model['tasks'][number];
      people[index] = told[index] === null ? (able[pick(able.length)] ?? null) : null;
    }
    board = decoded(model, next, people);
    const cost = costOf(board);
    if (better(best.cost, cost)) continue;
    [order, told] = [next, people];
    best = { board, cost };
  }
  return best;
}

/** Tries out every order and every person, but for what cannot become better than what is known; stops when so many places have been looked at. */
function tried(model: Model, known: Found, places: number): Found {
  const { tasks, jobs } = model;
  const least = boundsOf(model);
  const board = new Board(model);
  let best = known;
  let left = places;
  /** No lateness below this can come of what is placed so far. */
  const atLeast = (): number =>
    jobs.reduce((sum, { due, weight }, j) => sum + weight * Math.max(0, (Math.max(least[j] ?? 0, board.endOf(j)) - due) / (24 * 60)), 0);
  const visit = (placedCount: number): void => {
    if (left <= 0) return;
    if (placedCount === tasks.length) {
      const { cost } = board;
      if (!better(cost, best.cost)) return;
      const copy = new Board(model);
      for (const placed of board.placed) if (placed) copy.put(placed);
      best = { board: copy, cost };
      return;
    }
    for (const task of tasks) {
      if (board.placed[task.index] !== null || task.after.some((before) => board.placed[before] === null)) continue;
      for (const person of task.able) {
        left--;
        const placed = board.earliestAt(task, person);
        if (!placed) continue;
        board.put(placed);
        if (atLeast() <= best.cost.lateness + 1e-9) visit(placedCount + 1);
        board.take(placed);
      }
    }
  };
  visit(0);
  return best;
}

/** Another time on the same day disturbs less than another day or another person. */
const SAME_DAY = 0.25;

/** How much of the plan that stands is moved, in steps: against what comes of going on with it as it is. */
function movedFrom(before: Board, { standing }: Model): (board: Board) => number {
  return ({ placed }) =>
    placed.reduce((sum, now, index) => {
      const was = before.placed[index];
      if (!now || !was || !standing[index] || (now.person === was.person && now.start === was.start)) return sum;
      return sum + (now.person === was.person && Math.floor(now.start / DAY) === Math.floor(was.start / DAY) ? SAME_DAY : 1);
    }, 0);
}

/** The plan that stands, gone on with: everybody keeps their steps in their order, and what is new goes where there is room. Better by exchange only where that is worth what it moves. */
function goneOn(model: Model, rest: readonly number[], tries: number, random: () => number): Found {
  const { standing, tasks } = model;
  const first = putByHand(model);
  const known = tasks.flatMap(({ index }) => (standing[index] && !first.includes(index) ? [index] : []));
  known.sort((a, b) => (standing[a]?.start ?? 0) - (standing[b]?.start ?? 0) || a - b);
  const order = [...first, ...known, ...rest.filter((index) => !first.includes(index) && !standing[index])];
  const start = { order, told: standing.map((one) => one?.person ?? null) };
  const asItIs = decoded(model, order, start.told);
  const moved = movedFrom(asItIs, model);
  // What is late by less than moving one step is worth stays as it is.
  if (asItIs.cost.lateness <= WORTH_MOVING * SAME_DAY) return { board: asItIs, cost: asItIs.cost };
  return improved(model, start, tries, random, (board) => ({ ...board.cost, moved: moved(board) }));
}

/** The best plan found for a question: gone on with from the one that stands; else begun by due date and slack, improved by exchange, and tried through where it is small. The same question gives the same plan. */
export function planned(model: Model): Found {
  const { seconds, seed } = model.request;
  const random = seededRandom(seed);
  const orders = firstOrders(model);
  const tries = Math.round((seconds * STEPS_PER_SECOND) / Math.max(10, model.tasks.length));
  if (model.standing.some((one) => one !== null)) return goneOn(model, orders[0] as number[], tries, random);
  const first = putByHand(model);
  const told = model.tasks.map(() => null);
  const from = orders
    .map((order): Start => ({ order: [...first, ...order.filter((index) => !first.includes(index))], told }))
    .map((start) => ({ start, cost: decoded(model, start.order, told).cost }))
    .reduce((a, b) => (better(b.cost, a.cost) ? b : a));
  const found = improved(model, from.start, tries, random, ({ cost }) => cost);
  return model.tasks.length <= MOST_EXACT && first.length === 0 ? tried(model, found, Math.max(LEAST_PLACES, seconds * PLACES_PER_SECOND)) : found;
}
