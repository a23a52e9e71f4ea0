import * as z from 'zod';
import { isCorner } from '../../geometry/measure';
import { edgeSpans, perimeter, stationAt, type Outline } from '../../geometry/outline';
import { segmentLength, type Segment } from '../../geometry/segment';
import { given, type Figure } from '../../kernel/figure';
import { issue, type Issue } from '../../kernel/issue';
import { buttonAt, tieAlong } from '../../template/marks';
import { unequalSeams, type Mark, type Piece, type Seam } from '../../piece/piece';
import type { AssumptionKey } from '../../shop/assumptions';
import { makeBand, type Band } from '../boxing';
import { clipEvery, cornersOf } from '../corners';
import { makeNotions } from '../notions';
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

function makeSeams(request: CoverRequest, band: Band, plate: Piece, welt: Piece | null): Seam[] {
  const plateMm = plate.sewn ? perimeter(plate.sewn) : 0;
  const heightMm = request.sizes.boxingCut.value;
  const seam = (id: Seam['id'], count: number, rows: number, a: [Piece['role'], number], b: [Piece['role'], number]): Seam => ({
    id,
    count,
    rows,
    edges: [
      { role: a[0], lengthMm: a[1] },
      { role: b[0], lengthMm: b[1] },
    ],
  });
  const slitMm = band.plaque.width.value;
  const foldedMm = band.plaque.height.value - (band.plaque.height.kind === 'sum' ? (band.plaque.height.terms[1]?.each.value ?? 0) : 0);
  const ringMm = welt ? welt.width.value - welt.joins * welt.height.value - request.assume('ringOverlapMm') : 0;
  return [
    seam('plaque-slit', 1, 3, ['plaque', slitMm], ['plaque', slitMm]),
    ...(band.boxing.length > 1 ? [seam('boxing-joins', band.boxing.length - 1, 1, ['boxing', heightMm], ['boxing', heightMm])] : []),
    ...(welt ? (['welt-top', 'welt-bottom'] as const).map((id) => seam(id, 1, 1, ['welt', ringMm], ['plate', plateMm])) : []),
    seam('plaque-ends', 2, 1, ['plaque', foldedMm], ['boxing', heightMm]),
    seam('band-to-top', 1, 1, ['boxing', band.sewnMm], ['plate', plateMm]),
    seam('band-to-bottom', 1, 1, ['boxing', band.sewnMm], ['plate', plateMm]),
  ];
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

    const band = makeBand({
      sewn,
      sewnWidth: sizes.sewn.width,
      round: request.round,
      cutHeight: sizes.boxingCut,
      finishedHeight: sizes.sewn.height,
      seam: sizes.seam,
      zipWidth: chosen('zip', choices.zipWidthMm, 'zipWidthMm'),
      zipReturn: chosen('return', choices.zipReturnMm, 'zipReturnMm'),
      zipPocket: chosen('pocket', choices.zipPocketMm, 'zipPocketMm'),
      stripMm: alongRoll ? Infinity : usableMm,
      tiesMm: tiesOf(request),
      jointClearMm: assume('jointClearMm'),
      trimOffMm: assume('trimOffMm'),
    });
    problems.push(...band.problems, ...tieProblems(request, band));

    const plate: Piece = {
      id: 'plate',
      role: 'plate',
      part: { index: 1, of: 1 },
      material: 'cover',
      grade: null,
      thicknessMm: null,
      countPerCushion: 2,
      width: sizes.cut.width,
      height: sizes.cut.depth,
      outline: request.cut,
      sewn,
      marks: plateMarks(request, band),
      grain: 'with-the-roll',
      trimMm: 0,
      joins: 0,
    };
    const acrossRoll = request.railroaded ? sizes.cut.depth.value : sizes.cut.width.value;
    if (acrossRoll > usableMm) problems.push(issue('error', 'plate-wider-than-cloth', 'cloth.widthMm', { plateMm: acrossRoll, usableMm }));

    const welt =
      choices.edge === 'welt'
        ? weltPiece({
            cord: chosen('cord', choices.cordMm, 'cordMm'),
            cloth: given('cloth', request.clothThicknessMm, 'material'),
            flange: { ...sizes.seam, name: 'flange' },
            round: request.round,
            overlap: given('to join the ring', assume('ringOverlapMm'), 'shop'),
            biasDepthMm: biasDepth(assume('biasDepthMm'), usableMm),
          })
        : null;

    const smaller = Math.min(sizes.core.width.value, sizes.core.depth.value);
    const needed = smaller * assume('softCoreOpening');
    if (band.opening.value < needed)
      problems.push(issue('warning', 'zip-too-short-for-core', 'construction.zipReturnMm', { openingMm: band.opening.value, neededMm: needed }));

    const seams = makeSeams(request, band, plate, welt);
    for (const seam of unequalSeams(seams))
      problems.push(issue('error', 'seam-pair-unequal', 'construction', { seam: seam.id, firstMm: seam.edges[0].lengthMm, secondMm: seam.edges[1].lengthMm }));

    const arc = sewn.segments.find((segment) => segment.edge === 'corner');
    const cutEdgeSpread = arc && arc.kind === 'arc' ? sizes.seam.value * Math.abs(arc.sweep) : 0;
    return {
      pieces: [plate, ...band.boxing, band.plaque, ...(welt ? [welt] : [])],
      seams,
      notions: makeNotions(seams, welt, band.opening, request.clothThicknessMm, assume),
      opening: band.opening,
      clipEveryMm: clipEvery(sewn, sizes.seam.value, assume('clipOpenMm')),
      innerCorners: cornersOf(sewn).filter((corner) => corner.inner).length,
      clipsPerCorner: arc && segmentLength(arc) > 0 ? Math.ceil(cutEdgeSpread / assume('clipOpenMm')) : 1,
      problems,
    };
  },
};
