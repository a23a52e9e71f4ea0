import { grow } from '../../../geometry/offset';
import { perimeter } from '../../../geometry/outline';
import { law, type Figure } from '../../../kernel/figure';
import type { Piece } from '../../../piece/piece';
import type { Slope } from '../../../piece/sizes';
import type { CoverRequest } from '../../contract';
import type { Band } from '../../parts/boxing';
import { clothPiece } from '../../parts/cloth-piece';
import { slantedPlate } from '../../parts/panels';
import { domedPlate, plateMarks } from '../../parts/plate';

/** What goes on the top and on the bottom: one piece cut twice, unless they differ. */
export interface Plates {
  readonly top: Piece;
  readonly bottom: Piece;
  readonly eased: Figure | null;
}

const notches = (piece: Piece): Piece => ({ ...piece, remark: `${piece.marks.length} notches` });

/** One plate of two that differ. */
const single = (one: Piece, which: 'top' | 'bottom'): Piece => ({
  ...one,
  id: `plate-${which}`,
  label: `${which} plate`,
  part: { index: which === 'bottom' ? 1 : 2, of: 2 },
  countPerCushion: 1,
  material: { kind: 'cloth', slot: which === 'bottom' ? 'bottom' : 'main' },
});

/** The top plate of a wedge: along the slope, with the notches of its own edges. */
function sloping(request: CoverRequest, slope: Slope, bottom: Piece): Piece {
  const sewn = slantedPlate(request.sizes, slope);
  const cut = grow(sewn, request.sizes.seam.value);
  const by = slope.slant.value - request.sizes.sewn.depth.value;
  return {
    ...bottom,
    height: slope.slantCut,
    outline: cut.ok ? cut.outline : sewn,
    sewn,
    // The back's notches move with the back; those of ties and buttons keep their distance from the front.
    marks: bottom.marks.map((mark) => (mark.outward.y > 0 ? { ...mark, at: { x: mark.at.x, y: mark.at.y + by } } : mark)),
  };
}

/** The plates of a boxed cover: alike, or apart where the cushion slopes, one face is crowned, or the bottom is of a cloth of its own. */
export function platesOf(request: CoverRequest, band: Band): Plates {
  const { sizes, dome, cloth } = request;
  const flat = clothPiece('main', {
    id: 'plate',
    role: 'plate',
    label: 'plate',
    countPerCushion: 2,
    width: sizes.cut.width,
    height: sizes.cut.depth,
    outline: request.cut,
    sewn: request.sewn,
    marks: plateMarks(request, band.zip),
  });
  const over = sizes.slope ? sloping(request, sizes.slope, flat) : flat;
  const made = dome ? domedPlate(over, dome.outline, sizes.seam) : { plate: over, eased: null };
  const alike = !sizes.slope && (!dome || dome.faces === 2) && cloth('bottom') === cloth('main');
  if (alike) {
    const both = notches(made.plate);
    return { top: both, bottom: both, eased: made.eased };
  }
  const under = dome?.faces === 2 && !sizes.slope ? made.plate : flat;
  return { top: notches(single(made.plate, 'top')), bottom: notches(single(under, 'bottom')), eased: made.eased };
}

/** What is eased in along a plate: nothing on one that is flat. */
export function easedOn(plate: Piece, { eased }: Plates, request: CoverRequest): number {
  return eased && request.dome && plate.sewn === request.dome.outline ? eased.value : 0;
}

/** Seam line of the plate on the slope of a wedge, round. */
export function roundOnSlope({ sizes }: CoverRequest, slope: Slope): Figure {
  const sewn = slantedPlate(sizes, slope);
  return law('seam line round, on the slope', '2 × ({0} + {1})', [sizes.sewn.width, slope.slant], () => perimeter(sewn));
}
