import { grow } from '../../geometry/offset';
import { perimeter } from '../../geometry/outline';
import { given, law, plus, sum, type Figure } from '../../kernel/figure';
import { issue, type Issue } from '../../kernel/issue';
import { isNotch, type Mark, type Piece } from '../../piece/piece';
import type { Slope } from '../../piece/sizes';
import type { CoverRequest } from '../contract';
import type { Band } from '../band/band';
import { clothPiece } from '../sewing/cloth-piece';
import { slantedPlate } from '../band/panels';
import { domedPlate, plateMarks } from '../plate/plate';
import { piecedPlate, usableFigure, wholePlate, type Plate } from '../plate/wide';
import type { Box } from './choices';

/** What goes on the top and on the bottom: one cut twice, unless they differ. */
export interface Plates {
  readonly top: Plate;
  readonly bottom: Plate;
  /** What a domed plate has more than the band. */
  readonly eased: Figure | null;
  readonly problems: readonly Issue[];
}

const notches = (piece: Piece): Piece => ({ ...piece, remark: `${piece.marks.filter(isNotch).length} notches` });

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
  const { sizes } = request;
  const sewn = slantedPlate(sizes, slope);
  const cut = grow(sewn, (sizes.flange ?? sizes.seam).value);
  const by = slope.slant.value - sizes.sewn.depth.value;
  return {
    ...bottom,
    height: slope.slantCut,
    outline: cut.ok ? cut.outline : sewn,
    sewn,
    // The back's notches move with the back; those of ties and buttons keep their distance from the front.
    marks: bottom.marks.map((mark) => (mark.outward.y > 0 ? { ...mark, at: { x: mark.at.x, y: mark.at.y + by } } : mark)),
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

/** A plate as its cloth allows: whole, or where it is wider and the choice is so, of a middle and two sides. */
function asCut(plate: Piece, easedMm: number, choices: Box, request: CoverRequest): { readonly plate: Plate; readonly problems: Issue[] } {
  const whole = { plate: wholePlate(plate, easedMm), problems: [] };
  if (plate.material.kind !== 'cloth') return whole;
  const { usableMm, railroaded } = request.cloth(plate.material.slot);
  const plateMm = railroaded ? plate.height.value : plate.width.value;
  if (plateMm <= usableMm) return whole;
  const pieced = choices.wide === 'pieced' && !railroaded ? piecedPlate(plate, usableFigure(usableMm), request.sizes.seam, easedMm) : null;
  if (pieced) return { plate: pieced, problems: [] };
  const code = choices.wide === 'pieced' ? 'plate-cannot-be-pieced' : 'plate-wider-than-cloth';
  return {
    ...whole,
    problems: [issue('error', code, choices.wide === 'pieced' ? 'construction.wide' : 'cloth.widthMm', { plateMm, usableMm, railroaded: railroaded ? 1 : 0 })],
  };
}

/** The flat plates before anything is sewn to them: top and bottom, one object where they are alike. */
export interface FlatPlates {
  readonly top: Piece;
  readonly bottom: Piece;
  readonly topEased: number;
  readonly bottomEased: number;
  readonly eased: Figure | null;
}

/** The plates of a boxed cover: alike, or apart where the cushion slopes, one face is crowned, one is welted with a flange of its own, or the bottom is of another cloth. */
export function flatPlates(choices: Box, request: CoverRequest, band: Band, chalked: readonly Mark[]): FlatPlates {
  const { sizes, dome, cloth } = request;
  const allowance = sizes.flange ?? sizes.seam;
  const flat = clothPiece('main', {
    id: 'plate',
    role: 'plate',
    label: 'plate',
    countPerCushion: 2,
    width: sizes.cut.width,
    height: sizes.cut.depth,
    outline: request.cut,
    sewn: request.sewn,
    marks: [...plateMarks(request, band.zip), ...chalked],
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

/** The plates as their cloths allow; `bottom` with the lines of what is sewn onto it. */
export function platesOf(flat: FlatPlates, bottom: Piece, choices: Box, request: CoverRequest): Plates {
  const top = asCut(flat.top, flat.topEased, choices, request);
  const under = flat.top === flat.bottom && flat.bottom === bottom ? top : asCut(bottom, flat.bottomEased, choices, request);
  return { top: top.plate, bottom: under.plate, eased: flat.eased, problems: under === top ? top.problems : [...top.problems, ...under.problems].slice(0, 1) };
}

/** Seam line of the plate on the slope of a wedge, round. */
export function roundOnSlope({ sizes }: CoverRequest, slope: Slope): Figure {
  const sewn = slantedPlate(sizes, slope);
  return law('seam line round, on the slope', '2 × ({0} + {1})', [sizes.sewn.width, slope.slant], () => perimeter(sewn));
}

/** Left open at the back of a cover closed by hand: all of it but what is sewn at each end; for what cannot be squeezed all of it and round both corners. */
export function handOpening({ sizes, assume, contents }: CoverRequest, backMm: number): Figure {
  const back = law('back edge', 'back of {0}', [sizes.sewn.width], () => backMm);
  if (contents.stiff && !sizes.slope) return sum('opening', back, plus(given('round each corner', assume('zipReturnMm'), 'shop'), 2));
  const end = given('sewn at each end', assume('sewnEndMm'), 'shop');
  return law('opening', '{0} − 2 × {1}', [back, end], (b = 0, e = 0) => Math.max(0, b - 2 * e));
}
