import { given, law, type Figure } from '../../kernel/figure';
import { issue, type Issue } from '../../kernel/issue';
import type { Sizes } from '../../piece/sizes';
import type { Constants } from '../../shop/assumptions';
import { enteredOr } from '../sewing/entered-or';
import { RANGES } from '../sewing/lengths';

/** What a flange follows from: entered, or the width that the strip is cut. */
interface Flanged {
  readonly flangeMm?: number | undefined;
  readonly weltStripMm?: number | undefined;
  readonly cordMm?: number | undefined;
}

/**
 * The flange of a welt. Where the strip's width is given it is what the cord leaves on each side, (strip − π × cord − cloth) ÷ 2; otherwise it is the flange entered. Null where neither is
 * given: then the seam allowance counts. It is never less than the least allowed: a strip too narrow for its cord is reported.
 */
export function flangeFor(
  { flangeMm, weltStripMm, cordMm }: Flanged,
  { cloth, assume }: { readonly cloth: Figure; readonly assume: Constants },
): Figure | null {
  if (weltStripMm === undefined) return flangeMm === undefined ? null : given('flange', flangeMm, 'entered');
  const inputs = [given('strip', weltStripMm, 'entered'), enteredOr('cord', cordMm, 'cordMm', assume), cloth];
  const [least] = RANGES.flangeMm;
  const found = law('flange', '({0} − π × {1} − {2}) ÷ 2', inputs);
  return found.value >= least ? found : given('the least flange', least, 'counted');
}

/** What a strip of this width does: too narrow for its cord, or how much tighter or roomier its flange makes the cover than the seam allowance would. */
export function stripProblems({ weltStripMm, cordMm }: Flanged, { seam, flange }: Pick<Sizes, 'seam' | 'flange'>, clothMm: number, assume: Constants): Issue[] {
  if (weltStripMm === undefined || !flange) return [];
  const [least] = RANGES.flangeMm;
  const needsMm = Math.PI * (cordMm ?? assume('cordMm')) + clothMm + 2 * least;
  if (weltStripMm < needsMm) return [issue('error', 'welt-strip-too-narrow', 'construction.weltStripMm', { stripMm: weltStripMm, needsMm })];
  const inMm = flange.value - seam.value;
  if (Math.abs(inMm) < 0.05) return [];
  return [
    issue('note', 'welt-strip-gives-flange', 'construction.weltStripMm', {
      stripMm: weltStripMm,
      flangeMm: flange.value,
      seamMm: seam.value,
      byMm: Math.abs(2 * inMm),
      tighter: inMm > 0 ? 1 : 0,
    }),
  ];
}
