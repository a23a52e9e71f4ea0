import { law, minus, plus, sum, type Figure, type Term } from '../kernel/figure';
import type { GivenSize, Sizes } from '../piece/sizes';
import { slopeOf } from './slope';

/**
 * The sizes of a cover whose welts have a flange of their own width. Raw edges lie together and the seam runs along the welt, so each welted seam line moves inwards by
 * flange − seam: the plan loses that on every side, the height at every welted edge. Cut sizes stay as they are. Where the seam lines are given (an old cover measured seam to seam),
 * the cut sizes grow instead.
 */
export function drawnIn(sizes: Sizes, flange: Figure, edges: 1 | 2, givenSize: GivenSize): Sizes {
  const { seam, sewn, slope } = sizes;
  const by = flange.value - seam.value;
  if (Math.abs(by) < 1e-9) return sizes;
  const draw = by > 0 ? law('drawn in by the welt', '{0} − {1}', [flange, seam]) : law('let out by the welt', '{1} − {0}', [flange, seam]);
  const less = (count: number): Term => (by > 0 ? minus(draw, count) : plus(draw, count));
  const more = (count: number): Term => (by > 0 ? plus(draw, count) : minus(draw, count));
  if (givenSize === 'sewn')
    return {
      ...sizes,
      flange,
      cut: { width: sum('cut', sizes.cut.width, more(2)), depth: sum('cut', sizes.cut.depth, more(2)) },
      boxingCut: sum('boxing cut', sizes.boxingCut, more(edges)),
      slope: slope && { ...slope, boxingCut: sum('boxing cut', slope.boxingCut, more(edges)), slantCut: sum('cut', slope.slantCut, more(2)) },
    };
  const drawn = {
    width: sum('sewn', sewn.width, less(2)),
    depth: sum('sewn', sewn.depth, less(2)),
    height: sum('sewn height', sewn.height, less(edges)),
  };
  return {
    ...sizes,
    flange,
    sewn: drawn,
    slope: slope && { ...slopeOf(slope.end, { ...slope, sewn: sum('sewn height', slope.sewn, less(edges)) }, drawn.height, drawn.depth, flange) },
  };
}
