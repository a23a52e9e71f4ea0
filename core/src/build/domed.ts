import { outlineBounds, perimeter, flatten, type Outline } from '../geometry/outline';
import { cross, minusPoint, plusPoint, type Point } from '../geometry/point';
import { grow } from '../geometry/offset';
import { given, law, type Figure } from '../kernel/figure';
import type { Mark, Piece } from '../piece/piece';
import type { Crown } from './crown';
import { reaching } from './outlines';

/** How a face is made to stand proud: the plate bowed out, or left flat and drawn in. */
export const CROWN_WAYS = ['bow', 'flat'] as const;

/** A question for the crown of a face. The same request always gives the same answer. */
export interface CrownAsk {
  readonly format: 'yardland/crown-ask@1';
  readonly outline: Outline;
  readonly crownMm: number;
  readonly pads: number;
}

export interface CrownAnswer extends Crown {
  readonly format: 'yardland/crown-answer@1';
}

/** How far off a bowed edge is looked for, mm. */
const REACH_MM = 60;

/** A place of the flat seam line on the bowed one: straight out from it. */
function onBow(polygon: readonly Point[], at: Point, outward: Point): Point {
  let best: number | null = null;
  polygon.forEach((a, i) => {
    const way = minusPoint(polygon[(i + 1) % polygon.length] as Point, a);
    const across = cross(outward, way);
    if (Math.abs(across) < 1e-12) return;
    const gap = minusPoint(a, at);
    const out = cross(gap, way) / across;
    const along = cross(gap, outward) / across;
    if (along >= -1e-9 && along <= 1 + 1e-9 && Math.abs(out) <= REACH_MM && (best === null || Math.abs(out) < Math.abs(best))) best = out;
  });
  return best === null ? at : plusPoint(at, outward, best);
}

/** A plate bowed out for its crown: its cut line, its sewing line and its notches, and what is eased in when it meets the flat band. */
export function domedPlate(plate: Piece, { bowed }: Pick<CrownAnswer, 'bowed'>, seam: Figure): { readonly plate: Piece; readonly eased: Figure } {
  const cut = grow(bowed, seam.value);
  const outline = cut.ok ? cut.outline : bowed;
  const box = outlineBounds(outline);
  const polygon = flatten(bowed, 0.05);
  const flatMm = plate.sewn ? perimeter(plate.sewn) : 0;
  const bowedFigure = given('round the bowed plate', perimeter(bowed), 'counted');
  const band = given('round the flat seam line', flatMm, 'counted');
  return {
    plate: {
      ...plate,
      width: bulged(plate.width, box.maxX - box.minX),
      height: bulged(plate.height, box.maxY - box.minY),
      outline,
      sewn: bowed,
      marks: plate.marks.map((mark): Mark => (mark.kind === 'button' ? mark : { ...mark, at: onBow(polygon, mark.at, mark.outward) })),
    },
    eased: law('eased in', '{0} − {1}', [bowedFigure, band], (a = 0, b = 0) => a - b),
  };
}

function bulged(flat: Figure, mm: number): Figure {
  const as = reaching(flat, mm);
  return as === flat ? flat : law(flat.name, '{0} flat, bowed out for the crown', [flat], () => mm);
}
