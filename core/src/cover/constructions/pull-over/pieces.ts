import { aheadOn } from '../../../geometry/around';
import { growEdges, grow, type EdgeAmounts } from '../../../geometry/offset';
import { alongOutline } from '../../../geometry/along';
import { outlineBounds, perimeter, rectangleOutline, stationAt, type Outline } from '../../../geometry/outline';
import type { Point } from '../../../geometry/point';
import { arcAbout, line, segmentLength, type Segment } from '../../../geometry/segment';
import { given, law, lawOrMeasured, measuredOn, minus, plus, renamed, sum, type Figure } from '../../../kernel/figure';
import { PLAIN_PIECE, type Mark, type Piece } from '../../../piece/piece';
import { ON_LINE_MM, type Stretch } from '../../../piece/seam';
import type { CoverRequest } from '../../contract';
import { clothPiece } from '../../sewing/cloth-piece';
import { cornersOf } from '../../band/corners';
import type { FrontAndRest } from '../../band/front';
import { placeJoins, stripLengths } from '../../band/joins';
import { plateJoins } from '../../plate/wide';
import { dropOf, frameEdge, underneath } from './sizes';
import type { PullOver } from './choices';
import { enteredOr } from '../../sewing/entered-or';
import { PULL_OVER_CONSTANTS } from './constants';

/** A quarter turn saves this much of its radius on a square corner: 2 − π/2. */
const QUARTER_SAVED = 2 - Math.PI / 2;

export interface PullOverPieces {
  readonly plate: Piece;
  /** The side band, in its parts from the front's right end round to its left. */
  readonly band: readonly Piece[];
  readonly dustCover: Piece | null;
  readonly crownStrip: Piece | null;
  /** The seam of plate and band as far as it is sewn: down both ends of the front to the frame's lower edge. */
  readonly plateRun: Stretch;
  readonly bandRun: readonly Stretch[];
  readonly radius: Figure;
  readonly tooNarrow: boolean;
}

/** The core's upper edge at the front: as chosen, at most the core's own height. */
function radiusFor({ frontRadiusMm }: PullOver, { sizes: { core }, assume }: CoverRequest): Figure {
  const chosen = enteredOr('front radius', frontRadiusMm, 'frontRadiusMm', assume);
  return chosen.value <= core.height.value ? chosen : renamed('front radius', core.height);
}

/** The top panel: the frame's outline, its front running on over the edge and under. */
function topPanel(request: CoverRequest, { front, rest }: FrontAndRest, drop: Figure, sewnDown: number): { readonly plate: Piece; readonly run: Stretch } {
  const { sizes } = request;
  const { seam } = sizes;
  const [left, right] = [front.from, front.to];
  const below = (p: Point, mm: number): Point => ({ x: p.x, y: p.y - mm });
  const sewn: Outline = {
    segments: [
      line('front', below(left, drop.value), below(right, drop.value)),
      line('corner', below(right, drop.value), right),
      ...rest,
      line('corner', left, below(left, drop.value)),
    ],
  };
  const amounts: EdgeAmounts = { front: 0, right: seam.value, back: seam.value, left: seam.value, corner: seam.value };
  const grown = growEdges(sewn, amounts);
  const outline = grown.ok ? grown.outline : sewn;
  const box = outlineBounds(outline);
  const middle = { x: (left.x + right.x) / 2, y: left.y - drop.value };
  const plate = clothPiece('main', {
    id: 'plate',
    role: 'plate',
    label: 'top panel',
    remark: 'runs on over the front and under',
    width: lawOrMeasured('top panel, cut', box.maxX - box.minX, '{0} + 2 × {1}', [sizes.sewn.width, seam]),
    height: lawOrMeasured('top panel, cut', box.maxY - box.minY, '{0} + {1} + {2}', [sizes.sewn.depth, seam, drop]),
    outline,
    sewn,
    marks: [
      { kind: 'centre-front', at: { x: middle.x, y: middle.y + seam.value }, outward: { x: 0, y: -1 } },
      { kind: 'quarter', at: below(right, sewnDown), outward: { x: 1, y: 0 } },
      { kind: 'quarter', at: below(left, sewnDown), outward: { x: -1, y: 0 } },
      ...placesOn({ front, rest }).map(({ kind, at, outward }): Mark => ({ kind, at, outward })),
    ],
  });
  return { plate, run: { piece: plate.id, from: below(right, sewnDown), to: below(left, sewnDown) } };
}

/** Centre back and corners of the sides and the back, mm from the front's right end, where they are on the outline. */
function placesOn({ rest }: FrontAndRest): { readonly kind: Mark['kind']; readonly along: number; readonly at: Point; readonly outward: Point }[] {
  const open: Outline = { segments: rest };
  let along = 0;
  const runs = rest.map((segment) => {
    const from = along;
    along += segmentLength(segment);
    return { segment, from, to: along };
  });
  const backs = runs.filter(({ segment }) => segment.edge === 'back');
  const middle = backs.length ? ((backs[0]?.from ?? 0) + (backs.at(-1)?.to ?? 0)) / 2 : along / 2;
  const corners = cornersOf(open)
    .map(({ start, end }) => (start + end) / 2)
    .filter((mm) => mm > 1 && mm < along - 1);
  return [
    { kind: 'centre-back' as const, along: middle, ...stationAt(open, middle) },
    ...corners.map((mm) => ({ kind: 'corner' as const, along: mm, ...stationAt(open, mm) })),
  ];
}

interface BandPart extends Pick<Piece, 'id' | 'label' | 'part' | 'marks'> {
  /** How long it is along the seam. */
  readonly run: Figure;
  readonly radiusMm: number;
  /** Which of its ends come to the front. */
  readonly rounded: { readonly left: boolean; readonly right: boolean };
  readonly heightMm: number;
}

/** One part of the side band, seen from outside; an end at the front is rounded above like the core. */
function bandPart({ sizes }: CoverRequest, { id, label, part, run, radiusMm, rounded, heightMm, marks }: BandPart): Piece {
  const { seam, boxingCut } = sizes;
  const [w, h, r] = [run.value, heightMm, radiusMm];
  const quarter = (cx: number, from: Point): Segment => arcAbout('corner', { x: cx, y: h - r }, from, Math.PI / 2);
  const segments: Segment[] = [
    line('front', { x: 0, y: 0 }, { x: w, y: 0 }),
    ...(rounded.right
      ? [line('right', { x: w, y: 0 }, { x: w, y: h - r }), quarter(w - r, { x: w, y: h - r })]
      : [line('right', { x: w, y: 0 }, { x: w, y: h })]),
    line('back', { x: rounded.right ? w - r : w, y: h }, { x: rounded.left ? r : 0, y: h }),
    ...(rounded.left ? [quarter(r, { x: r, y: h }), line('left', { x: 0, y: h - r }, { x: 0, y: 0 })] : [line('left', { x: 0, y: h }, { x: 0, y: 0 })]),
  ];
  const sewn: Outline = { segments };
  const cut = growEdges(sewn, { front: 0, right: seam.value, back: seam.value, left: seam.value, corner: seam.value });
  return clothPiece('boxing', {
    id,
    label,
    part,
    role: 'band',
    remark: 'left long underneath, trimmed at the end',
    width: sum('side band, cut', run, plus(seam, 2)),
    height: boxingCut,
    outline: cut.ok ? cut.outline : sewn,
    sewn,
    marks,
  });
}

/** The cover underneath that hides the staples: cut to the frame, turned in all round. */
function dustCoverOf({ sizes, sewn, assume }: CoverRequest): Piece | null {
  const turn = given('turned in', assume(PULL_OVER_CONSTANTS.dustTurnMm), 'shop');
  const inner = grow(sewn, -turn.value);
  if (!inner.ok) return null;
  return clothPiece('lining', {
    id: 'dust-cover',
    role: 'dust-cover',
    label: 'dust cover',
    remark: 'turned in all round',
    facing: 'down',
    face: 'hidden',
    width: sizes.sewn.width,
    height: sizes.sewn.depth,
    outline: sewn,
    sewn: inner.outline,
  });
}

/** The strip of wadding that lies down the middle of the core from front to back and gives it its crown; null where it is to lie flat. */
function crownStripOf({ crownStrip }: PullOver, { sizes: { core }, assume }: CoverRequest): Piece | null {
  if (crownStrip === 'none') return null;
  const width = law('crown strip', '{0} × {1}', [core.width, given('of its width', assume(PULL_OVER_CONSTANTS.crownStripShare), 'shop', 'count')]);
  return {
    ...PLAIN_PIECE,
    id: 'crown-strip',
    role: 'crown-pad',
    label: 'crown strip',
    remark: 'down the middle, under the wrap',
    material: { kind: 'wadding', loftMm: assume(PULL_OVER_CONSTANTS.crownStripLoftMm) },
    width,
    height: core.depth,
    outline: rectangleOutline(width.value, core.depth.value),
  };
}

/** Top panel, side band and dust cover of a frame whose front is straight. */
export function pullOverPieces(choices: PullOver, request: CoverRequest, front: FrontAndRest): PullOverPieces {
  const { sizes, assume } = request;
  const { seam } = sizes;
  const frame = frameEdge(choices, assume);
  const { line: toLine, hold } = underneath(assume);
  const radius = radiusFor(choices, request);
  const drop = dropOf(sizes.core.height, frame, assume);
  const under = toLine.value + hold.value;
  const edges = sizes.core.height.value + frame.value;
  const { plate, run } = topPanel(request, front, drop, edges - QUARTER_SAVED * radius.value);
  const restMm = front.rest.reduce((mm, segment) => mm + segmentLength(segment), 0);
  const cloth = request.cloth('boxing');
  const stripMm = cloth.railroaded ? Infinity : cloth.usableMm;
  const places = placesOn(front);
  const clear = assume('jointClearMm');
  const whole = perimeter(request.sewn);
  const begins = alongOutline(request.sewn, front.front.to, ON_LINE_MM) ?? 0;
  const alongRest = (mm: number): number => aheadOn(whole, begins, mm);
  const ask = {
    lengthMm: restMm,
    stripMm,
    trimMm: 2 * assume('trimOffMm'),
    seamMm: seam.value,
    endsMm: [0, 0] as const,
    front: { from: 0, to: 0 },
    // The band ends at both front corners.
    nearFront: [0, restMm].map((mm) => ({ from: mm - assume('frontClearMm'), to: mm + assume('frontClearMm') })),
    // Under the joins of the top panel, where it has any.
    under: plateJoins(choices.wide, request)
      .map(alongRest)
      .filter((mm) => mm > 1 && mm < restMm - 1),
    crowded: [...places.filter(({ kind }) => kind === 'corner').map(({ along }) => along), 0, restMm].map((mm) => ({ from: mm - clear, to: mm + clear })),
  };
  const joins = placeJoins(ask);
  const stops = [0, ...(joins?.at ?? []), restMm];
  const lengths = stripLengths(ask, joins?.at ?? []);
  const of = stops.length - 1;
  const heightMm = drop.value;
  const band = stops.slice(1).map((to, i): Piece => {
    const from = stops[i] ?? 0;
    const marks = places
      .filter(({ along }) => along > from && along < to)
      .map(({ kind, along }): Mark => ({ kind, at: { x: along - from, y: heightMm }, outward: { x: 0, y: 1 } }));
    const ends: Mark[] = [
      ...(i === 0 ? [{ kind: 'quarter', at: { x: 0, y: under }, outward: { x: -1, y: 0 } } as const] : []),
      ...(i === of - 1 ? [{ kind: 'quarter', at: { x: to - from, y: under }, outward: { x: 1, y: 0 } } as const] : []),
    ];
    const all = given('round the sides and the back', restMm, 'measured');
    const length = of === 1 ? all : measuredOn('part of the band', to - from, `from join to join, part ${i + 1} of ${of} of {0}`, [all]);
    return bandPart(request, {
      ...(of === 1 ? { id: 'band', label: 'side band' } : { id: `band-${i + 1}`, label: `side band ${i + 1} of ${of}` }),
      part: { index: i + 1, of },
      run: length,
      radiusMm: radius.value,
      rounded: { left: i === 0, right: i === of - 1 },
      heightMm,
      marks: [...marks, ...ends],
    });
  });
  const top = (piece: Piece, side: 'left' | 'right'): Point => ({ x: side === 'left' ? 0 : widthOf(piece), y: heightMm });
  const bandRun = band.map((piece, i): Stretch => ({
    piece: piece.id,
    from: i === of - 1 ? { x: widthOf(piece), y: under } : top(piece, 'right'),
    to: i === 0 ? { x: 0, y: under } : top(piece, 'left'),
  }));
  return {
    plate,
    band,
    dustCover: dustCoverOf(request),
    crownStrip: crownStripOf(choices, request),
    plateRun: run,
    bandRun,
    radius,
    tooNarrow: lengths.some((mm) => mm > stripMm + 1e-9),
  };
}

/** Length of a part of the band along its seam line, mm. */
function widthOf({ sewn }: Piece): number {
  const box = outlineBounds(sewn ?? { segments: [] });
  return box.maxX - box.minX;
}

/** How much shorter the front's drop is sewn than the core and the frame are high: what its rounded edge saves. */
export const savedAtFront = (radius: Figure): Figure => law('saved at the front', '(2 − π ÷ 2) × {0}', [radius]);

/** The seam down one end of the front, on the top panel: from the frame's outline to the frame's lower edge. */
export const seamDown = (core: Figure, frame: Figure, radius: Figure): Figure => sum('seam down the front', core, plus(frame), minus(savedAtFront(radius)));
