import { flatFace, type Skin, type SkinRun } from '../../../form/skin';
import { alongOutline } from '../../../geometry/along';
import { outlineBounds } from '../../../geometry/outline';
import { segmentLength } from '../../../geometry/segment';
import { ON_LINE_MM } from '../../../piece/seam';
import { runsFrom } from '../../band/band';
import type { FrontAndRest } from '../../band/front';
import type { CoverRequest } from '../../contract';
import type { Made } from './pieces';
import { overFront } from './plate';

/** A side boxing, drawn with its front end at the right: on the right side of the cushion it is seen turned over. */
function sideRun(piece: string, [fromMm, toMm]: readonly [number, number], heightMm: number, frontFirst: boolean): SkinRun {
  const run = toMm - fromMm;
  const [first, last] = frontFirst ? [run, 0] : [0, run];
  return {
    piece,
    fromMm,
    toMm,
    low: 0,
    high: 1,
    corners: [
      { x: first, y: 0 },
      { x: last, y: 0 },
      { x: last, y: heightMm },
      { x: first, y: heightMm },
    ],
  };
}

/** How a waterfall's pieces lie on it: the plate over top, front and underneath, the sides and the plaque round the rest. `radius`: of its rounded front. */
export function waterfallSkin(made: Made, { sewn, sizes }: CoverRequest, { front }: FrontAndRest): Skin {
  const { plate, sides, plaque, ends, radius, welt } = made;
  const heightMm = sizes.sewn.height.value;
  const begins = alongOutline(sewn, front.to, ON_LINE_MM) ?? 0;
  const { minX, minY } = outlineBounds(sewn);
  // The plate's middle lies in the middle of the front; from there the top runs up and the underside down.
  const half = overFront(sizes.sewn.height, radius).value / 2 + minY - front.from.y;
  const face = (deep: 1 | -1) => ({ ...flatFace(plate.piece.id), lie: { from: { x: minX, y: deep * half }, across: 1, deep } });
  const frontMm = segmentLength(front);
  return {
    upper: face(1),
    lower: face(-1),
    band: [
      {
        piece: plate.piece.id,
        fromMm: begins - frontMm,
        toMm: begins,
        low: 0,
        high: 1,
        corners: [
          { x: front.from.x, y: -heightMm / 2 },
          { x: front.to.x, y: -heightMm / 2 },
          { x: front.to.x, y: heightMm / 2 },
          { x: front.from.x, y: heightMm / 2 },
        ],
      },
      sideRun(sides.right.id, [begins, begins + ends[0]], heightMm, true),
      ...runsFrom(plaque.runs, begins + ends[0]),
      sideRun(sides.left.id, [begins + ends[1], begins + plate.restMm], heightMm, false),
    ],
    cords: welt ? [{ piece: welt.id, line: 'over-front' }] : [],
    zip: { fromMm: begins + ends[0], toMm: begins + ends[1], share: plaque.split },
  };
}
