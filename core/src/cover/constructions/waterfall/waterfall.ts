import { growEdges } from '../../../geometry/offset';
import { edgeSpans, outlineBounds, perimeter } from '../../../geometry/outline';
import type { Point } from '../../../geometry/point';
import { isCorner } from '../../../geometry/measure';
import { segmentLength, type Segment } from '../../../geometry/segment';
import { given, law, lawOrMeasured, measuredOn, plus, sum, type Figure } from '../../../kernel/figure';
import { issue, type Issue } from '../../../kernel/issue';
import { operation, type Operation } from '../../../piece/operation';
import type { Mark, Piece } from '../../../piece/piece';
import { seamProblems, seamsOn, type Seam, type SeamDraft } from '../../../piece/seam';
import { minutesFor } from '../../../shop/minutes';
import type { Construction, CoverRequest } from '../../contract';
import { allRound, clothPiece } from '../../sewing/cloth-piece';
import { cutCover, dress, insertCore, openZip, softOpening } from '../../sewing/cover-operations';
import { frontOf, type FrontAndRest } from '../../band/front';
import { notionsFor, zipClosing } from '../../sewing/notions';
import { makePlaque, type Plaque } from '../../plaque/plaque';
import { chosenWelt, weltEdge } from '../../welt/welt';
import { waterfallFields, waterfallSchema, type Waterfall } from './choices';
import { alike, overFront, sideLine, waterfallPlate, type WaterfallPlate } from './plate';
import { enteredOr } from '../../sewing/entered-or';

const CUTTING = {
  cut: 'Cut the plate in one, along the nap, then the side boxings and the plaque',
  notch: 'Notch the mid marks of the front on plate and side boxings; the centre back, the back’s corners and the zip’s ends on plate and plaque.',
};

const refused = (why: string): Issue[] => [
  issue('error', 'construction-not-for-outline', 'construction', { construction: 'waterfall front', why, instead: 'Take a boxed cover.' }),
];

/** The front's radius: as chosen, at most half the height. A plate cut to the core has its corners drawn on the cut boxing: the seam's allowance less. */
function radiusFor({ frontRadiusMm }: Waterfall, { sizes, assume }: Pick<CoverRequest, 'sizes' | 'assume'>): Figure {
  const chosen = enteredOr('front radius', frontRadiusMm, 'frontRadiusMm', assume);
  const half = law('front radius', '{0} ÷ 2', [sizes.sewn.height]);
  const onSeam = sizes.cutToCore ? law('front radius', 'the greater of {0} − {1} and {2}', [chosen, sizes.seam, given('at least', 1, 'shop')]) : chosen;
  return onSeam.value > half.value ? half : onSeam;
}

/** Depth of a slab's seam line: the core's, less what the rounded front takes of the allowance: D − 0.429 s. So the side boxing's run is the plate's. */
function slabDepth({ core, seam }: CoverRequest['sizes']): Figure {
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

/** A side boxing as long as its run, hemmed where the plaque goes under it. */
function sidePiece(id: string, label: string, count: number, run: Figure, radius: Figure, hem: Figure, { sizes }: CoverRequest): Piece {
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

interface Made {
  readonly plate: WaterfallPlate;
  readonly sides: { readonly right: Piece; readonly left: Piece };
  readonly plaque: Plaque;
  readonly welt: Piece | null;
  readonly opening: Figure;
  readonly ends: readonly [number, number];
}

function piecesOf(choices: Waterfall, request: CoverRequest, front: FrontAndRest): Made {
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
  const right = sidePiece(
    same ? 'side-boxing' : 'side-boxing-right',
    same ? 'side boxing' : 'right side boxing',
    same ? 2 : 1,
    run(rightMm),
    radius,
    hem,
    request,
  );
  const left = same ? right : sidePiece('side-boxing-left', 'left side boxing', 1, run(leftMm), radius, hem, request);
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
    places: { notches: backNotches(front, ends), under: [] },
  });
  const welt = choices.edge === 'welt' ? weltOf(choices, request, plate.piece) : null;
  return { plate, sides: { right, left }, plaque, welt, opening, ends };
}

/** The seams, in the order in which they are sewn. */
function seamsOf({ plate, sides, plaque, welt, ends }: Made, pieces: readonly Piece[], heightMm: number): Seam[] {
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

function operationsOf(request: CoverRequest, made: Made, pieces: readonly Piece[], seams: readonly Seam[], tape: Figure): Operation[] {
  const { assume } = request;
  const sew = (names: readonly string[], corners = 0): number =>
    minutesFor(
      'sew',
      seams.filter(({ id }) => names.includes(id)).reduce((mm, seam) => mm + seam.rows * seam.edges[0].lengthMm, 0),
      corners,
      assume,
    );
  const sides = [...new Set([made.sides.right.id, made.sides.left.id])];
  const plaque = made.plaque.pieces.map(({ id }) => id);
  const hem = given('hem', assume('endHemMm'), 'shop');
  const lap = given('lap', assume('endLapMm'), 'shop');
  return [
    ...cutCover(pieces, CUTTING, assume),
    operation({
      id: 'sew/plaque',
      foot: 'zip',
      phase: 'sew',
      text: 'Make up the zip plaque: fold the strip right sides in, seam at half the zip’s width with the longest stitch, slit the fold, press open, set the zip of {0}, and unpick the long stitch.',
      figures: [tape],
      cautions: [
        'Slider on, and a stop sewn across each end, before the plaque is closed in.',
        'Measure the finished plaque against the boxing and trim it to match, to the millimetre.',
      ],
      pieces: plaque,
      seams: made.plaque.seams.map(({ id }) => id),
      minutes: sew(made.plaque.seams.map(({ id }) => id)),
      needs: 'machine',
      after: ['cut/notch'],
    }),
    ...(made.welt
      ? [
          operation({
            id: 'sew/welt-on',
            foot: 'edge',
            phase: 'sew',
            text: 'Make up the welt and sew it in one ring round the whole flat plate: from the centre of the top’s back along a side, over the front’s curve and on underneath, along both back edges, and round to where it began; join the ring there.',
            cautions: ['Clip the welt’s flange at each corner; do not cut the stitch.'],
            pieces: [made.welt.id, made.plate.piece.id],
            seams: ['welt-round'],
            minutes: 2 * sew(['welt-round'], 4),
            needs: 'machine',
            after: ['cut/notch'],
          }),
        ]
      : []),
    operation({
      id: 'sew/plaque-ends',
      phase: 'sew',
      text: 'Turn the side boxings’ ends in {0}, lap their folds {1} over the plaque and close each with a row {2} in from the fold: side, plaque and side are one chain.',
      figures: [hem, lap, given('from the fold', assume('endRowMm'), 'shop')],
      cautions: made.welt ? ['The row stops short of the welt at both ends: the slider must pass.'] : [],
      pieces: [...sides, ...plaque],
      seams: ['plaque-ends'],
      minutes: sew(['plaque-ends']),
      needs: 'machine',
      after: ['sew/plaque'],
    }),
    operation({
      id: 'sew/side-top',
      foot: 'edge',
      phase: 'sew',
      text: 'Sew the chain to the top: from the mid mark of the front round one side, the back and the other side to the other mid mark; clip the plate’s allowance at the front’s curves.',
      cautions: ['The centre of each side boxing’s front end lies on the plate’s mid mark: no twist.', 'Clip the allowance, not the stitch.'],
      pieces: [made.plate.piece.id, ...sides, ...plaque],
      seams: ['side-right-top', 'plaque-to-top', 'side-left-top'],
      minutes: sew(['side-right-top', 'plaque-to-top', 'side-left-top'], 2),
      needs: 'machine',
      after: ['sew/plaque-ends', 'sew/welt-on'],
    }),
    openZip(plaque, ['sew/side-top']),
    operation({
      id: 'sew/side-bottom',
      foot: 'edge',
      phase: 'sew',
      text: 'Fold the plate over the front and sew the chain to the bottom the same way, from mid mark to mid mark.',
      cautions: [
        'The zip stands open a hand’s width before the last seam closes.',
        'Before it is filled: folded in half on the centre line, both halves are alike.',
      ],
      pieces: [made.plate.piece.id, ...sides, ...plaque],
      seams: ['side-right-bottom', 'plaque-to-bottom', 'side-left-bottom'],
      minutes: sew(['side-right-bottom', 'plaque-to-bottom', 'side-left-bottom'], 2),
      needs: 'machine',
      after: ['sew/open-zip'],
    }),
    insertCore(request, 'sew/side-bottom'),
    dress(request, 'Smooth the front over, fill the back’s corners with loose wadding, close the zip, steam.', 2),
  ];
}

/** Both edges of the front rounded alike. */
const both = (mm: number) => ({ topMm: mm, bottomMm: mm });

/** One plate over top, front and bottom, two side boxings rounded at the front, a zip round the back. */
export const waterfall: Construction<Waterfall> = {
  kind: 'waterfall',
  name: 'Waterfall front',
  idea: 'One plate over top, front and bottom: no seam where the legs lie. Sides boxed, the zip round the back.',
  words: ['waterfall'],
  choiceWords: { welt: { edge: 'welt' }, welted: { edge: 'welt' }, piped: { edge: 'welt' }, plain: { edge: 'plain' } },
  schema: waterfallSchema,
  defaults: () => ({ kind: 'waterfall' }),
  fields: waterfallFields,
  slots: ['boxing', 'welt'],
  suits: ({ outline, sloping }) =>
    sloping ? refused('a wedge has panels of its own') : frontOf(outline) ? [] : refused('its front has to be one straight side with a corner at both ends'),
  cutSizes: (choices, request) => {
    const { sizes } = request;
    const sewn = sizes.cutToCore ? { ...sizes.sewn, depth: slabDepth(sizes) } : sizes.sewn;
    const between = overFront(sewn.height, radiusFor(choices, request));
    const depth = sum('plate, cut', sewn.depth, plus(sewn.depth), plus(between), plus(sizes.seam, 2));
    return { cut: { width: sizes.cut.width, depth }, sewn };
  },
  // In a slab no allowance is taken at the front, where there is no seam: the seam line's front stands so much further forward.
  seamLine: (sewn, sizes) => {
    const { minY, maxY } = outlineBounds(sewn);
    const moved = growEdges(sewn, { front: sizes.sewn.depth.value - (maxY - minY), right: 0, back: 0, left: 0, corner: 0 });
    return sizes.cutToCore && moved.ok ? moved.outline : sewn;
  },
  make(choices, request) {
    const front = frontOf(request.sewn);
    const problems: Issue[] = front ? [] : refused('its front has to be one straight side with a corner at both ends');
    if (!front) return { pieces: [], seams: [], closings: [], notions: [], operations: [], eased: null, problems };
    const made = piecesOf(choices, request, front);
    const pieces = [made.plate.piece, ...new Set([made.sides.right, made.sides.left]), ...made.plaque.pieces, ...(made.welt ? [made.welt] : [])];
    const seams = seamsOf(made, pieces, request.sizes.sewn.height.value);
    const zip = zipClosing(made.opening, 'the back and round its corners', request.assume);
    const back = edgeSpans(request.sewn).reduce((mm, { edge, start, end }) => mm + (edge === 'back' ? end - start : 0), 0);
    const smaller = Math.min(request.sizes.core.width.value, request.sizes.core.depth.value);
    const neededMm = request.contents.stiff ? Math.max(smaller, back) : softOpening(request, smaller);
    return {
      pieces,
      seams,
      closings: [zip],
      notions: notionsFor([zip], made.welt ? [made.welt] : []),
      operations: operationsOf(request, made, pieces, seams, zip.tape),
      eased: null,
      problems: [
        ...(made.opening.value < neededMm - 1e-6
          ? [issue('warning', 'zip-too-short-for-core', 'construction', { openingMm: made.opening.value, neededMm })]
          : []),
        ...seamProblems(seams),
      ],
    };
  },
  profile: ({ edge, cordMm, frontRadiusMm }, { sewn }, assume) => ({
    kind: 'band',
    heightMm: sewn.height.value,
    roundedFront: both(Math.min(frontRadiusMm ?? assume('frontRadiusMm'), sewn.height.value / 2)),
    crownedFaces: null,
    domes: false,
    onBoard: false,
    welt: edge === 'welt' ? { cordMm: cordMm ?? assume('cordMm'), on: 'both' } : null,
    modelled: true,
  }),
  lines: ({ edge }) => {
    const line = edge === 'welt' ? 'welt' : 'seam';
    return { top: line, bottom: line, corners: false, softFront: true };
  },
  traits: ({ edge }) => ({
    zip: 'round the back',
    washable: true,
    edge: edge === 'welt' ? 'soft in front, corded at sides and back' : 'soft in front, no seam under the knees',
    hard: 'The plate eased round the side boxings’ curves, mid marks on their centres.',
  }),
  says: ({ edge }) => (edge === 'welt' ? 'welted at sides and back' : 'plain edge'),
};
