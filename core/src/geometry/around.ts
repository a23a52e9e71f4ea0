/** How far a place lies ahead of another, going round, mm: from 0 to less than the whole round. Both are measured from one start. */
export const aheadOn = (roundMm: number, from: number, to: number): number => (((to - from) % roundMm) + roundMm) % roundMm;

/** How far apart two places lie, the shorter way round, mm. */
export function apartOn(roundMm: number, a: number, b: number): number {
  const ahead = aheadOn(roundMm, a, b);
  return Math.min(ahead, roundMm - ahead);
}
