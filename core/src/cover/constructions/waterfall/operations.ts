import { given, type Figure } from '../../../kernel/figure';
import { operation, type Operation } from '../../../piece/operation';
import type { Piece } from '../../../piece/piece';
import type { Seam } from '../../../piece/seam';
import type { CoverRequest } from '../../contract';
import { halvesStages } from '../../sewing/corner-stages';
import { hemmedEndStages } from '../../plaque/plaque-stages';
import { plaqueText, plaqueTools, steamed } from '../../sewing/cloth-way';
import { cutCover, dress, insertCore, openZip } from '../../sewing/cover-operations';
import { sewMinutes, weltStep } from '../../sewing/steps';
import type { Made } from './pieces';

const CUTTING = {
  rest: 'the plate in one, then the side boxings and the plaque',
  nap: 'the plate’s front down the nap',
  notch: 'Notch the mid marks of the front on plate and side boxings; the centre back, the back’s corners and the zip’s ends on plate and plaque.',
};

const RING =
  'Make up the welt and sew it in one ring round the whole flat plate: from the centre of the top’s back along a side, over the front’s curve and on underneath, along both back edges, and round to where it began; join the ring there.';

/** The steps of a plate that runs over the front, its sides and its zip; `tape` of the zip. */
export function waterfallOperations(request: CoverRequest, made: Made, pieces: readonly Piece[], seams: readonly Seam[], tape: Figure): Operation[] {
  const { assume } = request;
  const sew = sewMinutes(seams, assume);
  const sides = [...new Set([made.sides.right.id, made.sides.left.id])];
  const plate = made.plate.piece.id;
  const plaque = made.plaque.pieces.map(({ id }) => id);
  const hem = given('hem', assume('endHemMm'), 'shop');
  const lap = given('lap', assume('endLapMm'), 'shop');
  return [
    ...cutCover(pieces, CUTTING, request),
    operation({
      id: 'sew/plaque',
      foot: 'zip',
      phase: 'sew',
      text: plaqueText('slit', request.cloth('boxing')),
      figures: [tape],
      cautions: [
        'Slider on, and a stop sewn across each end, before the plaque is closed in.',
        'Measure the finished plaque against the boxing and trim it to match, to the millimetre.',
      ],
      tools: plaqueTools('slit', request.cloth('boxing')),
      pieces: plaque,
      seams: made.plaque.seams.map(({ id }) => id),
      minutes: sew(made.plaque.seams.map(({ id }) => id)),
      needs: 'machine',
      after: ['cut/notch'],
    }),
    ...(made.welt ? [weltStep({ text: RING, pieces: [made.welt.id, plate], seam: 'welt-round', corners: 4, after: ['cut/notch'] }, sew, assume)] : []),
    operation({
      id: 'sew/plaque-ends',
      phase: 'sew',
      text: 'Turn the side boxings’ ends in {0}, lap their folds {1} over the plaque and close each with a row {2} inside the fold: side, plaque and side are one chain.',
      figures: [hem, lap, given('from the fold', assume('endRowMm'), 'shop')],
      cautions: made.welt ? ['The row stops short of the welt at both ends: the slider must pass.'] : [],
      pieces: [...sides, ...plaque],
      seams: ['plaque-ends'],
      looks: ['plaque-join'],
      stages: hemmedEndStages({
        hemMm: hem.value,
        lapMm: lap.value,
        rowMm: assume('endRowMm'),
        welted: made.welt ? { heightMm: request.sizes.sewn.height.value, shortMm: assume('ridgeStopMm') } : null,
      }),
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
      pieces: [plate, ...sides, ...plaque],
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
      cautions: ['The zip stands open a hand’s width before the last seam closes.'],
      pieces: [plate, ...sides, ...plaque],
      seams: ['side-right-bottom', 'plaque-to-bottom', 'side-left-bottom'],
      looks: ['halves', 'pleats'],
      looksLike: { halves: halvesStages(request.sizes.sewn.width.value, request.sizes.sewn.depth.value) },
      minutes: sew(['side-right-bottom', 'plaque-to-bottom', 'side-left-bottom'], 2),
      needs: 'machine',
      after: ['sew/open-zip'],
    }),
    insertCore(request, 'sew/side-bottom'),
    dress(request, `Smooth the front over, fill the back’s corners with loose wadding, close the zip${steamed(request.cloth('main'))}`, 2),
  ];
}
