import { given, type Figure } from '../../../kernel/figure';
import { operation, type Operation } from '../../../piece/operation';
import type { Piece } from '../../../piece/piece';
import type { Seam } from '../../../piece/seam';
import { minutesFor } from '../../../shop/minutes';
import type { Closing, CoverRequest } from '../../contract';
import type { Band } from '../../parts/boxing';
import { clipEvery, cornersOf } from '../../parts/corners';
import { cutCover, dress, insertCore } from '../../parts/cover-operations';
import type { Plates } from './plates';
import type { Welts } from './seams';

const CUTTING = {
  cut: 'Cut the long strips first along the selvedge, then the plates',
  notch: 'Notch centres, corners and zip ends on plates and boxing, on both edges of the boxing.',
};

export interface BoxedWork {
  readonly request: CoverRequest;
  readonly pieces: readonly Piece[];
  readonly plates: Plates;
  readonly welts: Welts | null;
  readonly band: Band;
  readonly seams: readonly Seam[];
  readonly closings: readonly Closing[];
}

/** Clips in each rounded corner so that none opens or overlaps more than the shop allows. */
function clipsPerCorner({ request: { sewn, sizes, assume } }: BoxedWork): number {
  if (sizes.slope) return 0;
  const arc = sewn.segments.find((segment) => segment.edge === 'corner');
  if (!arc || arc.kind !== 'arc') return 1;
  return Math.ceil((sizes.seam.value * Math.abs(arc.sweep)) / assume('clipOpenMm'));
}

/** The sewing of a boxed cover, in an order that keeps every later seam reachable. */
export function boxedOperations(work: BoxedWork): Operation[] {
  const { request, pieces, plates, welts, band, seams, closings } = work;
  const { assume, sewn, sizes, marks } = request;
  const ids = (...of: readonly (Piece | null | undefined)[]): string[] => [...new Set(of.flatMap((piece) => (piece ? [piece.id] : [])))];
  const run = (...names: readonly string[]): number =>
    seams.filter(({ id }) => names.includes(id)).reduce((mm, seam) => mm + seam.count * seam.rows * seam.edges[0].lengthMm, 0);
  const sew = (mm: number, corners = 0): number => minutesFor('sew', mm, corners, assume);
  const corners = cornersOf(sewn);
  const inner = corners.filter((corner) => corner.inner).length;
  const panels = sizes.slope !== null;
  const zip = closings.find((closing) => closing.kind === 'zip');
  const bandIds = ids(...band.boxing, band.plaque);
  const both = ids(plates.top, plates.bottom);
  const ties = marks.filter(({ kind }) => kind === 'tie').length;
  const buttons = marks.filter(({ kind }) => kind === 'button').length;
  const joins = seams.filter(({ id }) => band.joins.some((join) => join.id === id));
  const clips = clipsPerCorner(work);
  const every = clipEvery(sewn, sizes.seam.value, assume('clipOpenMm'));
  const figures: Figure[] = every === null ? [] : [given('between clips', every, 'shop')];
  return [
    ...cutCover(pieces, CUTTING, assume),
    operation({
      id: 'sew/plaque',
      phase: 'sew',
      text: 'Make up the zip plaque: fold the strip, seam at half the zip’s width, slit the fold, press open and set the zip of {0}.',
      figures: zip ? [zip.tape] : [],
      cautions: ['Slider on, and a stop sewn across each end, before the plaque is closed in.'],
      pieces: ids(band.plaque),
      seams: ['plaque-slit'],
      minutes: sew(run('plaque-slit')),
      needs: 'machine',
    }),
    ...(joins.length
      ? [
          operation({
            id: panels ? 'sew/panel-corners' : 'sew/boxing-joins',
            phase: 'sew',
            text: panels
              ? 'Sew the front panel between the two sides, corner to corner, each seam stopped one allowance short at both ends.'
              : 'Join the boxing strips end to end and trim.',
            pieces: ids(...band.boxing),
            seams: joins.map(({ id }) => id),
            minutes: sew(run(...joins.map(({ id }) => id))),
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
            pieces: ids(welts.top, welts.bottom),
            minutes: sew(run('welt-top', 'welt-bottom')),
            needs: 'machine',
          }),
          operation({
            id: 'sew/welt-on',
            phase: 'sew',
            text: 'Sew welt to both plates, starting at the centre back; join each ring there.',
            cautions: ['Clip the welt’s flange at each corner; do not cut the stitch.'],
            pieces: ids(plates.top, plates.bottom, welts.top, welts.bottom),
            seams: ['welt-top', 'welt-bottom'],
            minutes: sew(run('welt-top', 'welt-bottom'), 2 * corners.length),
            needs: 'machine',
            after: ['sew/welt'],
          }),
        ]
      : []),
    ...(inner
      ? [
          operation({
            id: 'sew/inner-corners',
            phase: 'sew',
            text: `Stay-stitch the ${inner === 1 ? 'inner corner' : `${inner} inner corners`} of both plates, and clip into ${inner === 1 ? 'it' : 'them'} to the stitch.`,
            cautions: ['To the stitch, never through it.'],
            pieces: both,
            minutes: sew(0, 2 * inner),
            needs: 'machine',
          }),
        ]
      : []),
    operation({
      id: 'sew/plaque-ends',
      phase: 'sew',
      text: panels
        ? 'Sew the plaque to the sides at both ends, stopped one allowance short.'
        : 'Sew the plaque to the boxing at both ends, the boxing folded back over the zip’s ends.',
      figures: [band.plaque.width],
      pieces: bandIds,
      seams: ['plaque-ends'],
      minutes: sew(run('plaque-ends')),
      needs: 'machine',
      after: ['sew/plaque', 'sew/boxing-joins', 'sew/panel-corners'],
    }),
    ...(ties
      ? [
          operation({
            id: 'sew/ties',
            phase: 'sew',
            text: `Baste ${ties === 1 ? 'the pair of ties' : `${ties} pairs of ties`} at ${ties === 1 ? 'its notch' : 'their notches'}, ends towards the middle.`,
            cautions: ['Never where a join or an end of the zip lies.'],
            pieces: bandIds,
            minutes: sew(0, ties),
            needs: 'machine',
            after: ['sew/plaque-ends'],
          }),
        ]
      : []),
    operation({
      id: 'sew/band-to-top',
      phase: 'sew',
      text: panels
        ? 'Sew the band to the top plate, corner to corner, pivoting where the panels’ seams stop.'
        : `Sew the band to the top plate, notch to notch; clip the boxing ${clips === 1 ? 'once' : `${clips} times`} at each corner${every === null ? '.' : ', and every {0} along the curves.'}`,
      figures,
      cautions: ['Clip the allowance, not the stitch.', ...(plates.eased ? ['Ease the domed plate in evenly between the notches; no pleat at a corner.'] : [])],
      pieces: [...ids(plates.top), ...bandIds],
      seams: ['band-to-top'],
      minutes: sew(run('band-to-top'), corners.length),
      needs: 'machine',
      after: ['sew/plaque-ends', 'sew/ties', 'sew/welt-on', 'sew/inner-corners'],
    }),
    ...(buttons
      ? [
          operation({
            id: 'sew/buttons',
            phase: 'sew',
            text: `Mark ${buttons === 1 ? 'the button' : `${buttons} buttons`} on both plates before they are closed in.`,
            pieces: both,
            minutes: minutesFor('cut', 0, 2 * buttons, assume),
            needs: 'table',
            after: ['sew/band-to-top'],
          }),
        ]
      : []),
    operation({
      id: 'sew/band-to-bottom',
      phase: 'sew',
      text: 'Sew the band to the bottom plate from notch to notch, each corner opposite its twin.',
      cautions: ['Open the zip a hand’s width before this seam closes.'],
      pieces: [...ids(plates.bottom), ...bandIds],
      seams: ['band-to-bottom'],
      minutes: sew(run('band-to-bottom'), corners.length),
      needs: 'machine',
      after: ['sew/band-to-top', 'sew/buttons'],
    }),
    insertCore(request, 'sew/band-to-bottom'),
    dress(request, 'Fill the corners with loose wadding, work the seam to the edge, close the zip, steam.', corners.length),
  ];
}
