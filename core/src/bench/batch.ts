import type { Operation } from '../piece/operation';
import type { Tick } from './ticks';

/** Which of several cushions alike an operation is done on, from 1. A tick that only counts stands for the first so many. */
export function doneOn(tick: Pick<Tick, 'count' | 'on'> | undefined, quantity: number): number[] {
  if (!tick) return [];
  const all = tick.on ?? Array.from({ length: tick.count }, (_, i) => i + 1);
  return [...new Set(all)].filter((cushion) => cushion >= 1 && cushion <= quantity).sort((a, b) => a - b);
}

/** A tick with one cushion more or less done. */
export function toggledOn(tick: Tick | undefined, cushion: number, quantity: number): number[] {
  const done = doneOn(tick, quantity);
  return done.includes(cushion) ? done.filter((one) => one !== cushion) : [...done, cushion].sort((a, b) => a - b);
}

/** Whose each tick is once `person` has said on which cushions it is done: who ticked before keeps theirs. Nobody's where no name is given. */
export function signedBy(before: Tick | undefined, on: readonly number[], person: string, quantity: number): Record<string, string> {
  const done = doneOn(before, quantity);
  return Object.fromEntries(
    on.flatMap((cushion) => {
      const name = done.includes(cushion) ? before?.by?.[cushion] : person;
      return name ? [[String(cushion), name]] : [];
    }),
  );
}

/** Who did an operation, in the order of the cushions, and on which. */
export function doneBy(tick: Tick | undefined, quantity: number): { readonly person: string; readonly cushions: readonly number[] }[] {
  const people = new Map<string, number[]>();
  for (const cushion of doneOn(tick, quantity)) {
    const person = tick?.by?.[cushion];
    if (person) people.set(person, [...(people.get(person) ?? []), cushion]);
  }
  return [...people].map(([person, cushions]) => ({ person, cushions }));
}

/** Where one cushion of a batch is: how many operations are done on it, and the first that is not. */
export interface Whereabouts {
  readonly cushion: number;
  readonly done: number;
  readonly next: Operation | null;
}

/** Where each cushion of a batch is. */
export function whereabouts(operations: readonly Operation[], ticks: Readonly<Record<string, Tick>>, quantity: number): Whereabouts[] {
  return Array.from({ length: quantity }, (_, i) => {
    const open = operations.filter(({ id }) => !doneOn(ticks[id], quantity).includes(i + 1));
    return { cushion: i + 1, done: operations.length - open.length, next: open[0] ?? null };
  });
}
