import { formatLength, shipped, waddingAt, type CushionPlan, type Figure, type Pair, type UnitSystem } from '@yardland/core';

/** One way of a cushion at its edge, drawn larger than life: places along the lane in the drawing's own units. */
export interface EdgeLane {
  readonly name: string;
  readonly y: number;
  /** Where the lane's drawing begins, inside the cushion. */
  readonly fromX: number;
  readonly finishedX: number;
  readonly coreX: number;
  readonly wrapX: number;
  readonly sewnX: number;
  readonly cutX: number;
  /** How far the core stands over or short of the finished size, a side; of the height altogether. */
  readonly figure: string;
  readonly figureX: number;
}

const LANE_HIGH = 18;
const FROM_X = 46;
const FINISHED_X = 84;
/** Drawn units for a millimetre: larger than life, so that 6 mm can be told from 13. */
const PER_MM = 1.5;
const MOST_X = 150;

export const EDGE_BOX = `0 0 190 ${3 * LANE_HIGH}`;

/** A school's differences at the edge, a lane for each way; none while nothing is planned. */
export function edgeLanes({ sizes, wrap, fitRequest, fit }: CushionPlan, units: UnitSystem, step: Pair): EdgeLane[] {
  if (!sizes) return [];
  const at = (mm: number): number => Math.min(MOST_X, Math.max(FROM_X, FINISHED_X + mm * PER_MM));
  const lane = (i: number, name: string, sides: 1 | 2, of: readonly [finished: Figure, core: Figure, sewn: Figure, cut: Figure], wrapMm: number): EdgeLane => {
    const [finished, core, sewn, cut] = of;
    const over = (figure: Figure): number => (figure.value - finished.value) / sides;
    const figure = over(core);
    const [coreX, sewnX, cutX] = [at(over(core)), at(over(sewn)), at(over(cut))];
    const wrapX = at(over(core) + wrapMm);
    return {
      name,
      y: i * LANE_HIGH,
      fromX: FROM_X,
      finishedX: FINISHED_X,
      coreX,
      wrapX,
      sewnX,
      cutX,
      figure: Math.abs(figure) < 0.05 ? '±0' : `${figure > 0 ? '+' : '−'}${formatLength(Math.abs(figure), units, step)}`,
      figureX: Math.max(coreX, wrapX, sewnX, cutX) + 6,
    };
  };
  const side = (loftMm: number | undefined, pressurePa: number | undefined): number =>
    waddingAt(loftMm ?? 0, pressurePa ?? 0, fitRequest?.waddingPa ?? shipped('waddingPa'));
  return [
    lane(
      0,
      'across',
      2,
      [sizes.finished.width, sizes.core.width, sizes.sewn.width, sizes.cut.width],
      side(fitRequest?.sideLoftAcrossMm, fit?.pressureAcrossPa),
    ),
    lane(1, 'deep', 2, [sizes.finished.depth, sizes.core.depth, sizes.sewn.depth, sizes.cut.depth], side(fitRequest?.sideLoftAlongMm, fit?.pressureAlongPa)),
    lane(
      2,
      'high',
      1,
      [sizes.finished.height, sizes.core.height, sizes.sewn.height, sizes.boxingCut],
      fitRequest && fitRequest.wrapLoftMm > 0 ? (wrap?.value ?? 0) : 0,
    ),
  ];
}
