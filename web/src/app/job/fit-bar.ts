import { FIT_VERDICTS, type FitVerdict } from '@yardland/core';

/** Widths of the bands on the bar, slack to tight, in shares; taut is drawn double. */
const BAR: Record<FitVerdict, number> = { loose: 1, roomy: 1, taut: 2, 'hard-to-close': 1, 'will-not-close': 1 };
const BAR_TOTAL = FIT_VERDICTS.reduce((sum, verdict) => sum + BAR[verdict], 0);

/** Where a fit stands on the bar, per cent: `share` of the way (0 to 1) through its verdict's band. */
export function needleAt(verdict: FitVerdict, share: number): number {
  const before = FIT_VERDICTS.slice(0, FIT_VERDICTS.indexOf(verdict)).reduce((sum, one) => sum + BAR[one], 0);
  return ((before + share * BAR[verdict]) / BAR_TOTAL) * 100;
}
