import type { Constants } from './assumptions';

/** How an operation takes its time: so long to set up, so long a metre, so long a corner. */
export type Work = 'cut' | 'sew' | 'hand' | 'staple' | 'prepare' | 'fill';

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
