import { law, plus, sum, type Figure } from '../kernel/figure';
import type { Slope } from '../piece/sizes';

/** The thin edge of a wedge: how high, finished, and where. */
export interface Thin {
  readonly mm: number;
  readonly end: 'front' | 'back';
}

/** The slope between the thin edge's heights and the thick one's: the top plate is the long side of a right triangle. */
export function slopeOf(
  end: Thin['end'],
  thin: { readonly finished: Figure; readonly sewn: Figure; readonly core: Figure; readonly boxingCut: Figure },
  thickSewn: Figure,
  sewnDepth: Figure,
  seam: Figure,
): Slope {
  const slant = law('along the slope', '√({0}² + ({1} − {2})²)', [sewnDepth, thickSewn, thin.sewn]);
  return { end, finished: thin.finished, sewn: thin.sewn, core: thin.core, boxingCut: thin.boxingCut, slant, slantCut: sum('cut', slant, plus(seam, 2)) };
}

/** The mean of a figure at the thick and the thin edge: what a wedge measures in its middle. */
export function middleOf(name: string, thick: Figure, thin: Figure): Figure {
  return law(name, '({0} + {1}) ÷ 2', [thick, thin]);
}
