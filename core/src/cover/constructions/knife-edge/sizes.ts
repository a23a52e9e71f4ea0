import { given, minus, plus, renamed, sum, type Figure } from '../../../kernel/figure';
import type { Plane, Sizes } from '../../../piece/sizes';
import type { SizeAsk } from '../../contract';
import type { KnifeEdge } from './choices';
import { enteredOr } from '../../sewing/entered-or';

/** Sizes of a knife edge: the cloth is cut to the insert with nothing added, so that it is sewn two allowances smaller. No school has a say. */
export function knifeEdgeSizes({ seamMm }: KnifeEdge, { given: from, acrossMm, deepMm, heightMm, assume }: SizeAsk): Sizes {
  const seam = enteredOr('seam', seamMm, 'knifeSeamMm', assume);
  const line = (mm: number): { readonly insert: Figure; readonly sewn: Figure } => {
    const entered = given(from === 'core' ? 'insert' : from === 'sewn' ? 'old cover' : from, mm, 'entered');
    return from === 'core' ? { insert: entered, sewn: sum('sewn', entered, minus(seam, 2)) } : { insert: sum('insert', entered, plus(seam, 2)), sewn: entered };
  };
  const [across, deep] = [line(acrossMm), line(deepMm)];
  const plane = (key: 'insert' | 'sewn', name: string): Plane => ({ width: renamed(name, across[key]), depth: renamed(name, deep[key]) });
  const loft = given('insert’s loft', heightMm, 'entered');
  const none = given('no band', 0, 'counted');
  return {
    seat: plane('sewn', 'seat'),
    finished: { ...plane('sewn', 'finished'), height: renamed('finished height', loft) },
    sewn: { ...plane('sewn', 'sewn'), height: none },
    core: { ...plane('insert', 'core'), height: renamed('core thickness', loft) },
    cut: plane('insert', 'cut'),
    boxingCut: none,
    seam,
    flange: null,
    cutToCore: false,
    slope: null,
  };
}
