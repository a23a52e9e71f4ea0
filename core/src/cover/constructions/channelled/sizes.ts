import { given, plus, renamed, sum } from '../../../kernel/figure';
import type { Plane, Sizes } from '../../../piece/sizes';
import type { SizeAsk } from '../../contract';
import { isCovered, type Channelled } from './choices';
import { enteredOr } from '../../sewing/entered-or';

/** Sizes of a case by itself: it is sewn as large as it is given, whichever size that is, and its height is its loft. In an envelope the school leads. */
export function channelledSizes(choices: Channelled, ask: SizeAsk): Sizes | null {
  if (choices.as === 'envelope') return null;
  const { acrossMm, deepMm, heightMm, assume } = ask;
  const seam = enteredOr('seam', choices.seamMm, 'knifeSeamMm', assume);
  const [across, deep, loft] = [given('case', acrossMm, 'entered'), given('case', deepMm, 'entered'), given('loft', heightMm, 'entered')];
  const plane = (name: string): Plane => ({ width: renamed(name, across), depth: renamed(name, deep) });
  return {
    seat: plane('seat'),
    finished: { ...plane('finished'), height: renamed('finished height', loft) },
    sewn: { ...plane('sewn'), height: renamed('sewn height', loft) },
    core: { ...plane('core'), height: renamed('core thickness', loft) },
    cut: { width: sum('cut', across, plus(seam, 2)), depth: sum('cut', deep, plus(seam, 2)) },
    boxingCut: isCovered(choices) ? sum('boxing, cut', loft, plus(seam, 2)) : given('no band', 0, 'counted'),
    seam,
    flange: null,
    cutToCore: false,
    slope: null,
  };
}
