import { edgeSpans, outlineBounds, stationAt, type Outline } from '../../../geometry/outline';
import type { Point } from '../../../geometry/point';
import { pointOn } from '../../../geometry/segment';
import { crossingsOf, sliced } from '../../../geometry/transform';
import { given, law, plus, sum, type Figure } from '../../../kernel/figure';
import type { Mark, Piece } from '../../../piece/piece';
import type { Stretch } from '../../../piece/seam';
import { withoutEars } from '../../../template/ears';
import type { CoverRequest } from '../../contract';
import { allRound, clothPiece } from '../../sewing/cloth-piece';
import { offsetOrNull } from '../../band/ring';
import { openingOnSide } from '../../sewing/own-zip';
import { KNIFE_EDGE_CONSTANTS } from './constants';

/** The two halves of an envelope back, by id. */
export const BACK_HALVES = ['plate-back-lower', 'plate-back-upper'] as const;

/** Where a side is left open: two places on the seam line and the way between them, mm. */
export interface Opening {
  readonly from: Point;
  readonly to: Point;
  readonly mm: number;
  /** The same with where it comes from. */
  readonly figure: Figure;
  readonly marks: readonly Mark[];
}

/** The cut line and the seam line of one plate: the insert's own, its corners taken in so that they do not stand out as ears. */
export function plateLines({ core, sizes, assume }: CoverRequest): { readonly cut: Outline; readonly sewn: Outline } {
  const cut = withoutEars(core, assume('earTrimMm'), assume('earRunOut'));
  return { cut, sewn: offsetOrNull(cut, -sizes.seam.value) ?? cut };
}

/** An opening in the middle of the back edge of a seam line: as long as the cover's own zip, or all but what is sewn at each end; null where nothing would stay open. */
export function openingAt(sewn: Outline, kind: 'zip-end' | 'open-end', { ownZip, assume }: Pick<CoverRequest, 'ownZip' | 'assume'>): Opening | null {
  const span = edgeSpans(sewn)
    .filter(({ edge }) => edge === 'back')
    .sort((a, b) => b.end - b.start - (a.end - a.start))[0];
  if (!span) return null;
  const side = span.end - span.start;
  const figure = openingOnSide(kind === 'zip-end' ? ownZip : null, side, given('sewn at each end', assume('sewnEndMm'), 'shop'));
  if (figure.value <= 0) return null;
  const endMm = (side - figure.value) / 2;
  const [from, to] = [stationAt(sewn, span.start + endMm), stationAt(sewn, span.end - endMm)];
  const marks = [from, to].map(({ at, outward }): Mark => ({ kind, at, outward }));
  return { from: from.at, to: to.at, figure, mm: figure.value, marks };
}

/** The plate that is cut twice. */
export function wholePlate(request: CoverRequest, lines: ReturnType<typeof plateLines>, count: 1 | 2, marks: readonly Mark[]): Piece {
  const { sizes } = request;
  return clothPiece('main', {
    id: count === 2 ? 'plate' : 'plate-front',
    role: 'plate',
    label: count === 2 ? 'plate' : 'front plate',
    remark: 'corners trimmed',
    countPerCushion: count,
    facing: count === 2 ? 'each-way' : 'up',
    width: sizes.cut.width,
    height: sizes.cut.depth,
    outline: lines.cut,
    sewn: lines.sewn,
    marks,
  });
}

/** The two halves of an envelope back, and the stretches of their seam lines that together meet the front's. Null where a straight cut does not part the outline in two. */
export function envelopeBack(
  request: CoverRequest,
  { cut, sewn }: ReturnType<typeof plateLines>,
): { readonly lower: Piece; readonly upper: Piece; readonly edge: readonly Stretch[] } | null {
  const { sizes, assume } = request;
  const lap = given('overlap', assume(KNIFE_EDGE_CONSTANTS.envelopeOverlapMm) / 2, 'shop');
  const hem = given('hem', sizes.seam.value, 'shop');
  const { minY, maxY } = outlineBounds(cut);
  const middle = (minY + maxY) / 2;
  const reach = lap.value + hem.value;
  const outlines = [
    sliced(cut, 'y', minY, middle + reach),
    sliced(sewn, 'y', minY, middle + lap.value),
    sliced(cut, 'y', middle - reach, maxY),
    sliced(sewn, 'y', middle - lap.value, maxY),
  ];
  const ends = crossings(sewn, middle);
  if (outlines.some((one) => one === null) || ends.length !== 2) return null;
  const [lowerCut, lowerSewn, upperCut, upperSewn] = outlines as [Outline, Outline, Outline, Outline];
  const height = sum('half', law('half the depth', '{0} ÷ 2', [sizes.cut.depth]), plus(lap), plus(hem));
  const half = (which: 'lower' | 'upper', outline: Outline, line: Outline): Piece =>
    clothPiece('bottom', {
      id: BACK_HALVES[which === 'lower' ? 0 : 1],
      role: 'plate',
      label: `back, ${which} half`,
      remark: 'hemmed',
      facing: 'down',
      part: { index: which === 'lower' ? 1 : 2, of: 2 },
      width: sizes.cut.width,
      height,
      outline,
      sewn: line,
    });
  const [left, right] = (ends[0] as Point).x < (ends[1] as Point).x ? (ends as [Point, Point]) : ([ends[1], ends[0]] as [Point, Point]);
  return {
    lower: half('lower', lowerCut, lowerSewn),
    upper: half('upper', upperCut, upperSewn),
    // From middle to middle, each by its own half: where they overlap only one is counted.
    edge: [
      { piece: BACK_HALVES[0], from: left, to: right },
      { piece: BACK_HALVES[1], from: right, to: left },
    ],
  };
}

function crossings({ segments }: Outline, y: number): Point[] {
  return segments.flatMap((segment) => crossingsOf(segment, 'y', y).map((along) => pointOn(segment, along)));
}

/** The whole round of a plate, or what is left of it beside an opening. */
export function besideOpening(plate: Piece, opening: Opening | null): Stretch {
  return opening ? { piece: plate.id, from: opening.to, to: opening.from } : allRound(plate);
}
