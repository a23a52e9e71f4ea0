import { law, plus, sum, type Figure } from '../kernel/figure';

/** The thin edge of a wedge: how high, finished, and where. */
export interface Thin {
  readonly mm: number;
  readonly end: 'front' | 'back';
}

/** The thin edge of a wedge beside the thick one, and the top plate that lies along the slope. */
export interface Slope {
  readonly end: Thin['end'];
  readonly finished: Figure;
  readonly sewn: Figure;
  readonly core: Figure;
  /** Of the panel at the thin edge. */
  readonly boxingCut: Figure;
  /** Depth of the top plate, sewn and cut: along the slope. */
  readonly slant: Figure;
  readonly slantCut: Figure;
}

/** The slope between the thin edge's heights and the thick one's: the top plate is the long side of a right triangle. */
export function slopeOf(
  end: Thin['end'],
  thin: { readonly finished: Figure; readonly sewn: Figure; readonly core: Figure; readonly boxingCut: Figure },
  thickSewn: Figure,
  sewnDepth: Figure,
  seam: Figure,
): Slope {
  const slant = law('along the slope', '√({0}² + ({1} − {2})²)', [sewnDepth, thickSewn, thin.sewn], (d = 0, thick = 0, low = 0) => Math.hypot(d, thick - low));
  return { end, finished: thin.finished, sewn: thin.sewn, core: thin.core, boxingCut: thin.boxingCut, slant, slantCut: sum('cut', slant, plus(seam, 2)) };
}

/** Of a figure at both ends the mean: what a wedge's middle is like. */
export function middleOf(name: string, thick: Figure, thin: Figure): Figure {
  return law(name, '({0} + {1}) ÷ 2', [thick, thin], (a = 0, b = 0) => (a + b) / 2);
}
