import { flatFace, stripRun, type Skin } from '../../../form/skin';
import { alongOutline } from '../../../geometry/along';
import { outlineBounds } from '../../../geometry/outline';
import { segmentLength } from '../../../geometry/segment';
import { ON_LINE_MM } from '../../../piece/seam';
import type { FrontAndRest } from '../../band/front';
import type { CoverRequest } from '../../contract';
import type { PullOverPieces } from './pieces';
import { underneath } from './sizes';

/** How a pull-over's pieces lie over core and frame, as far as the frame's lower edge: what is turned under is not seen. */
export function pullOverSkin({ plate, band, radius }: PullOverPieces, { sewn, sizes, assume }: CoverRequest, { front }: FrontAndRest): Skin {
  const heightMm = sizes.sewn.height.value;
  const { line, hold } = underneath(assume);
  const lowerY = line.value + hold.value;
  const begins = alongOutline(sewn, front.to, ON_LINE_MM) ?? 0;
  // Round the front's edge the panel lies on a quarter of a turn: so far below the frame's outline it comes down upright at the top of the core.
  const topY = front.from.y - (Math.PI / 2 - 2) * radius.value;
  let along = begins;
  const sides = band.map((piece) => {
    const box = outlineBounds(piece.sewn ?? piece.outline);
    const fromMm = along;
    along += box.maxX - box.minX;
    return stripRun(piece.id, { fromMm, toMm: along, x: box.minX }, { lowerY, upperY: lowerY + heightMm });
  });
  return {
    upper: flatFace(plate.id),
    lower: null,
    band: [stripRun(plate.id, { fromMm: begins - segmentLength(front), toMm: begins, x: front.from.x }, { lowerY: topY - heightMm, upperY: topY }), ...sides],
    cords: [],
  };
}
