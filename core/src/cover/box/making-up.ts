import { given } from '../../kernel/figure';
import { operation, type Operation } from '../../piece/operation';
import { cornersOf } from '../band/corners';
import { minutesFor } from '../../shop/minutes';
import { weltRing } from '../sewing/steps';
import { weltWithBoxing } from './choices';
import { isPanelByPanel } from './order';
import { cornerCount, idsOf, lastCorner, many, present, sewingMinutes, type BoxWork } from './work';

/** The strips of the boxing joined, or its panels sewn to a chain; nothing where the panels are sewn to the plates one by one. */
function joining(work: BoxWork): Operation[] {
  const { band, choices } = work;
  if (isPanelByPanel(choices, band)) return [];
  const last = lastCorner(work);
  const joins = band.joins.map(({ id }) => id).filter((id) => id !== last);
  if (joins.length === 0) return [];
  return [
    operation({
      id: band.panels ? 'sew/panel-corners' : 'sew/boxing-joins',
      phase: 'sew',
      text: band.panels
        ? 'Sew the panels to a chain, corner to corner, each seam stopped one allowance short at both ends.'
        : 'Join the boxing strips end to end and trim.',
      pieces: idsOf(...band.boxing),
      seams: joins,
      minutes: sewingMinutes(work, joins),
      needs: 'machine',
      after: ['cut/notch'],
    }),
  ];
}

function welting(work: BoxWork): Operation[] {
  const { request, welts } = work;
  if (!welts) return [];
  const seams = present(work, 'welt-top', 'welt-bottom');
  // Made up it is sewn along its whole length, whether or not it is then sewn on by a row of its own.
  const runMm = work.seams.filter(({ id }) => seams.includes(id)).reduce((mm, { edges }) => mm + edges[0].lengthMm, 0);
  return [
    operation({
      id: 'sew/welt',
      foot: 'edge',
      phase: 'sew',
      text: 'Join the welt strips on the diagonal, fold them over the cord and sew beside it.',
      cautions: ['The row that makes the welt lies a needle’s width outside the closing row, so that it never shows.'],
      pieces: idsOf(welts.top.piece, welts.bottom?.piece),
      minutes: minutesFor('sew', runMm, 0, request.assume),
      needs: 'machine',
      after: ['cut/cover'],
    }),
    ...(weltWithBoxing(work.choices) ? [] : [weltOn(work, seams)]),
  ];
}

/** Sewing the welt to its plates, before anything else meets them. */
function weltOn(work: BoxWork, seams: readonly string[]): Operation {
  const { request, plates, welts } = work;
  return operation({
    id: 'sew/welt-on',
    foot: 'edge',
    phase: 'sew',
    text: `Sew welt to ${welts?.bottom ? 'both plates' : 'the top plate'}: start {0} past the centre back, stop {1} from where you started, cut the end {2} over, turn it in {3} and close the ring.`,
    figures: [
      given('past the mark', request.assume('ringOverlapMm'), 'shop'),
      given('from the start', request.assume('ringStopMm'), 'shop'),
      given('cut over', request.assume('ringOverMm'), 'shop'),
      given('turned in', request.assume('ringTurnMm'), 'shop'),
    ],
    cautions: ['Clip the welt’s flange at each corner; do not cut the stitch.'],
    pieces: idsOf(plates.top, plates.bottom, welts?.top.piece, welts?.bottom?.piece),
    seams,
    looks: ['welt'],
    stages: weltRing(request.assume),
    minutes: sewingMinutes(work, seams, (welts?.bottom ? 2 : 1) * cornerCount(work)),
    needs: 'machine',
    after: ['sew/welt', 'cut/notch'],
  });
}

function innerCorners(work: BoxWork): Operation[] {
  const inner = cornersOf(work.request.sewn).filter((corner) => corner.inner).length;
  if (inner === 0) return [];
  return [
    operation({
      id: 'sew/inner-corners',
      phase: 'sew',
      text: `Stay-stitch the ${many(inner, 'inner corner', 'inner corners')} of both plates, and clip into ${inner === 1 ? 'it' : 'them'} to the stitch.`,
      cautions: ['To the stitch, never through it.'],
      pieces: idsOf(work.plates.top, work.plates.bottom),
      minutes: sewingMinutes(work, [], 2 * inner),
      needs: 'machine',
      after: ['cut/notch'],
    }),
  ];
}

/** What is made up before anything is joined: the boxing, the welt, corners that turn in. */
export function makingUp(work: BoxWork): Operation[] {
  return [...joining(work), ...welting(work), ...innerCorners(work)];
}
