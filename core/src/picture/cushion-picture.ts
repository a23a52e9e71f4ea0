import { linePicture, PICTURE_DOTS, type LinePicture, type PictureLine } from '../form/solid/line-picture';
import type { Solid, Vertex } from '../form/solid/solid';
import { projected, USUAL_VIEW, type View3 } from '../form/stage';
import type { Point } from '../geometry/point';
import type { Planned } from '../plan/cushion/cushion-plan';
import { isButton, plateMarksOf } from './plate-marks';
import { solidOf } from './solid';

/** Half the size of a button in the picture, mm, and of how many points its ring is. */
const BUTTON_MM = 8;
const RING = 12;

/** The place of the upper face nearest to a point of the plan: of the vertices near it the uppermost. */
function onTop({ parts }: Solid, { x, y }: Point): Vertex | null {
  let best: { readonly place: Vertex; readonly away: number } | null = null;
  for (const { kind, positions } of parts) {
    if (kind !== 'cover') continue;
    for (let i = 0; i < positions.length; i += 3) {
      const place = { x: positions[i] as number, y: positions[i + 1] as number, z: positions[i + 2] as number };
      const away = Math.hypot(place.x - x, place.y - y);
      // A vertex of the underside is as near in the plan: the upper one counts.
      if (!best || away < best.away - 1e-6 || (away < best.away + 1e-6 && place.z > best.place.z)) best = { place, away };
    }
  }
  return best && { ...best.place, x, y };
}

/** The buttons and tufts of the upper face as rings lying on it. */
function buttonRings(one: Planned, solid: Solid, view: View3): PictureLine[] {
  const to = projected(view);
  return plateMarksOf(one.cover)
    .filter(isButton)
    .flatMap(({ at }): PictureLine[] => {
      const middle = onTop(solid, at);
      if (!middle) return [];
      const points = Array.from({ length: RING + 1 }, (_, k) => {
        const a = (2 * Math.PI * k) / RING;
        const { x, y } = to({ ...middle, x: middle.x + BUTTON_MM * Math.cos(a), y: middle.y + BUTTON_MM * Math.sin(a) });
        return { x, y };
      });
      return [{ kind: 'seam', points }];
    });
}

/** A planned cushion made up, as a line drawing from its mesh: seams, welts, buttons, and only what is seen. Null where nothing is to be shown. Takes a tenth of a second or two; less with fewer `dots` along its longer side. */
export function cushionPicture(one: Planned, view: View3 = USUAL_VIEW, dots = PICTURE_DOTS): LinePicture | null {
  const solid = solidOf(one);
  if (!solid) return null;
  const picture = linePicture(solid, view, dots);
  return { ...picture, lines: [...picture.lines, ...buttonRings(one, solid, view)] };
}
