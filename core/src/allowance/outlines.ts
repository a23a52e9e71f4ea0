import { inArcs } from '../geometry/biarc';
import { grow } from '../geometry/offset';
import { outlineBounds, type Outline } from '../geometry/outline';
import { moved } from '../geometry/transform';
import { measuredOn, type Figure } from '../kernel/figure';
import { sized } from '../template/sized';
import { SAME_SIZE_MM, type Plane, type Sizes } from '../piece/sizes';

/** The outlines of the sizes, in one frame: the finished one's box lies at the origin. */
export interface Outlines {
  readonly seat: Outline;
  readonly finished: Outline;
  readonly sewn: Outline;
  readonly core: Outline;
  /** The plate's cut line: the seam line and its allowance. */
  readonly cut: Outline;
}

const NAMES = ['seat', 'finished', 'sewn', 'core'] as const;

/** The template made as large as each size says; null where the allowances leave nothing. */
export function outlinesOf(base: Outline, sizes: Sizes, acrossMm: number, deepMm: number): Outlines | null {
  // Curves as arcs once, for every size: offsets move those exactly.
  const arcs = inArcs(base);
  const made = NAMES.map((name) => sized(arcs, sizes[name].width.value - acrossMm, sizes[name].depth.value - deepMm));
  const finished = made[1];
  if (!finished || made.some((one) => one === null)) return null;
  const { minX, minY } = outlineBounds(finished);
  const [seat, , sewn, core] = made.map((one) => moved(one as Outline, -minX, -minY)) as [Outline, Outline, Outline, Outline];
  const cut = grow(sewn, (sizes.flange ?? sizes.seam).value);
  return { seat, finished: moved(finished, -minX, -minY), sewn, core, cut: cut.ok ? cut.outline : sewn };
}

/** A size as far as the outline really reaches: where slanting sides meet, a grown corner stands out further than the side has moved. */
export function reaching(figure: Figure, mm: number): Figure {
  return Math.abs(figure.value - mm) <= SAME_SIZE_MM ? figure : measuredOn(figure.name, mm, 'as far as its corners reach, {0} by the sides', [figure]);
}

function reachingPlane<P extends Plane>(plane: P, outline: Outline): P {
  const box = outlineBounds(outline);
  return { ...plane, width: reaching(plane.width, box.maxX - box.minX), depth: reaching(plane.depth, box.maxY - box.minY) };
}

/** The sizes as far as their outlines reach; the same figures for every shape whose corners are square or round. */
export function reachedSizes(sizes: Sizes, outlines: Outlines): Sizes {
  return {
    ...sizes,
    seat: reachingPlane(sizes.seat, outlines.seat),
    finished: reachingPlane(sizes.finished, outlines.finished),
    sewn: reachingPlane(sizes.sewn, outlines.sewn),
    core: reachingPlane(sizes.core, outlines.core),
    cut: reachingPlane(sizes.cut, outlines.cut),
  };
}
