/** The two ways a shop measures. Storage is always millimetres. */
export type UnitSystem = 'inch' | 'metric';

export const MM_PER_INCH = 25.4;
export const MM_PER_FOOT = 304.8;
export const MM_PER_YARD = 914.4;

/** A number of a trade rule as it is said in each system, millimetres | inches: `pair(13, 1 / 2)`. */
export interface Pair {
  readonly mm: number;
  readonly inch: number;
}

export function pair(mm: number, inch: number): Pair {
  return { mm, inch };
}

/** The pair's value in millimetres for a job in `system`; an inch job uses the inch value exactly (½ in = 12.7 mm). */
export function pairMm(value: Pair, system: UnitSystem): number {
  return system === 'inch' ? value.inch * MM_PER_INCH : value.mm;
}

/** The same length in both systems. */
export function pairOf(mm: number): Pair {
  return pair(mm, mm / MM_PER_INCH);
}

/** A pair with one of its sides set, in millimetres; the other stays as it is said. */
export function pairWith(value: Pair, system: UnitSystem, mm: number): Pair {
  return system === 'inch' ? { ...value, inch: mm / MM_PER_INCH } : { ...value, mm };
}
