import { earliest, type Part } from './calendar';
import type { Model, Task } from './model';

/** Work in its place: who, and when. */
export interface Placed {
  readonly task: number;
  readonly person: number;
  readonly parts: readonly Part[];
  readonly start: number;
  readonly end: number;
}

/**
 * What a plan is judged by, the first that differs deciding: lateness by weight in days, with what is moved on the plan that stands; changes of cloth, thread and foot; the last end; then
 * the ends of all jobs by weight, so that nothing waits for nothing.
 */
export interface Cost {
  readonly lateness: number;
  /** Steps moved on the plan that stands; 0 where none stands. */
  readonly moved: number;
  readonly setups: number;
  readonly last: number;
  readonly ends: number;
}

const SAME = 1e-9;
/** Moving a step has to be worth so much lateness: an hour, in days. */
export const WORTH_MOVING = 1 / 24;

/** Whether one plan is better than another. */
export function better(a: Cost, b: Cost): boolean {
  const [late, other] = [a.lateness + a.moved * WORTH_MOVING, b.lateness + b.moved * WORTH_MOVING];
  if (late !== other && !(Math.abs(late - other) <= SAME)) return late < other;
  if (a.moved !== b.moved) return a.moved < b.moved;
  if (a.setups !== b.setups) return a.setups < b.setups;
  if (Math.abs(a.last - b.last) > SAME) return a.last < b.last;
  return a.ends < b.ends - SAME;
}

/** A plan as it grows: what each person does, in the order of time, and what holds each machine. */
export class Board {
  readonly placed: (Placed | null)[];
  readonly #busy: Placed[][];
  readonly #held = new Map<string, Placed[]>();
  #longestHeld = 0;

  constructor(private readonly model: Model) {
    this.placed = model.tasks.map(() => null);
    this.#busy = model.people.map(() => []);
  }

  /** When a task may begin at the earliest: its material is there, and what it comes after is done and has waited. */
  readyAt({ after, ready }: Task): number {
    return after.reduce((most, before) => {
      const { step } = this.model.tasks[before] as Task;
      return Math.max(most, (this.placed[before]?.end ?? 0) + step.waitMinutes);
    }, ready);
  }

  /** The earliest place of a task at a person, in a gap where it fits; null where there is none before the horizon. */
  earliestAt(task: Task, person: number): Placed | null {
    const hours = this.model.people[person];
    if (!hours) return null;
    const { minutes, splits, needs } = task.step;
    let from = this.readyAt(task);
    for (;;) {
      const parts = earliest(hours, from, minutes, splits);
      const [first, last] = [parts?.[0], parts?.at(-1)];
      if (!parts || !first || !last) return null;
      const next = this.#freeFrom(first.start, last.end, person, needs ?? null);
      if (next === null) return { task: task.index, person, parts, start: first.start, end: last.end };
      from = next;
    }
  }

  put(placed: Placed): void {
    this.placed[placed.task] = placed;
    insert(this.#busy[placed.person] as Placed[], placed);
    const needs = this.model.tasks[placed.task]?.step.needs;
    if (needs) {
      const held = this.#held.get(needs) ?? [];
      insert(held, placed);
      this.#longestHeld = Math.max(this.#longestHeld, placed.end - placed.start);
      this.#held.set(needs, held);
    }
  }

  take(placed: Placed): void {
    this.placed[placed.task] = null;
    const busy = this.#busy[placed.person] as Placed[];
    busy.splice(busy.indexOf(placed), 1);
    const needs = this.model.tasks[placed.task]?.step.needs;
    const held = needs ? this.#held.get(needs) : undefined;
    held?.splice(held.indexOf(placed), 1);
  }

  /** Changes between steps that follow each other at one person; what has no setup changes nothing. */
  get setups(): number {
    return this.#busy.reduce((sum, busy) => {
      let [count, last] = [0, null as string | null];
      for (const { task } of busy) {
        const setup = this.model.tasks[task]?.step.setup ?? null;
        if (setup === null) continue;
        if (last !== null && setup !== last) count++;
        last = setup;
      }
      return sum + count;
    }, 0);
  }

  /** The end of each job: when its last step is done. */
  endOf(job: number): number {
    return (this.model.jobs[job]?.tasks ?? []).reduce((most, task) => Math.max(most, this.placed[task]?.end ?? 0), 0);
  }

  /** What the plan is judged by where none stands. */
  get cost(): Cost {
    let [lateness, last, ends] = [0, 0, 0];
    this.model.jobs.forEach(({ due, weight }, j) => {
      const end = this.endOf(j);
      lateness += weight * Math.max(0, (end - due) / (24 * 60));
      last = Math.max(last, end);
      ends += weight * end;
    });
    // What finds no place before the horizon makes any other plan better.
    if (this.placed.includes(null)) lateness = Infinity;
    return { lateness, moved: 0, setups: this.setups, last, ends };
  }

  /** Null where the person and the machine are free; otherwise the next time at which that may be so. */
  #freeFrom(start: number, end: number, person: number, needs: string | null): number | null {
    const busy = this.#busy[person] as Placed[];
    const blocking = busy[firstEndingAfter(busy, start)];
    if (blocking && blocking.start < end - SAME) return blocking.end;
    if (needs === null) return null;
    const room = this.model.machines[needs] ?? 0;
    const held = this.#held.get(needs) ?? [];
    const over: Placed[] = [];
    // Sorted by their start: none that began longer ago than the longest takes can still hold it.
    for (let i = firstStartingAt(held, end) - 1; i >= 0; i--) {
      const one = held[i] as Placed;
      if (one.start + this.#longestHeld <= start) break;
      if (one.end > start + SAME) over.push(one);
    }
    if (over.length < room) return null;
    // As many as there are machines at one moment: the first to be free of those.
    for (const { start: at } of [{ start }, ...over]) {
      const together = over.filter((one) => one.start <= at + SAME && one.end > at + SAME);
      if (together.length >= room) return Math.min(...together.map((one) => one.end));
    }
    return null;
  }
}

/** The first of what one person does, in its order, that ends after a time: nothing overlaps, so that ends are in order too. */
function firstEndingAfter(list: readonly Placed[], time: number): number {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((list[middle] as Placed).end > time + SAME) high = middle;
    else low = middle + 1;
  }
  return low;
}

/** The first that begins at a time or later. */
function firstStartingAt(list: readonly Placed[], time: number): number {
  let [low, high] = [0, list.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((list[middle] as Placed).start >= time - SAME) high = middle;
    else low = middle + 1;
  }
  return low;
}

function insert(list: Placed[], placed: Placed): void {
  let at = list.length;
  while (at > 0 && (list[at - 1] as Placed).start > placed.start) at--;
  list.splice(at, 0, placed);
}

/** The plan that comes of taking the tasks up in an order, each as soon as what it comes after is placed: at its own person where one is told, else where it is done first. */
export function decoded(model: Model, order: readonly number[], told: readonly (number | null)[]): Board {
  const board = new Board(model);
  const waiting = new Set<number>();
  const tryPut = (index: number): boolean => {
    const task = model.tasks[index] as Task;
    if (task.after.some((before) => board.placed[before] === null)) return false;
    const own = told[index];
    const people = own !== null && own !== undefined ? [own] : task.able;
    let best: Placed | null = null;
    for (const person of people) {
      const placed = board.earliestAt(task, person);
      if (placed && (best === null || placed.end < best.end - SAME)) best = placed;
    }
    if (best) board.put(best);
    return true;
  };
  for (const index of order) {
    if (!tryPut(index)) {
      waiting.add(index);
      continue;
    }
    for (let again = true; again;) {
      again = false;
      for (const late of waiting)
        if (tryPut(late)) {
          waiting.delete(late);
          again = true;
        }
    }
  }
  return board;
}
