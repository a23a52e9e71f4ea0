import { isCorner } from '../../geometry/measure';
import { grow } from '../../geometry/offset';
import { edgeSpans, flatten, outlineBounds, perimeter, stationAt, type Outline } from '../../geometry/outline';
import { straightOut } from '../../geometry/straight-out';
import type { Segment } from '../../geometry/segment';
import { given, measuredOn, minus, plus, sum, type Figure } from '../../kernel/figure';
import { isNotch, type Mark, type Piece } from '../../piece/piece';
import { SAME_SIZE_MM } from '../../piece/sizes';
import { buttonAt, tieAlong } from '../../template/marks';
import type { CoverRequest } from '../contract';
import { cornersOf } from '../band/corners';

/** Whether a seam line has no corner at all: its quarters are notched instead. */
export const smooth = ({ segments }: Outline): boolean =>
  segments.every((segment, i) => segment.edge !== 'corner' && !isCorner(segment, segments[(i + 1) % segments.length] as Segment));

/** The ties of a cover, mm round its seam line. */
export function tiesOf({ marks, sewn }: Pick<CoverRequest, 'marks' | 'sewn'>): number[] {
  return marks.flatMap((mark) => {
    const along = mark.kind === 'tie' ? tieAlong(sewn, mark) : null;
    return along === null ? [] : [along];
  });
}

/** The notches of a plate on its seam line: centres, corners or quarters, the zip's ends where there is one, ties; and where buttons go. */
export function plateMarks(request: Pick<CoverRequest, 'marks' | 'sewn'>, zip: { readonly startMm: number; readonly endMm: number } | null): Mark[] {
  const { sewn } = request;
  const spans = edgeSpans(sewn);
  const middle = (edge: 'front' | 'back'): number[] => spans.filter((s) => s.edge === edge).map((s) => (s.start + s.end) / 2);
  const mark =
    (kind: Mark['kind']) =>
    (along: number): Mark => {
      const { at, outward } = stationAt(sewn, along);
      return { kind, at, outward };
    };
  return [
    ...middle('front').map(mark('centre-front')),
    ...middle('back').map(mark('centre-back')),
    // A square corner marks itself; one that turns in is clipped to the stitch.
    ...cornersOf(sewn)
      .filter((c) => c.end > c.start || smooth(sewn))
      .map((c) => mark('corner')((c.start + c.end) / 2)),
    ...(zip ? [zip.startMm, zip.endMm].map(mark('zip-end')) : []),
    ...tiesOf(request).map(mark('tie')),
    ...request.marks.flatMap((one): Mark[] => (one.kind === 'button' ? [{ kind: 'button', at: buttonAt(sewn, one), outward: { x: 0, y: 0 } }] : [])),
  ];
}

/** How far off a domed edge is looked for, mm. */
const REACH_MM = 60;

/** A plate domed for its crown: its cut line, its sewing line and its notches, and what is eased in when it meets the flat band. */
export function domedPlate(plate: Piece, dome: Outline, seam: Figure): { readonly plate: Piece; readonly eased: Figure } {
  const cut = grow(dome, seam.value);
  const outline = cut.ok ? cut.outline : dome;
  const box = outlineBounds(outline);
  const polygon = flatten(dome, 0.02);
  const flatMm = plate.sewn ? perimeter(plate.sewn) : 0;
  const round = given('round the domed plate', perimeter(dome), 'measured');
  const band = given('round the flat seam line', flatMm, 'measured');
  return {
    plate: {
      ...plate,
      width: domed(plate.width, box.maxX - box.minX),
      height: domed(plate.height, box.maxY - box.minY),
      outline,
      sewn: dome,
      marks: plate.marks.map((mark): Mark => (!isNotch(mark) ? mark : { ...mark, at: straightOut(polygon, mark.at, mark.outward, REACH_MM) })),
    },
    eased: sum('eased in', round, minus(band)),
  };
}

function domed(flat: Figure, mm: number): Figure {
  return Math.abs(flat.value - mm) <= SAME_SIZE_MM ? flat : sum(flat.name, flat, plus(measuredOn('for the crown', mm - flat.value, 'across the domed plate')));
}
