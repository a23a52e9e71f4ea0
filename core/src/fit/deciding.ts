import type { Constants } from '../shop/assumptions';
import type { Fit, FitVerdict } from './fit';

/** The one figure that a verdict rests on. */
export interface Deciding {
  /** The pressure in the slacker direction (Pa), or the tension in the tighter one (N/m). */
  readonly of: 'pressure' | 'tension';
  readonly value: number;
}

/** What the cover presses with in its slacker direction, Pa. */
export const slacker = ({ pressureAcrossPa, pressureAlongPa }: Fit): number => Math.min(pressureAcrossPa, pressureAlongPa);
/** What one plate pulls with in its tighter direction, N/m. */
export const tighter = ({ tensionAcrossNPerM, tensionAlongNPerM }: Fit): number => Math.max(tensionAcrossNPerM, tensionAlongNPerM);

/** What the verdict was read from: how hard a cover is to close is its tension, everything else what it presses with. */
export function deciding(fitted: Fit): Deciding {
  const tight = fitted.verdict === 'hard-to-close' || fitted.verdict === 'will-not-close';
  return tight ? { of: 'tension', value: tighter(fitted) } : { of: 'pressure', value: slacker(fitted) };
}

/** Verdicts from slack to tight. */
export const FIT_VERDICTS: readonly FitVerdict[] = ['loose', 'roomy', 'taut', 'hard-to-close', 'will-not-close'];
/** Where the last band is taken to end, as a multiple of where it starts. */
const LAST_ENDS = 1.5;

/** How far a fit is into its own verdict's band, 0 (its slack end) to 1. A taut cover is placed by how near it comes to being hard to close. */
export function shareOfBand(fitted: Fit, assume: Constants): number {
  const [loose, roomy, hard, never] = (['looseBelow', 'roomyBelow', 'hardToCloseTension', 'willNotCloseTension'] as const).map(assume) as [
    number,
    number,
    number,
    number,
  ];
  const between = (value: number, from: number, to: number): number => Math.min(1, Math.max(0, (value - from) / (to - from)));
  switch (fitted.verdict) {
    case 'loose':
      return between(slacker(fitted), 0, loose);
    case 'roomy':
      return between(slacker(fitted), loose, roomy);
    case 'taut':
      return between(tighter(fitted), 0, hard);
    case 'hard-to-close':
      return between(tighter(fitted), hard, never);
    case 'will-not-close':
      return between(tighter(fitted), never, never * LAST_ENDS);
  }
}

/** What a roomy cover counts against a taut one, for each halving of its pressure. */
const ROOMY_WEIGHT = 0.3;

/** How far a cover is from closing well and pressing on its filling, in octaves: 0 for a taut one, over 1 for one that is loose or hard to close. */
export function offTaut(fitted: Fit, assume: Constants): number {
  const over = tighter(fitted) / assume('hardToCloseTension');
  if (over > 1) return 1 + Math.log2(over);
  const pressure = Math.max(1, slacker(fitted));
  const [loose, roomy] = [assume('looseBelow'), assume('roomyBelow')];
  if (pressure < loose) return 1 + Math.log2(loose / pressure);
  return pressure < roomy ? ROOMY_WEIGHT * Math.log2(roomy / pressure) : 0;
}

/** A crown this near to the one asked for is that crown, mm. */
const CROWN_MM = 3;

/** Neither loose nor hard to close, not likely to bow, and crowned as asked: nothing to mend. */
export function fitsWell(fit: Fit, crownMm: number | null): boolean {
  return (fit.verdict === 'taut' || fit.verdict === 'roomy') && !fit.bowRisk && (crownMm === null || Math.abs(fit.crownMm - crownMm) <= CROWN_MM);
}
