import { flatFace } from '../../../form/skin';
import { grow } from '../../../geometry/offset';
import { edgeSpans, outlineBounds, stationAt, type Outline } from '../../../geometry/outline';
import { cross, distance, minusPoint, plusPoint, unit, type Point } from '../../../geometry/point';
import { line, type Segment, segmentLength } from '../../../geometry/segment';
import { given, lawOrMeasured, plus, sum, type Figure } from '../../../kernel/figure';
import { issue, type Issue } from '../../../kernel/issue';
import type { Mark, Piece } from '../../../piece/piece';
import { seamProblems, seamsOn, type SeamDraft } from '../../../piece/seam';
import type { Construction, CoverRequest } from '../../contract';
import { allRound, clothPiece } from '../../sewing/cloth-piece';
import { openingProblems } from '../../sewing/opening';
import { openingOnSide } from '../../sewing/own-zip';
import { notionsFor, zipClosing } from '../../sewing/notions';
import { flapCorners, foldedCornerOperations } from './operations';
import { foldedCornerFields, foldedCornerSchema, type FoldedCorner } from './choices';

const TOP = 'plate-top';

const refused = (why: string): Issue[] => [
  issue('error', 'construction-not-for-outline', 'construction', {
    construction: 'folded corner',
    why,
    instead: 'Take a boxed cover, or an outline with straight sides and sharp corners.',
  }),
];

/** Whether every side is straight and every corner turns outward: nothing else folds on its diagonal. */
function folds({ segments }: Outline): boolean {
  return segments.every((segment, i) => {
    const next = segments[(i + 1) % segments.length] as Segment;
    return segment.kind === 'line' && next.kind === 'line' && cross(minusPoint(segment.to, segment.from), minusPoint(next.to, next.from)) > 1e-6;
  });
}

/** A side of the plan, and its flap's lower edge: the side moved out by the height. */
interface Flap {
  readonly side: Segment;
  readonly from: Point;
  readonly to: Point;
}

function flapsOf({ segments }: Outline, heightMm: number): Flap[] {
  return segments.map((side) => {
    const way = unit(minusPoint(side.to, side.from));
    const out = { x: way.y, y: -way.x };
    return { side, from: plusPoint(side.from, out, heightMm), to: plusPoint(side.to, out, heightMm) };
  });
}

/** The seam line of the top plate laid flat: flap after flap, at each corner in to the plan's corner and out again. */
function flatTop(flaps: readonly Flap[]): Outline {
  return {
    segments: flaps.flatMap(({ side, from, to }, i) => {
      const next = flaps[(i + 1) % flaps.length] as Flap;
      return [line(side.edge, from, to), line('corner', to, side.to), line('corner', side.to, next.from)];
    }),
  };
}

function topPlate({ sizes }: CoverRequest, flaps: readonly Flap[], marks: readonly Mark[]): Piece {
  const { seam, sewn } = sizes;
  const flat = flatTop(flaps);
  const cut = grow(flat, seam.value);
  const outline = cut.ok ? cut.outline : flat;
  const box = outlineBounds(outline);
  const reach = (name: string, figure: Figure, mm: number): Figure => lawOrMeasured(name, mm, '{0} + 2 × {1} + 2 × {2}', [figure, sewn.height, seam]);
  return clothPiece('main', {
    id: TOP,
    role: 'plate',
    label: 'top plate with flaps',
    remark: `${flaps.length} corners, folded on the diagonal`,
    width: reach('top plate, cut', sewn.width, box.maxX - box.minX),
    height: reach('top plate, cut', sewn.depth, box.maxY - box.minY),
    outline,
    sewn: flat,
    marks,
  });
}

/** The zip's run in the middle of the bottom seam's back: as long as the cover's own zip, or the back but for what is sewn at each end; mm round the plan. */
function openingOf({ sewn, assume, ownZip }: CoverRequest): { readonly from: number; readonly to: number; readonly opening: Figure } | null {
  const back = edgeSpans(sewn).find(({ edge }) => edge === 'back');
  if (!back) return null;
  const opening = openingOnSide(ownZip, back.end - back.start, given('sewn at each end', assume('bolsterEndMm'), 'shop'));
  const middle = (back.start + back.end) / 2;
  return opening.value > 0 ? { from: middle - opening.value / 2, to: middle + opening.value / 2, opening } : null;
}

/** The seam of the flaps and the bottom plate: along the zip, and all the rest; one seam where there is no zip. */
function roundSeams(top: Piece, bottom: Piece, flaps: readonly Flap[]): SeamDraft[] {
  const ends = (piece: Piece): Point[] => piece.marks.filter(({ kind }) => kind === 'zip-end').map(({ at }) => at);
  const [[a, b], [from, to]] = [ends(top), ends(bottom)];
  const whole: SeamDraft = {
    id: 'round',
    words: 'flaps to the bottom plate',
    first: flaps.map((flap) => ({ piece: top.id, from: flap.from, to: flap.to })),
    second: [allRound(bottom)],
  };
  if (!a || !b || !from || !to) return [whole];
  const behind = (flap: Flap): boolean => Math.abs(cross(minusPoint(flap.to, flap.from), minusPoint(a, flap.from))) < 1e-6 * distance(flap.from, flap.to);
  const at = flaps.findIndex(behind);
  const back = flaps[at];
  if (!back) return [whole];
  const others = [...flaps.slice(at + 1), ...flaps.slice(0, at)].map((flap) => ({ piece: top.id, from: flap.from, to: flap.to }));
  return [
    {
      ...whole,
      words: 'flaps to the bottom plate, beside the zip',
      first: [{ piece: top.id, from: b, to: back.to }, ...others, { piece: top.id, from: back.from, to: a }],
      second: [{ piece: bottom.id, from: to, to: from }],
    },
    {
      id: 'zip',
      zip: true,
      words: 'zip between flap and bottom plate',
      rows: 2,
      first: [{ piece: top.id, from: a, to: b }],
      second: [{ piece: bottom.id, from, to }],
    },
  ];
}

/** The two flap edges that meet at a corner of the top plate. */
function foldedEdges(flaps: readonly Flap[], corner: number): Pick<SeamDraft, 'first' | 'second'> {
  const [flap, next] = [flaps[corner] as Flap, flaps[(corner + 1) % flaps.length] as Flap];
  const tip = flap.side.to;
  return { first: [{ piece: TOP, from: flap.to, to: tip }], second: [{ piece: TOP, from: tip, to: next.from }] };
}

/** One top plate that drops down the sides, its corners folded and seamed; a bottom plate; no band. */
export const foldedCorner: Construction<FoldedCorner> = {
  kind: 'folded-corner',
  name: 'Folded corner',
  idea: 'No band: one plate drops down the sides, its corners folded on the diagonal, and meets the bottom in one seam that hides the zip.',
  words: ['folded-corner', 'folded-corners'],
  choiceWords: {},
  schema: foldedCornerSchema,
  defaults: () => ({ kind: 'folded-corner' }),
  fields: foldedCornerFields,
  slots: ['bottom'],
  suits: ({ outline, sloping }) =>
    sloping ? refused('a wedge has panels') : folds(outline) ? [] : refused('all its sides have to be straight and all its corners sharp and turned outward'),
  cutSizes: (_choices, { sizes }) => ({
    cut: {
      width: sum('top plate, cut', sizes.sewn.width, plus(sizes.sewn.height, 2), plus(sizes.seam, 2)),
      depth: sum('top plate, cut', sizes.sewn.depth, plus(sizes.sewn.height, 2), plus(sizes.seam, 2)),
    },
  }),
  make(_choices, request) {
    const { sizes, sewn } = request;
    const flaps = flapsOf(sewn, sizes.sewn.height.value);
    const spans = flaps.map(({ side }, i) => {
      const start = flaps.slice(0, i).reduce((mm, one) => mm + segmentLength(one.side), 0);
      return { start, end: start + segmentLength(side) };
    });
    const open = openingOf(request);
    const middles = edgeSpans(sewn)
      .filter(({ edge }) => edge === 'front' || edge === 'back')
      .map(({ edge, start, end }): readonly [Mark['kind'], number] => [edge === 'front' ? 'centre-front' : 'centre-back', (start + end) / 2]);
    const places: readonly (readonly [Mark['kind'], number])[] = [
      ...middles,
      ...(open
        ? ([
            ['zip-end', open.from],
            ['zip-end', open.to],
          ] as const)
        : []),
    ];
    const onPlan = places.map(([kind, along]): Mark => ({ kind, ...stationAt(sewn, along) }));
    const onFlaps = onPlan.map((mark): Mark => ({ ...mark, at: plusPoint(mark.at, mark.outward, sizes.sewn.height.value) }));
    const top = topPlate(request, flaps, onFlaps);
    const bottomWidth = sum('bottom plate, cut', sizes.sewn.width, plus(sizes.seam, 2));
    const bottom = clothPiece('bottom', {
      id: 'plate-bottom',
      role: 'plate',
      label: 'bottom plate',
      facing: 'down',
      remark: `${onPlan.length} notches`,
      width: bottomWidth,
      height: sum('bottom plate, cut', sizes.sewn.depth, plus(sizes.seam, 2)),
      outline: request.cut,
      sewn,
      marks: onPlan,
    });
    const pieces = [top, bottom];
    const seams = seamsOn(pieces, [
      ...flapCorners(flaps.length).map((corner, i) => ({
        ...corner,
        ...foldedEdges(flaps, i),
      })),
      ...roundSeams(top, bottom, flaps),
    ]);
    const zip = open ? zipClosing(open.opening, 'in the bottom seam, at the back', request) : null;
    return {
      pieces,
      seams,
      closings: zip ? [zip] : [],
      notions: notionsFor(zip ? [zip] : [], []),
      operations: foldedCornerOperations(request, { pieces, seams, tape: zip?.setIn ?? null, corners: flaps.length }),
      eased: null,
      skin: {
        upper: flatFace(top.id),
        lower: flatFace(bottom.id),
        band: flaps.map(({ side, from, to }, i) => {
          const span = spans[i] ?? { start: 0, end: 0 };
          return { piece: top.id, fromMm: span.start, toMm: span.end, low: 0, high: 1, corners: [from, to, side.to, side.from] as const };
        }),
        cords: [],
        zip: open ? { fromMm: open.from, toMm: open.to, share: 0 } : null,
      },
      problems: [
        ...(zip ? [] : [issue('error', 'no-room-for-opening', 'construction')]),
        ...(zip ? openingProblems(request, { openingMm: zip.opening.value, roundCornerMm: null, path: 'construction' }) : []),
        ...seamProblems(seams),
      ],
    };
  },
  profile: (_choices, { sewn }) => ({
    kind: 'band',
    heightMm: sewn.height.value,
    crownedFaces: null,
    domes: false,
    onBoard: false,
    welt: null,
    modelled: true,
  }),
  lines: () => ({ top: 'soft', bottom: 'seam', corners: true, softFront: false }),
  traits: () => ({
    zip: 'in the bottom seam, unseen',
    washable: true,
    edge: 'soft, no seam round the top',
    hard: 'All corners folded alike; straight sides only; a large plate takes more cloth.',
  }),
  says: () => 'corners seamed',
};
