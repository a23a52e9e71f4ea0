import * as z from 'zod';
import { isCorner } from '../../geometry/measure';
import { edgeSpans, perimeter, stationAt, type Outline } from '../../geometry/outline';
import { segmentLength, type Segment } from '../../geometry/segment';
import { given, law, type Figure } from '../../kernel/figure';
import { issue, type Issue } from '../../kernel/issue';
import { buttonAt, tieAlong } from '../../template/marks';
import { unequalSeams, type Mark, type Piece, type Seam } from '../../piece/piece';
import type { AssumptionKey } from '../../shop/assumptions';
import { domedPlate } from '../../build/domed';
import type { Slope } from '../../build/slope';
import { grow } from '../../geometry/offset';
import { makeBand, type Band } from '../boxing';
import { clipEvery, cornersOf } from '../corners';
import { makeNotions } from '../notions';
import { makePanels, slantedPlate } from '../panels';
import { biasDepth, weltPiece } from '../welt';
import type { ConstructionModule, CoverRequest } from './construction';

const schema = z.strictObject({
  kind: z.literal('boxed'),
  edge: z.enum(['plain', 'welt']),
  cordMm: z.number().positive().max(25).optional(),
  seamMm: z.number().positive().max(50).optional(),
  plaque: z.literal('slit').optional(),
  zipWidthMm: z.number().positive().max(100).optional(),
  zipReturnMm: z.number().nonnegative().max(500).optional(),
  zipPocketMm: z.number().nonnegative().max(100).optional(),
  strips: z.enum(['across', 'along']).optional(),
});
export type Boxed = z.infer<typeof schema>;

/** Whether a seam line has no corner at all: its quarters are notched instead. */
const smooth = ({ segments }: Outline): boolean =>
  segments.every((segment, i) => segment.edge !== 'corner' && !isCorner(segment, segments[(i + 1) % segments.length] as Segment));

/** The ties of a cover, mm round its seam line. */
function tiesOf({ marks, sewn }: CoverRequest): number[] {
  return marks.flatMap((mark) => {
    const along = mark.kind === 'tie' ? tieAlong(sewn, mark) : null;
    return along === null ? [] : [along];
  });
}

/** A tie on the spot where the zip ends: neither lies flat. */
function tieProblems(request: CoverRequest, band: Band): Issue[] {
  const total = perimeter(request.sewn);
  const clear = request.assume('jointClearMm');
  const apart = (a: number, b: number): number => {
    const d = (((a - b) % total) + total) % total;
    return Math.min(d, total - d);
  };
  const near = tiesOf(request).some((tie) => [band.zip.startMm, band.zip.endMm].some((end) => apart(tie, end) < clear));
  return near ? [issue('warning', 'tie-near-zip-end', 'marks', { clearMm: clear })] : [];
}

function plateMarks(request: CoverRequest, band: Band): Mark[] {
  const spans = edgeSpans(request.sewn);
  const middle = (edge: 'front' | 'back'): number[] => spans.filter((s) => s.edge === edge).map((s) => (s.start + s.end) / 2);
  const mark =
    (kind: Mark['kind']) =>
    (along: number): Mark => {
      const { at, outward } = stationAt(request.sewn, along);
      return { kind, at, outward };
    };
  return [
    ...middle('front').map(mark('centre-front')),
    ...middle('back').map(mark('centre-back')),
    // A square corner marks itself; one that turns in is clipped to the stitch.
    ...cornersOf(request.sewn)
      .filter((c) => c.end > c.start || smooth(request.sewn))
      .map((c) => mark('corner')((c.start + c.end) / 2)),
    ...[band.zip.startMm, band.zip.endMm].map(mark('zip-end')),
    ...tiesOf(request).map(mark('tie')),
    ...request.marks.flatMap((one): Mark[] => (one.kind === 'button' ? [{ kind: 'button', at: buttonAt(request.sewn, one), outward: { x: 0, y: 0 } }] : [])),
  ];
}

/** What goes on the top and on the bottom: the same twice, but for a wedge. */
interface Plates {
  readonly top: Piece;
  readonly bottom: Piece;
  readonly welts: { readonly top: Piece; readonly bottom: Piece } | null;
  readonly eased: Figure | null;
}

function makeSeams(request: CoverRequest, band: Band, { top, bottom, welts, eased }: Plates): Seam[] {
  const round = (plate: Piece): number => (plate.sewn ? perimeter(plate.sewn) : 0);
  const ring = (welt: Piece): number => welt.width.value - welt.joins * welt.height.value - request.assume('ringOverlapMm');
  const easeOf = (plate: Piece): number => (eased && request.bow && plate.sewn === request.bow.bowed ? eased.value : 0);
  const end = band.plaque.height.kind === 'sum' ? band.plaque.height.from.value + 2 * request.sizes.seam.value : 0;
  const seam = (id: Seam['id'], count: number, rows: number, a: [Piece['role'], number], b: [Piece['role'], number], easedMm = 0): Seam => ({
    id,
    count,
    rows,
    edges: [
      { role: a[0], lengthMm: a[1] },
      { role: b[0], lengthMm: b[1] },
    ],
    easedMm,
  });
  const slitMm = band.plaque.width.value;
  const foldedMm = band.plaque.height.value - (band.plaque.height.kind === 'sum' ? (band.plaque.height.terms[1]?.each.value ?? 0) : 0);
  return [
    seam('plaque-slit', 1, 3, ['plaque', slitMm], ['plaque', slitMm]),
    ...(band.joins ? [seam(band.joins.kind, band.joins.count, 1, ['boxing', band.joins.firstMm], ['boxing', band.joins.secondMm])] : []),
    ...(welts
      ? [
          seam('welt-top', 1, 1, ['welt', ring(welts.top)], ['plate', round(top)], easeOf(top)),
          seam('welt-bottom', 1, 1, ['welt', ring(welts.bottom)], ['plate', round(bottom)], easeOf(bottom)),
        ]
      : []),
    seam('plaque-ends', 2, 1, ['plaque', foldedMm], ['boxing', end]),
    seam('band-to-top', 1, 1, ['boxing', band.sewnTopMm], ['plate', round(top)], easeOf(top)),
    seam('band-to-bottom', 1, 1, ['boxing', band.sewnBottomMm], ['plate', round(bottom)], easeOf(bottom)),
  ];
}

/** The top plate of a wedge: along the slope, with the notches of its own edges. */
function slopingPlate(request: CoverRequest, slope: Slope, bottom: Piece): Piece {
  const sewn = slantedPlate(request.sizes, slope);
  const cut = grow(sewn, request.sizes.seam.value);
  const by = slope.slant.value - request.sizes.sewn.depth.value;
  return {
    ...bottom,
    id: 'plate-top',
    part: { index: 2, of: 2 },
    height: slope.slantCut,
    outline: cut.ok ? cut.outline : sewn,
    sewn,
    // The back's notches move with the back; those of ties and buttons keep their distance from the front.
    marks: bottom.marks.map((mark) => (mark.outward.y > 0 ? { ...mark, at: { x: mark.at.x, y: mark.at.y + by } } : mark)),
  };
}

/** The plates with their crown: both faces, or the top one by itself. */
function crowned(request: CoverRequest, top: Piece, bottom: Piece): { readonly top: Piece; readonly under: Piece; readonly eased: Figure | null } {
  const { bow, sizes } = request;
  if (!bow) return { top, under: bottom, eased: null };
  const { plate, eased } = domedPlate(top, bow, sizes.seam);
  if (top === bottom && bow.faces === 2) return { top: plate, under: plate, eased };
  const single = (one: Piece, index: 1 | 2): Piece => ({ ...one, id: index === 1 ? 'plate-bottom' : 'plate-top', part: { index, of: 2 }, countPerCushion: 1 });
  return { top: single(plate, 2), under: single(bottom, 1), eased };
}

/** A ring of welt for each plate; one size twice where the plates are alike. */
function weltsFor({ round, sizes }: CoverRequest, slope: Slope | null, make: (round: Figure, id: string, count: number) => Piece): Plates['welts'] {
  if (!slope) {
    const both = make(round, 'welt', 2);
    return { top: both, bottom: both };
  }
  const over = law('seam line round, on the slope', '2 × ({0} + {1})', [sizes.sewn.width, slope.slant], (w = 0, d = 0) => 2 * (w + d));
  return { top: { ...make(over, 'welt-top', 1), part: { index: 2, of: 2 } }, bottom: { ...make(round, 'welt-bottom', 1), part: { index: 1, of: 2 } } };
}

/** Two plates, a boxing and a slit-strip zip plaque at the back; edge plain or welted. */
export const boxed: ConstructionModule<Boxed> = {
  kind: 'boxed',
  words: ['boxed', 'box'],
  schema,
  make(choices, request) {
    const { sizes, assume, sewn, usableMm } = request;
    const problems: Issue[] = [];
    const chosen = (name: string, entered: number | undefined, key: AssumptionKey): Figure =>
      entered === undefined ? given(name, assume(key), 'shop') : given(name, entered, 'entered');
    const alongRoll = request.railroaded || choices.strips === 'along';

    const zipWidth = chosen('zip', choices.zipWidthMm, 'zipWidthMm');
    const stripMm = alongRoll ? Infinity : usableMm;
    const { slope } = sizes;
    const band = slope
      ? makePanels({ sewn, sizes, slope, zipWidth, stripMm, trimOffMm: assume('trimOffMm') })
      : makeBand({
          sewn,
          sewnWidth: sizes.sewn.width,
          round: request.round,
          cutHeight: sizes.boxingCut,
          finishedHeight: sizes.sewn.height,
          seam: sizes.seam,
          zipWidth,
          zipReturn: chosen('return', choices.zipReturnMm, 'zipReturnMm'),
          zipPocket: chosen('pocket', choices.zipPocketMm, 'zipPocketMm'),
          stripMm,
          tiesMm: tiesOf(request),
          jointClearMm: assume('jointClearMm'),
          trimOffMm: assume('trimOffMm'),
        });
    problems.push(...band.problems, ...tieProblems(request, band));

    const bottom: Piece = {
      id: slope ? 'plate-bottom' : 'plate',
      role: 'plate',
      part: { index: 1, of: slope ? 2 : 1 },
      material: 'cover',
      grade: null,
      thicknessMm: null,
      countPerCushion: slope ? 1 : 2,
      width: sizes.cut.width,
      height: sizes.cut.depth,
      outline: request.cut,
      sewn,
      marks: plateMarks(request, band),
      grain: 'with-the-roll',
      trimMm: 0,
      joins: 0,
    };
    const flat = slope ? slopingPlate(request, slope, bottom) : bottom;
    const { top, under, eased } = crowned(request, flat, bottom);
    const acrossRoll = Math.max(...[top, under].map((plate) => (request.railroaded ? plate.height.value : plate.width.value)));
    if (acrossRoll > usableMm)
      problems.push(issue('error', 'plate-wider-than-cloth', 'cloth.widthMm', { plateMm: acrossRoll, usableMm, railroaded: request.railroaded ? 1 : 0 }));

    const weltRound = (round: Figure, id: string, countPerCushion: number): Piece => ({
      ...weltPiece({
        cord: chosen('cord', choices.cordMm, 'cordMm'),
        cloth: given('cloth', request.clothThicknessMm, 'material'),
        flange: { ...sizes.seam, name: 'flange' },
        round,
        overlap: given('to join the ring', assume('ringOverlapMm'), 'shop'),
        biasDepthMm: biasDepth(assume('biasDepthMm'), usableMm),
      }),
      id,
      countPerCushion,
    });
    const welts = choices.edge === 'welt' ? weltsFor(request, slope, weltRound) : null;

    const smaller = Math.min(sizes.core.width.value, sizes.core.depth.value);
    const needed = smaller * assume('softCoreOpening');
    if (band.opening.value < needed)
      problems.push(issue('warning', 'zip-too-short-for-core', 'construction.zipReturnMm', { openingMm: band.opening.value, neededMm: needed }));

    const seams = makeSeams(request, band, { top, bottom: under, welts, eased });
    for (const seam of unequalSeams(seams))
      problems.push(issue('error', 'seam-pair-unequal', 'construction', { seam: seam.id, firstMm: seam.edges[0].lengthMm, secondMm: seam.edges[1].lengthMm }));

    const arc = sewn.segments.find((segment) => segment.edge === 'corner');
    const cutEdgeSpread = arc && arc.kind === 'arc' ? sizes.seam.value * Math.abs(arc.sweep) : 0;
    return {
      pieces: [...new Set([under, top]), ...band.boxing, band.plaque, ...(welts ? new Set([welts.top, welts.bottom]) : [])],
      seams,
      notions: makeNotions(seams, welts ? [...new Set([welts.top, welts.bottom])] : [], band.opening, request.clothThicknessMm, assume),
      opening: band.opening,
      eased,
      clipEveryMm: clipEvery(sewn, sizes.seam.value, assume('clipOpenMm')),
      innerCorners: cornersOf(sewn).filter((corner) => corner.inner).length,
      clipsPerCorner: slope ? 0 : arc && segmentLength(arc) > 0 ? Math.ceil(cutEdgeSpread / assume('clipOpenMm')) : 1,
      problems,
    };
  },
};
