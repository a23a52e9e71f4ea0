import { MM_PER_INCH, type Pair, type UnitSystem } from './length';

/** Binary noise smaller than this share of a step never decides which way a half goes. */
const HALF_NOISE = 1e-9;

/** Rounds to a multiple of `step` (> 0), halves up: 12.5 → 13, −12.5 → −12. */
export function roundHalfUp(value: number, step: number): number {
  return Math.floor(value / step + 0.5 + HALF_NOISE) * step;
}

/** Rounds up to a multiple of `step` (> 0); a value within noise of a multiple stays there. Used for what is sold by the step. */
export function roundUp(value: number, step: number): number {
  return Math.ceil(value / step - HALF_NOISE) * step;
}

/** Millimetres rounded half up to the shop's printed step, for the last moment before printing and nowhere else. */
export function roundToStep(mm: number, system: UnitSystem, step: Pair): number {
  return system === 'inch' ? roundHalfUp(mm / MM_PER_INCH, step.inch) * MM_PER_INCH : roundHalfUp(mm, step.mm);
}
