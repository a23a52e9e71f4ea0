import { grow } from '../../geometry/offset';
import { outlineBounds, perimeter, stationAt, type Outline } from '../../geometry/outline';
import { SAME_POINT_MM } from '../../geometry/tolerance';
import { atLeastNone, given, lawOrMeasured, measuredOn, minus, plus, sum, type Figure } from '../../kernel/figure';
import { isNotch, type Mark, type Piece } from '../../piece/piece';
import type { Slope } from '../../piece/sizes';
import type { CoverRequest } from '../contract';
import type { Band } from '../band/band';
import { clothPiece } from '../sewing/cloth-piece';
import { slantedPlate } from '../band/panels';
import { domedPlate, plateMarks } from '../plate/plate';
import type { Box } from './choices';

const notches = (piece: Piece): Piece => ({ ...piece, remark: `${piece.marks.filter(isNotch).length} notches` });

/** Notches at both ends of an opening that is closed by hand. */
function openEnds(sewn: Outline, { byHand }: Band): Mark[] {
  return (byHand ? [byHand.startMm, byHand.endMm] : []).map((along): Mark => {
    const { at, outward } = stationAt(sewn, along);
    return { kind: 'open-end', at, outward };
  });
}

/** One plate of two that differ. */
const single = (one: Piece, which: 'top' | 'bottom'): Piece => ({
  ...one,
  id: `plate-${which}`,
  label: `${which} plate`,
  part: { index: which === 'bottom' ? 1 : 2, of: 2 },
  countPerCushion: 1,
  facing: which === 'bottom' ? 'down' : 'up',
  material: { kind: 'cloth', slot: which === 'bottom' ? 'bottom' : 'main' },
});

/** The top plate of a wedge: along the slope, with the notches of its own edges. */
function sloping(request: CoverRequest, slope: Slope, bottom: Piece): Piece {
  const { sizes } = request;
  const sewn = slantedPlate(sizes, slope);
  const cut = grow(sewn, (sizes.flange ?? sizes.seam).value);
  const by = slope.slant.value - sizes.sewn.depth.value;
  const backY = outlineBounds(request.sewn).maxY;
  return {
    ...bottom,
    height: slope.slantCut,
    outline: cut.ok ? cut.outline : sewn,
    sewn,
    // The back's notches move with the back; those of ties and buttons keep their distance from the front.
    marks: bottom.marks.map((mark) => (mark.outward.y > 0 || mark.at.y > backY - SAME_POINT_MM ? { ...mark, at: { x: mark.at.x, y: mark.at.y + by } } : mark)),
  };
}

/** A bottom plate without a welt of its own: the same seam line, cut with the plain seam's allowance. */
function unwelted({ sizes, sewn }: CoverRequest, plate: Piece): Piece {
  const cut = grow(sewn, sizes.seam.value);
  return {
    ...plate,
    width: sum('cut', sizes.sewn.width, plus(sizes.seam, 2)),
    height: sum('cut', sizes.sewn.depth, plus(sizes.seam, 2)),
    outline: cut.ok ? cut.outline : plate.outline,
  };
}

/** What goes on the top and on the bottom: one object where they are alike, cut twice. */
export interface Plates {
  readonly top: Piece;
  readonly bottom: Piece;
  /** What each has more than the band, eased in, mm. */
  readonly topEased: number;
  readonly bottomEased: number;
  readonly eased: Figure | null;
}

/** The plates of a boxed cover: alike, or apart where the cushion slopes, one face is crowned, one is welted with a flange of its own, or the bottom is of another cloth. */
export function platesFor(choices: Box, request: CoverRequest, band: Band, chalked: readonly Mark[]): Plates {
  const { sizes, dome, cloth } = request;
  const allowance = sizes.flange ?? sizes.seam;
  const flat = clothPiece('main', {
    id: 'plate',
    role: 'plate',
    label: 'plate',
    countPerCushion: 2,
    facing: 'each-way',
    width: sizes.cut.width,
    height: sizes.cut.depth,
    outline: request.cut,
    sewn: request.sewn,
    marks: [...plateMarks(request, band.zip), ...openEnds(request.sewn, band), ...chalked],
  });
  const over = sizes.slope ? sloping(request, sizes.slope, flat) : flat;
  const made = dome ? domedPlate(over, dome.outline, allowance) : { plate: over, eased: null };
  const easedMm = made.eased?.value ?? 0;
  const plainBottom = sizes.flange !== null && choices.weltOn === 'top';
  const patched = choices.drain === 'mesh' || choices.base === 'anti-slip';
  const alike = !sizes.slope && (!dome || dome.faces === 2) && !plainBottom && !patched && cloth('bottom') === cloth('main');
  if (alike) {
    const both = notches(made.plate);
    return { top: both, bottom: both, topEased: easedMm, bottomEased: easedMm, eased: made.eased };
  }
  const domedUnder = dome?.faces === 2 && !sizes.slope;
  const under = domedUnder ? made.plate : plainBottom ? unwelted(request, flat) : flat;
  return {
    top: notches(single(made.plate, 'top')),
    bottom: notches(single(under, 'bottom')),
    topEased: easedMm,
    bottomEased: domedUnder ? easedMm : 0,
    eased: made.eased,
  };
}

/** Seam line of the plate on the slope of a wedge, round. */
export function roundOnSlope({ sizes }: CoverRequest, slope: Slope): Figure {
  const sewn = slantedPlate(sizes, slope);
  return lawOrMeasured('seam line round, on the slope', perimeter(sewn), '2 × ({0} + {1})', [sizes.sewn.width, slope.slant]);
}

/** Left open at the back of a cover closed by hand: all of it but what is sewn at each end; for what cannot be squeezed all of it and round both corners. */
export function handOpening({ sizes, assume, contents }: CoverRequest, backMm: number): Figure {
  const back = measuredOn('back edge', backMm, 'along the back of {0}', [sizes.sewn.width]);
  if (contents.stiff && !sizes.slope) return sum('opening', back, plus(given('round each corner', assume('zipReturnMm'), 'shop'), 2));
  const end = given('sewn at each end', assume('sewnEndMm'), 'shop');
  return atLeastNone(sum('opening', back, minus(end, 2)));
}
