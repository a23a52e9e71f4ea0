import { given, type Figure } from '../../kernel/figure';
import { operation, type Operation } from '../../piece/operation';
import type { Piece } from '../../piece/piece';
import type { Seam } from '../../piece/seam';
import { minutesFor } from '../../shop/minutes';
import type { Closing, CoverRequest } from '../contract';
import type { Band } from '../band/band';
import { clipEvery, cornersOf } from '../band/corners';
import { cutCover, dress, insertCore } from '../sewing/cover-operations';
import type { Added } from '../extras/extras';
import { tubeMark } from '../plate/wide';
import type { Box } from './choices';
import { lastOperations, plaqueOperations, type ClosingWork } from './closing-operations';
import type { Plates } from './plates';
import type { Welts } from './welts';

const CUTTING = {
  cut: 'Cut the long strips first along the selvedge, then the plates',
  notch: 'Notch centres, corners and zip ends on plates and boxing, on both edges of the boxing.',
};

export interface BoxWork {
  readonly choices: Box;
  readonly request: CoverRequest;
  readonly pieces: readonly Piece[];
  readonly plates: Plates;
  readonly welts: Welts | null;
  readonly band: Band;
  readonly seams: readonly Seam[];
  readonly closing: Closing;
  readonly extras: Added;
}

/** Clips in each rounded corner so that none opens or overlaps more than the shop allows. */
function clipsPerCorner({ request: { sewn, sizes, assume }, band }: BoxWork): number {
  if (band.panels) return 0;
  const arc = sewn.segments.find((segment) => segment.edge === 'corner');
  if (!arc || arc.kind !== 'arc') return 1;
  return Math.ceil((sizes.seam.value * Math.abs(arc.sweep)) / assume('clipOpenMm'));
}

const ids = (...of: readonly (Piece | null | undefined)[]): string[] => [...new Set(of.flatMap((piece) => (piece ? [piece.id] : [])))];
const many = (count: number, one: string, more: string): string => (count === 1 ? one : `${count} ${more}`);

/** What is made up before anything is joined: plates of several pieces, the boxing, the welt. */
function makingUp(work: BoxWork, sew: ClosingWork['sew']): Operation[] {
  const { request, plates, welts, band } = work;
  const corners = cornersOf(request.sewn);
  const inner = corners.filter((corner) => corner.inner).length;
  const joins = band.joins.map(({ id }) => id);
  const plateJoins = [...new Set([...plates.top.joins, ...plates.bottom.joins].map(({ id }) => id))];
  const wide = plates.top.pieces.length > 1 ? plates.top : plates.bottom;
  const half = wide.pieces.length > 1 ? tubeMark({ width: request.sizes.cut.width }) : null;
  return [
    ...(plateJoins.length && half
      ? [
          operation({
            id: 'sew/wide-plates',
            phase: 'sew',
            text: 'Seam the drops of each wide plate selvedge to selvedge, on both selvedges, into a tube; press, lay the seams together, mark {0} from each fold and cut: a full middle with two equal sides.',
            figures: [half],
            cautions: ['Each further drop starts on a repeat: match the pattern across the seams. Never one seam down the middle of a seat.'],
            pieces: ids(...plates.top.pieces, ...plates.bottom.pieces),
            seams: plateJoins,
            minutes: sew(plateJoins),
            needs: 'machine',
            after: ['cut/cover'],
          }),
        ]
      : []),
    ...(joins.length
      ? [
          operation({
            id: band.panels ? 'sew/panel-corners' : 'sew/boxing-joins',
            phase: 'sew',
            text: band.panels
              ? 'Sew the panels together, corner to corner, each seam stopped one allowance short at both ends; leave the chain’s last corner open until the first plate is on.'
              : 'Join the boxing strips end to end and trim.',
            pieces: ids(...band.boxing),
            seams: joins,
            minutes: sew(joins),
            needs: 'machine',
          }),
        ]
      : []),
    ...(welts
      ? [
          operation({
            id: 'sew/welt',
            phase: 'sew',
            text: 'Join the welt strips on the diagonal, fold them over the cord and sew beside it.',
            cautions: ['The row that makes the welt lies a needle’s width outside the closing row, so that it never shows.'],
            pieces: ids(welts.top.piece, welts.bottom?.piece),
            minutes: sew(['welt-top', 'welt-bottom']),
            needs: 'machine',
          }),
          operation({
            id: 'sew/welt-on',
            phase: 'sew',
            text: `Sew welt to ${welts.bottom ? 'both plates' : 'the top plate'}: start {0} past the centre back, stop {1} from where you started, cut the end {2} over, turn it in {3} and close the ring.`,
            figures: (['ringOverlapMm', 'ringStopMm', 'ringOverMm', 'ringTurnMm'] as const).map((key) =>
              given('at the ring’s join', request.assume(key), 'shop'),
            ),
            cautions: ['Clip the welt’s flange at each corner; do not cut the stitch.'],
            pieces: ids(...plates.top.pieces, ...plates.bottom.pieces, welts.top.piece, welts.bottom?.piece),
            seams: welts.bottom ? ['welt-top', 'welt-bottom'] : ['welt-top'],
            minutes: sew(['welt-top', 'welt-bottom'], (welts.bottom ? 2 : 1) * corners.length),
            needs: 'machine',
            after: ['sew/welt', 'sew/wide-plates'],
          }),
        ]
      : []),
    ...(inner
      ? [
          operation({
            id: 'sew/inner-corners',
            phase: 'sew',
            text: `Stay-stitch the ${many(inner, 'inner corner', 'inner corners')} of both plates, and clip into ${inner === 1 ? 'it' : 'them'} to the stitch.`,
            cautions: ['To the stitch, never through it.'],
            pieces: ids(...plates.top.pieces, ...plates.bottom.pieces),
            minutes: sew([], 2 * inner),
            needs: 'machine',
            after: ['sew/wide-plates'],
          }),
        ]
      : []),
  ];
}

/** The ridge: each seam turned to the boxing and top-stitched beside it. */
function ridges(
  { choices, request: { assume }, plates, band, seams, closing }: BoxWork,
  sew: ClosingWork['sew'],
): Record<'panels' | 'top' | 'bottom' | 'byHand', Operation[]> {
  if (choices.edge !== 'ridge') return { panels: [], top: [], bottom: [], byHand: [] };
  const away = given('from the seam', assume('ridgeMm'), 'shop');
  const stop = given('from a corner', assume('ridgeStopMm'), 'shop');
  const twice = choices.ridge === 'twice' ? ' Twice.' : '';
  const step = (id: string, what: string, names: readonly string[], pieces: readonly string[], after: readonly string[]): Operation =>
    operation({
      id,
      phase: 'sew',
      text: `Turn ${what} to the boxing and top-stitch {0} from it with the longer stitch, stopping {1} before a bulky corner and going on as far after it.${twice}`,
      figures: [away, stop],
      pieces,
      seams: names,
      minutes: sew(names),
      needs: 'machine',
      after,
    });
  const panelSeams = seams.filter(({ id }) => id.startsWith('ridge-panel') || id === 'ridge-boxing-ring').map(({ id }) => id);
  const boxing = ids(...band.boxing);
  return {
    panels: panelSeams.length ? [step('sew/ridge-panels', 'each corner seam', panelSeams, boxing, ['sew/panel-corners'])] : [],
    top: [step('sew/ridge-top', 'the top seam', ['ridge-top'], ids(...plates.top.pieces, ...band.boxing), ['sew/band-to-top'])],
    bottom: [step('sew/ridge-bottom', 'the bottom seam', ['ridge-bottom'], ids(...plates.bottom.pieces, ...band.boxing), ['sew/band-to-bottom'])],
    byHand:
      closing.kind === 'hand'
        ? [
            operation({
              id: 'fill/ridge',
              phase: 'fill',
              text: 'Work the ridge along the closed opening by hand, {0} from the seam, so that it runs on all round.',
              figures: [away],
              pieces: boxing,
              minutes: minutesFor('hand', closing.opening.value, 0, assume),
              needs: 'hand',
              after: ['fill/close'],
            }),
          ]
        : [],
  };
}

/** The sewing of a boxed cover, in an order that keeps every later seam reachable. */
export function boxOperations(work: BoxWork): Operation[] {
  const { choices, request, plates, band, seams, closing, extras } = work;
  const { assume, sewn, sizes, marks } = request;
  const run = (names: readonly string[]): number =>
    seams.filter(({ id }) => names.includes(id)).reduce((mm, seam) => mm + seam.count * seam.rows * seam.edges[0].lengthMm, 0);
  const sew = (names: readonly string[], corners = 0): number => minutesFor('sew', run(names), corners, assume);
  const corners = cornersOf(sewn);
  const bandIds = ids(...band.boxing, ...(band.plaque?.pieces ?? []));
  const [top, bottom] = [ids(...plates.top.pieces), ids(...plates.bottom.pieces)];
  const ties = marks.filter(({ kind }) => kind === 'tie').length;
  const buttons = marks.filter(({ kind }) => kind === 'button').length;
  const clips = clipsPerCorner(work);
  const every = clipEvery(sewn, sizes.seam.value, assume('clipOpenMm'));
  const figures: Figure[] = every === null ? [] : [given('between clips', every, 'shop')];
  const closingWork: ClosingWork = { choices, request, band, closing, sew };
  const [made, ends] = plaqueOperations(closingWork);
  const last = lastOperations(closingWork);
  const ridge = ridges(work, sew);
  const plaqueLast = choices.plaqueSewn === 'last' && ends !== undefined;
  const patches = extras.operations.filter(({ id }) => id === 'sew/drain-panel' || id === 'sew/anti-slip-base').map(({ id }) => id);
  const filled = closing.kind === 'hand' ? (ridge.byHand.length ? 'fill/ridge' : 'fill/close') : 'fill/insert';
  return [
    ...cutCover(work.pieces, CUTTING, assume),
    ...(made ? [made] : []),
    ...makingUp(work, sew),
    ...ridge.panels,
    ...extras.operations,
    ...(ends && !plaqueLast ? [ends] : []),
    ...(ties
      ? [
          operation({
            id: 'sew/ties',
            phase: 'sew',
            text: `Baste ${many(ties, 'the pair of ties at its notch', 'pairs of ties at their notches')}, ends towards the middle, and back-tack over them.`,
            cautions: ['No tie where a join or an end of the zip lies.'],
            pieces: ['tie', ...bandIds],
            minutes: sew([], ties),
            needs: 'machine',
            after: ['sew/plaque-ends', 'sew/ties-made'],
          }),
        ]
      : []),
    operation({
      id: 'sew/band-to-top',
      phase: 'sew',
      text: band.panels
        ? 'Sew the band to the top plate, corner to corner, pivoting where the panels’ seams stop; then close the chain’s last corner.'
        : `Sew the band to the top plate, notch to notch; clip the boxing ${clips === 1 ? 'once' : `${clips} times`} at each corner${every === null ? '.' : ', and every {0} along the curves.'}`,
      figures: band.panels ? [] : figures,
      cautions: ['Clip the allowance, not the stitch.', ...(plates.eased ? ['Ease the domed plate in evenly between the notches; no pleat at a corner.'] : [])],
      pieces: [...top, ...bandIds],
      seams: ['band-to-top'],
      minutes: sew(['band-to-top'], corners.length),
      needs: 'machine',
      after: [
        'sew/boxing-joins',
        'sew/panel-corners',
        'sew/ridge-panels',
        'sew/ties',
        'sew/welt-on',
        'sew/inner-corners',
        'sew/wide-plates',
        'sew/handles',
        'sew/vents',
        ...(plaqueLast ? [] : ['sew/plaque-ends']),
      ],
    }),
    ...ridge.top,
    ...(buttons
      ? [
          operation({
            id: 'sew/buttons',
            phase: 'sew',
            text: `Mark ${many(buttons, 'the button', 'buttons')} on both plates before they are closed in.`,
            pieces: [...new Set([...top, ...bottom])],
            minutes: minutesFor('cut', 0, 2 * buttons, assume),
            needs: 'table',
            after: ['sew/band-to-top'],
          }),
        ]
      : []),
    ...(plaqueLast ? [] : last.before),
    operation({
      id: 'sew/band-to-bottom',
      phase: 'sew',
      text: `Sew the band to the bottom plate from notch to notch, each corner opposite its twin.${closing.kind === 'hand' ? ' Leave {0} open in the middle of the back.' : ''}`,
      figures: closing.kind === 'hand' ? [closing.opening] : [],
      cautions:
        closing.kind === 'hand'
          ? ['Back-tack both ends of the opening.']
          : plaqueLast
            ? ['Where the plaque goes, both plates stay open until it is set in.']
            : ['The zip stands open a hand’s width before the last seam closes.'],
      pieces: [...bottom, ...bandIds],
      seams: ['band-to-bottom'],
      minutes: sew(['band-to-bottom'], corners.length),
      needs: 'machine',
      after: ['sew/band-to-top', 'sew/ridge-top', 'sew/buttons', ...patches, ...(plaqueLast ? [] : ['sew/open-zip'])],
    }),
    ...(plaqueLast && ends ? [{ ...ends, after: ['sew/plaque', 'sew/band-to-bottom'] }, ...last.before] : []),
    ...ridge.bottom,
    {
      ...insertCore(request, 'sew/band-to-bottom'),
      after: ['sew/band-to-bottom', 'sew/ridge-bottom', ...(plaqueLast ? ['sew/plaque-ends', 'sew/open-zip'] : [])],
    },
    ...last.after,
    ...ridge.byHand,
    ...(buttons
      ? [
          operation({
            id: 'fill/buttons',
            phase: 'fill',
            text: `Cover ${2 * buttons} buttons and draw ${many(buttons, 'the pair', 'pairs')} through the core with twine, one on each face, to one depth.`,
            pieces: ['button'],
            minutes: minutesFor('hand', 0, 3 * buttons, assume),
            needs: 'hand',
            after: [filled],
          }),
        ]
      : []),
    dress(
      request,
      `Fill the corners with loose wadding, work the seam to the edge, ${closing.kind === 'zip' ? 'close the zip, steam.' : closing.kind === 'hand' ? 'steam.' : 'press the hook and loop together, steam.'}`,
      corners.length,
      buttons ? 'fill/buttons' : filled,
    ),
  ];
}
