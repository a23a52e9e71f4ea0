import { growEdges } from '../../../geometry/offset';
import { outlineBounds, perimeter } from '../../../geometry/outline';
import type { Point } from '../../../geometry/point';
import { isCorner } from '../../../geometry/measure';
import { segmentLength, type Segment } from '../../../geometry/segment';
import { given, law, lawOrMeasured, measuredOn, type Figure } from '../../../kernel/figure';
import type { Mark, Piece } from '../../../piece/piece';
import { seamsOn, type Seam, type SeamDraft } from '../../../piece/seam';
import { showsHoles } from '../../../material/material';
import type { CoverRequest } from '../../contract';
import { allRound, clothPiece } from '../../sewing/cloth-piece';
import type { FrontAndRest } from '../../band/front';
import { makePlaque, type Plaque } from '../../plaque/plaque';
import { chosenWelt, weltEdge } from '../../welt/welt';
import type { Waterfall } from './choices';
import { alike, sideLine, waterfallPlate, type WaterfallPlate } from './plate';
import { enteredOr } from '../../sewing/entered-or';

/** The front's radius: as chosen, at most half the height. A plate cut to the core has its corners drawn on the cut boxing: the seam's allowance less. */
export function radiusFor({ frontRadiusMm }: Waterfall, { sizes, assume }: Pick<CoverRequest, 'sizes' | 'assume'>): Figure {
  const chosen = enteredOr('front radius', frontRadiusMm, 'frontRadiusMm', assume);
  const half = law('front radius', '{0} ÷ 2', [sizes.sewn.height]);
  const onSeam = sizes.cutToCore ? law('front radius', 'the greater of {0} − {1} and {2}', [chosen, sizes.seam, given('at least', 1, 'shop')]) : chosen;
  return onSeam.value > half.value ? half : onSeam;
}

/** Depth of a slab's seam line: the core's, less what the rounded front takes of the allowance: D − 0.429 s. So the side boxing's run is the plate's. */
export function slabDepth({ core, seam }: CoverRequest['sizes']): Figure {
  return law('sewn', '{0} − (2 − π ÷ 2) × {1}', [core.depth, seam]);
}

/** Where the zip's opening begins and ends, mm from the front's right end: 50 before both corners of the back. */
function openingOf({ rest }: FrontAndRest, past: number): readonly [number, number] {
  let along = 0;
  let [from, to] = [Infinity, -Infinity];
  for (const segment of rest) {
    const end = along + segmentLength(segment);
    if (segment.edge === 'back') [from, to] = [Math.min(from, along), Math.max(to, end)];
    along = end;
  }
  return Number.isFinite(from) ? [Math.max(0, from - past), Math.min(along, to + past)] : [along / 3, (2 * along) / 3];
}

interface SideBoxing extends Pick<Piece, 'id' | 'label'> {
  /** So many of them in a cushion. */
  readonly count: number;
  readonly run: Figure;
  readonly radius: Figure;
  readonly hem: Figure;
}

/** A side boxing as long as its run, hemmed where the plaque goes under it. */
function sidePiece({ sizes }: CoverRequest, { id, label, count, run, radius, hem }: SideBoxing): Piece {
  const { seam, sewn, boxingCut } = sizes;
  const line = sideLine(run.value, sewn.height.value, radius.value);
  const cut = growEdges(line, { front: seam.value, right: seam.value, back: seam.value, corner: seam.value, left: hem.value });
  const outline = cut.ok ? cut.outline : line;
  const box = outlineBounds(outline);
  return clothPiece('boxing', {
    id,
    role: 'side-boxing',
    label,
    remark: 'front end rounded',
    countPerCushion: count,
    width: lawOrMeasured('side boxing, cut', box.maxX - box.minX, '{0} + {1} + {2}', [run, hem, seam]),
    height: boxingCut,
    outline,
    sewn: line,
    marks: [
      { kind: 'mid', at: { x: run.value, y: sewn.height.value / 2 }, outward: { x: 1, y: 0 } },
      { kind: 'fold', at: { x: 0, y: 0 }, outward: { x: 0, y: -1 } },
      { kind: 'fold', at: { x: 0, y: sewn.height.value }, outward: { x: 0, y: 1 } },
    ],
  });
}

/** The centre and the corners of the back as notches of the plaque, mm from the opening's start. */
function backNotches({ rest }: FrontAndRest, [from, to]: readonly [number, number]): (readonly [Mark['kind'], number])[] {
  let along = 0;
  const corners = rest.slice(0, -1).flatMap((segment, i) => {
    along += segmentLength(segment);
    return isCorner(segment, rest[i + 1] as Segment) ? [['corner', along - from] as const] : [];
  });
  return [['centre-back', (to - from) / 2] as const, ...corners.filter(([, mm]) => mm > 0 && mm < to - from)];
}

/** One ring of welt round the whole flat plate: along both sides, over the front's curve and on underneath, and along both back edges. */
function weltOf(choices: Waterfall, request: CoverRequest, plate: Piece): Piece {
  const round = given('round the flat plate', plate.sewn ? perimeter(plate.sewn) : 0, 'measured');
  return chosenWelt(choices, request, round, 1);
}

/** The pieces of the cover. */
export interface Made {
  readonly plate: WaterfallPlate;
  readonly sides: { readonly right: Piece; readonly left: Piece };
  readonly plaque: Plaque;
  readonly welt: Piece | null;
  /** Of the rounded front. */
  readonly radius: Figure;
  readonly opening: Figure;
  readonly ends: readonly [number, number];
}

/** Plate, sides, plaque and welt for a front. */
export function piecesOf(choices: Waterfall, request: CoverRequest, front: FrontAndRest): Made {
  const { sizes, assume } = request;
  const { seam } = sizes;
  const shop = (name: string, key: Parameters<typeof assume>[0]): Figure => given(name, assume(key), 'shop');
  const past = shop('round each corner', 'zipReturnMm');
  const ends = openingOf(front, past.value);
  const radius = radiusFor(choices, request);
  const plate = waterfallPlate(
    request,
    front,
    radius,
    ends,
    backNotches(front, ends).flatMap(([kind, mm]) => (kind === 'corner' ? [ends[0] + mm] : [])),
  );
  const opening = measuredOn('zip opening', ends[1] - ends[0], 'along the back and {0} round each corner', [past]);
  const [rightMm, leftMm] = [ends[0], plate.restMm - ends[1]];
  const hem = shop('hem', 'endHemMm');
  const run = (mm: number): Figure => measuredOn('along the side', mm, 'to {0} before the back’s corner', [past]);
  const same = alike(rightMm, leftMm);
  const right = sidePiece(request, {
    ...(same ? { id: 'side-boxing', label: 'side boxing', count: 2 } : { id: 'side-boxing-right', label: 'right side boxing', count: 1 }),
    run: run(rightMm),
    radius,
    hem,
  });
  const left = same ? right : sidePiece(request, { id: 'side-boxing-left', label: 'left side boxing', count: 1, run: run(leftMm), radius, hem });
  const cloth = request.cloth('boxing');
  const plaque = makePlaque({
    kind: 'slit',
    opening,
    end: shop('lap', 'endLapMm'),
    height: sizes.sewn.height,
    lower: seam,
    upper: seam,
    seam,
    zipWidth: choices.zipWidthMm === undefined ? shop('zip', 'zipWidthMm') : given('zip', choices.zipWidthMm, 'entered'),
    teeth: seam,
    gap: seam,
    lap: seam,
    turnIn: seam,
    stripMm: cloth.railroaded ? Infinity : cloth.usableMm,
    trimOffMm: assume('trimOffMm'),
    unbasted: showsHoles(cloth),
    places: { notches: backNotches(front, ends), under: [] },
  });
  const welt = choices.edge === 'welt' ? weltOf(choices, request, plate.piece) : null;
  return { plate, sides: { right, left }, plaque, welt, radius, opening, ends };
}

/** The seams, in the order in which they are sewn: what meets what. */
export function seamsOf({ plate, sides, plaque, welt, ends }: Made, pieces: readonly Piece[], heightMm: number): Seam[] {
  const { id } = plate.piece;
  const on = (from: ReturnType<WaterfallPlate['at']>, to: ReturnType<WaterfallPlate['at']>) => ({ piece: id, from, to });
  const fold = { lower: { x: 0, y: 0 }, upper: { x: 0, y: heightMm } };
  const welts: SeamDraft[] = welt ? [{ id: 'welt-round', words: 'welt round the whole plate', first: weltEdge(welt), second: [allRound(plate.piece)] }] : [];
  const mid = ({ sewn }: Piece): Point => ({ x: Math.max(...(sewn?.segments ?? []).map(({ from }) => from.x)), y: heightMm / 2 });
  const half = (side: Piece, face: 'top' | 'bottom') => [
    face === 'top' ? { piece: side.id, from: mid(side), to: fold.upper } : { piece: side.id, from: fold.lower, to: mid(side) },
  ];
  return seamsOn(pieces, [
    ...plaque.seams,
    ...welts,
    {
      id: 'plaque-ends',
      zip: true,
      words: 'plaque under both side boxings',
      first: [...plaque.left, ...plaque.right],
      second: [sides.right, sides.left].map(({ id: piece }) => ({ piece, from: fold.upper, to: fold.lower })),
    },
    {
      id: 'side-right-top',
      words: 'right side boxing to the top',
      first: half(sides.right, 'top'),
      second: [on(plate.middle.right, plate.at('top', ends[0]))],
    },
    { id: 'side-left-top', words: 'left side boxing to the top', first: half(sides.left, 'top'), second: [on(plate.at('top', ends[1]), plate.middle.left)] },
    {
      id: 'side-right-bottom',
      words: 'right side boxing to the bottom',
      first: half(sides.right, 'bottom'),
      second: [on(plate.at('bottom', ends[0]), plate.middle.right)],
    },
    {
      id: 'side-left-bottom',
      words: 'left side boxing to the bottom',
      first: half(sides.left, 'bottom'),
      second: [on(plate.middle.left, plate.at('bottom', ends[1]))],
    },
    { id: 'plaque-to-top', zip: true, words: 'plaque to the top', first: plaque.topEdge, second: [on(plate.at('top', ends[0]), plate.at('top', ends[1]))] },
    {
      id: 'plaque-to-bottom',
      zip: true,
      words: 'plaque to the bottom',
      first: plaque.bottomEdge,
      second: [on(plate.at('bottom', ends[1]), plate.at('bottom', ends[0]))],
    },
  ]);
}
