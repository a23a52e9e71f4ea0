import { edgeSpans, perimeter } from '../../../geometry/outline';
import { given, type Figure } from '../../../kernel/figure';
import { issue, type Issue } from '../../../kernel/issue';
import type { Piece } from '../../../piece/piece';
import { seamProblems } from '../../../piece/seam';
import type { AssumptionKey } from '../../../shop/assumptions';
import type { Construction, CoverRequest } from '../../contract';
import { makeBand, type Band } from '../../parts/boxing';
import { notionsFor, zipClosing } from '../../parts/notions';
import { makePanels } from '../../parts/panels';
import { tiesOf } from '../../parts/plate';
import { biasDepth, weltPiece } from '../../parts/welt';
import { boxedFields, boxedSchema, type Boxed } from './choices';
import { boxedOperations } from './operations';
import { platesOf, roundOnSlope, type Plates } from './plates';
import { boxedSeams, type Welts } from './seams';

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

type Chosen = (name: string, entered: number | undefined, key: AssumptionKey) => Figure;
const chooser =
  ({ assume }: CoverRequest): Chosen =>
  (name, entered, key) =>
    entered === undefined ? given(name, assume(key), 'shop') : given(name, entered, 'entered');

/** The boxing with its zip plaque: panels round a wedge, else strips wrapped round. */
function bandFor(choices: Boxed, request: CoverRequest): Band {
  const { sizes, sewn, assume } = request;
  const chosen = chooser(request);
  const cloth = request.cloth('boxing');
  const alongRoll = cloth.railroaded || choices.strips === 'along';
  const zipWidth = chosen('zip', choices.zipWidthMm, 'zipWidthMm');
  const stripMm = alongRoll ? Infinity : cloth.usableMm;
  const band = sizes.slope
    ? makePanels({ sewn, sizes, slope: sizes.slope, zipWidth, stripMm, trimOffMm: assume('trimOffMm') })
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
  if (choices.strips !== 'along' || cloth.railroaded) return band;
  // The band's edges name their pieces by id, so that turning the pieces changes nothing in them.
  const along = (piece: Piece): Piece => ({ ...piece, alongRoll: true });
  return { ...band, boxing: band.boxing.map(along), plaque: along(band.plaque) };
}

/** A ring of welt for each plate: one size twice where the plates are alike. */
function weltsFor(choices: Boxed, request: CoverRequest): Welts | null {
  if (choices.edge !== 'welt') return null;
  const { sizes, assume } = request;
  const cloth = request.cloth('welt');
  const make = (round: Figure, id: string, label: string, part: Piece['part'], countPerCushion: number): Piece =>
    weltPiece({
      id,
      label,
      part,
      countPerCushion,
      cord: chooser(request)('cord', choices.cordMm, 'cordMm'),
      cloth: given('cloth', cloth.thicknessMm, 'material'),
      flange: { ...sizes.seam, name: 'flange' },
      round,
      overlap: given('to join the ring', assume('ringOverlapMm'), 'shop'),
      biasDepthMm: biasDepth(assume('biasDepthMm'), cloth.usableMm),
    });
  if (!sizes.slope) {
    const both = make(request.round, 'welt', 'welt strip', { index: 1, of: 1 }, 2);
    return { top: both, bottom: both };
  }
  return {
    top: make(roundOnSlope(request, sizes.slope), 'welt-top', 'welt strip, top', { index: 2, of: 2 }, 1),
    bottom: make(request.round, 'welt-bottom', 'welt strip, bottom', { index: 1, of: 2 }, 1),
  };
}

/** Plates that the cloth is too narrow for. */
function widthProblems({ top, bottom }: Plates, request: CoverRequest): Issue[] {
  for (const plate of [top, bottom]) {
    if (plate.material.kind !== 'cloth') continue;
    const { usableMm, railroaded } = request.cloth(plate.material.slot);
    const plateMm = railroaded ? plate.height.value : plate.width.value;
    if (plateMm > usableMm) return [issue('error', 'plate-wider-than-cloth', 'cloth.widthMm', { plateMm, usableMm, railroaded: railroaded ? 1 : 0 })];
  }
  return [];
}

/** Whether the core goes in through the opening: soft foam is bagged, what cannot be squeezed needs the whole of its smaller side and both corners open. */
function openingProblems({ sizes, sewn, contents, assume }: CoverRequest, opening: Figure): Issue[] {
  const smaller = Math.min(sizes.core.width.value, sizes.core.depth.value);
  const back = edgeSpans(sewn).reduce((mm, { edge, start, end }) => mm + (edge === 'back' ? end - start : 0), 0);
  const needed = contents.stiff ? Math.max(smaller, back + 2 * assume('zipReturnMm')) : smaller * assume('softCoreOpening');
  return opening.value < needed - 1e-6
    ? [issue('warning', 'zip-too-short-for-core', 'construction.zipReturnMm', { openingMm: opening.value, neededMm: needed })]
    : [];
}

/** Two plates, a boxing and a slit-strip zip plaque at the back; edge plain or welted. */
export const boxed: Construction<Boxed> = {
  kind: 'boxed',
  name: 'Boxed',
  idea: 'Two plates with a band between them, a zip at the back.',
  words: ['boxed', 'box'],
  choiceWords: { welt: { edge: 'welt' }, welted: { edge: 'welt' }, piped: { edge: 'welt' }, plain: { edge: 'plain' } },
  schema: boxedSchema,
  defaults: () => ({ kind: 'boxed', edge: 'plain' }),
  fields: boxedFields,
  slots: ['bottom', 'boxing', 'welt'],
  suits: () => [],
  make(choices, request) {
    const band = bandFor(choices, request);
    const plates = platesOf(request, band);
    const welts = weltsFor(choices, request);
    const rings = welts ? [...new Set([welts.top, welts.bottom])] : [];
    const pieces = [...new Set([plates.bottom, plates.top]), ...band.boxing, band.plaque, ...rings];
    const seams = boxedSeams(request, band, plates, welts, pieces);
    const closings = [zipClosing(band.opening, 'back', request.assume)];
    return {
      pieces,
      seams,
      closings,
      notions: notionsFor(closings, rings, seams, request.cloth('main').thicknessMm, request.assume),
      operations: boxedOperations({ request, pieces, plates, welts, band, seams, closings }),
      eased: plates.eased,
      problems: [
        ...band.problems,
        ...tieProblems(request, band),
        ...widthProblems(plates, request),
        ...openingProblems(request, band.opening),
        ...seamProblems(seams),
      ],
    };
  },
  profile: ({ edge, cordMm }, { sewn, slope }, assume) => ({
    kind: 'band',
    heightMm: slope ? (sewn.height.value + slope.sewn.value) / 2 : sewn.height.value,
    crownedFaces: slope ? 1 : null,
    domes: true,
    onBoard: false,
    welt: edge === 'welt' ? { cordMm: cordMm ?? assume('cordMm'), on: 'both' } : null,
    modelled: true,
  }),
  says: ({ edge }) => (edge === 'welt' ? 'welted' : 'plain edge'),
};
