import { FIT_BANDS } from '@yardland/core';

/** Widths of the bands on the bar, in shares; taut is drawn double. */
const BAR = [1, 1, 2, 1, 1];
const BAR_TOTAL = 6;
/** Tension at the end of the last band, N/m, for drawing only. */
const BAR_END = 450;

/** Where a tension stands on the bar, per cent. */
export function needleAt(tension: number): number {
  const edges = [...FIT_BANDS.map((band) => band.from), BAR_END];
  const band = FIT_BANDS.reduce((found, { from }, i) => (tension >= from ? i : found), 0);
  const before = BAR.slice(0, band).reduce((a, b) => a + b, 0);
  const [from = 0, to = BAR_END] = [edges[band], edges[band + 1]];
  const share = Math.min(1, (tension - from) / (to - from));
  return ((before + share * (BAR[band] ?? 1)) / BAR_TOTAL) * 100;
}
