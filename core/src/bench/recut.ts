import type { Operation } from '../piece/operation';
import { doneOn } from './batch';
import type { Tick } from './ticks';

/** A piece that was cut or sewn wrong and is cut anew, kept with its job. */
export interface Recut {
  readonly piece: string;
  /** On which cushions of the batch, from 1. */
  readonly cushions: readonly number[];
  /** How many of the piece in each. */
  readonly each: number;
}

/** What a wrong piece undoes: on one operation, the cushions on which it has been done. */
export interface Undone {
  readonly operation: Operation;
  readonly cushions: readonly number[];
}

export interface Redoing {
  /** Opened again, in the order in which it is opened: the last first. */
  readonly unpick: readonly Undone[];
  /** Done again, in working order. */
  readonly redo: readonly Undone[];
  /** Opening and doing again, minutes. */
  readonly minutes: number;
}

/**
 * What has to be opened and redone to replace a piece: every operation after cutting that handles the piece, on each cushion where it was done. If anything sewn is
 * opened on a cushion, everything done on it after sewing is redone too, because the filling has to come out. `unpickShare`: the time to unpick a step, as a multiple of the time to do it.
 */
export function redoing(
  operations: readonly Operation[],
  ticks: Readonly<Record<string, Tick>>,
  quantity: number,
  wrong: Omit<Recut, 'each'>,
  unpickShare: number,
): Redoing {
  const done = (id: string): number[] => doneOn(ticks[id], quantity).filter((cushion) => wrong.cushions.includes(cushion));
  const own = new Map(operations.filter(({ phase, pieces }) => phase !== 'cut' && pieces.includes(wrong.piece)).map((one) => [one.id, done(one.id)] as const));
  return redoingOf(operations, own, done, unpickShare);
}

/**
 * What has to be opened and redone to sew one step again: the step, every seam that was sewn after it and needs it, and the filling, on the cushions where they were done.
 */
export function restitching(
  operations: readonly Operation[],
  ticks: Readonly<Record<string, Tick>>,
  quantity: number,
  wrong: { readonly step: string; readonly cushions: readonly number[] },
  unpickShare: number,
): Redoing {
  const done = (id: string): number[] => doneOn(ticks[id], quantity).filter((cushion) => wrong.cushions.includes(cushion));
  const after = new Set([wrong.step]);
  for (const { id, after: needs } of operations) if (needs.some((one) => after.has(one))) after.add(id);
  const own = new Map(operations.filter(({ id, phase }) => phase === 'sew' && after.has(id)).map(({ id }) => [id, done(id)] as const));
  return redoingOf(operations, own, done, unpickShare);
}

/** What is redone where some operations are opened: with anything sewn also the filling. */
function redoingOf(
  operations: readonly Operation[],
  own: ReadonlyMap<string, readonly number[]>,
  done: (id: string) => number[],
  unpickShare: number,
): Redoing {
  const opened = new Set(operations.filter(({ phase }) => phase === 'sew').flatMap(({ id }) => own.get(id) ?? []));
  const redo = operations.flatMap((operation): Undone[] => {
    const { id, phase } = operation;
    const later = phase === 'fill' || phase === 'fix' ? done(id).filter((cushion) => opened.has(cushion)) : [];
    const cushions = [...new Set([...(own.get(id) ?? []), ...later])].sort((a, b) => a - b);
    return cushions.length ? [{ operation, cushions }] : [];
  });
  const minutes = redo.reduce((sum, { operation, cushions }) => sum + operation.minutes * cushions.length * (1 + unpickShare), 0);
  return { unpick: [...redo].reverse(), redo, minutes };
}

/** The ticks without what is opened again: the cushions it is opened on are open, the others stay done. */
export function openedAgain<T extends Tick>(ticks: Readonly<Record<string, T>>, { redo }: Redoing, quantity: number): Record<string, T> {
  const open = new Map(redo.map(({ operation, cushions }) => [operation.id, cushions]));
  return Object.fromEntries(
    Object.entries(ticks).flatMap(([id, tick]) => {
      const on = doneOn(tick, quantity).filter((cushion) => !open.get(id)?.includes(cushion));
      return open.has(id) ? (on.length ? [[id, { ...tick, count: on.length, on }]] : []) : [[id, tick]];
    }),
  );
}
