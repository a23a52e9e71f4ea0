import type { AssumptionKey, Constants } from './assumptions';

/** How an operation takes its time: so long to set up, so long a metre, so long a corner. */
export const WORKS = ['cut', 'prepare', 'sew', 'hand', 'fill', 'staple'] as const;
export type Work = (typeof WORKS)[number];

const RATES = {
  cut: ['cutFixedMinutes', 'cutMetreMinutes', 'cutCornerMinutes'],
  sew: ['sewFixedMinutes', 'sewMetreMinutes', 'sewCornerMinutes'],
  hand: ['handFixedMinutes', 'handMetreMinutes', 'sewCornerMinutes'],
  staple: ['stapleFixedMinutes', 'stapleMetreMinutes', 'sewCornerMinutes'],
  prepare: ['prepareFixedMinutes', 'prepareMetreMinutes', 'cutCornerMinutes'],
  fill: ['fillFixedMinutes', 'prepareMetreMinutes', 'fillCornerMinutes'],
} as const;

/** Minutes of one operation on one cushion by the shop's rates: `runMm` of seam or cut, and so many corners. */
export function minutesFor(work: Work, runMm: number, corners: number, assume: Constants): number {
  const [fixed, metre, corner] = RATES[work];
  return assume(fixed) + (assume(metre) * runMm) / 1000 + assume(corner) * corners;
}

/** The rates that belong to one sort of work alone: what the clock can correct without touching another's. */
export const OWN_RATES: Readonly<Record<Work, readonly AssumptionKey[]>> = {
  cut: ['cutFixedMinutes', 'cutMetreMinutes', 'cutCornerMinutes'],
  prepare: ['prepareFixedMinutes', 'prepareMetreMinutes'],
  sew: ['sewFixedMinutes', 'sewMetreMinutes', 'sewCornerMinutes'],
  hand: ['handFixedMinutes', 'handMetreMinutes'],
  fill: ['fillFixedMinutes', 'fillCornerMinutes'],
  staple: ['stapleFixedMinutes', 'stapleMetreMinutes'],
};
