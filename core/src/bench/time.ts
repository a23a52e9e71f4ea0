import { PHASES, type Operation, type Phase } from '../piece/operation';
import { doneOn } from './batch';
import type { Tick } from './ticks';

/** Minutes of work, by phase and together: for one cushion, for all, and what is still to be done; waiting is told apart, for nobody works then. */
export interface BenchTime {
  readonly phases: readonly { readonly phase: Phase; readonly eachMinutes: number; readonly allMinutes: number; readonly leftMinutes: number }[];
  readonly eachMinutes: number;
  readonly allMinutes: number;
  readonly leftMinutes: number;
  /** The longest any one cushion waits: for glue to be tacky, for steam. */
  readonly waitMinutes: number;
  /** Clocked on these operations, and what they were reckoned at for the cushions they are done on. */
  readonly clockedMinutes: number;
  readonly reckonedMinutes: number;
}

/** The time that a batch takes by the shop's rates, beside what was clocked. */
export function benchTime(
  operations: readonly Operation[],
  ticks: Readonly<Record<string, Tick>>,
  clocked: Readonly<Record<string, number>>,
  quantity: number,
): BenchTime {
  const done = (id: string): number => doneOn(ticks[id], quantity).length;
  const phases = PHASES.map((phase) => {
    const own = operations.filter((one) => one.phase === phase);
    const eachMinutes = own.reduce((sum, { minutes }) => sum + minutes, 0);
    return {
      phase,
      eachMinutes,
      allMinutes: eachMinutes * quantity,
      leftMinutes: own.reduce((sum, { id, minutes }) => sum + minutes * (quantity - done(id)), 0),
    };
  }).filter(({ eachMinutes }) => eachMinutes > 0);
  const total = (key: 'eachMinutes' | 'allMinutes' | 'leftMinutes'): number => phases.reduce((sum, phase) => sum + phase[key], 0);
  return {
    phases,
    eachMinutes: total('eachMinutes'),
    allMinutes: total('allMinutes'),
    leftMinutes: total('leftMinutes'),
    waitMinutes: operations.reduce((sum, { waitMinutes }) => sum + waitMinutes, 0),
    clockedMinutes: operations.reduce((sum, { id }) => sum + (clocked[id] ?? 0), 0),
    reckonedMinutes: operations.reduce((sum, { id, minutes }) => sum + (clocked[id] === undefined ? 0 : minutes * done(id)), 0),
  };
}
