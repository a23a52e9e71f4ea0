import { given, type Figure } from '../../../kernel/figure';
import { operation, type Operation } from '../../../piece/operation';
import type { Piece } from '../../../piece/piece';
import { sewnMm, type Seam } from '../../../piece/seam';
import { minutesFor } from '../../../shop/minutes';
import type { CoverRequest } from '../../contract';
import { cornersOf } from '../../band/corners';
import { flattened, rollerFor } from '../../sewing/cloth-way';
import { cutCover, dress, insertCore, openZip } from '../../sewing/cover-operations';
import { slipStages } from '../../sewing/hand-stages';
import { sewMinutes, weltStep, zipStep } from '../../sewing/steps';
import type { KnifeEdge } from './choices';
import { BACK_HALVES, type Opening } from './plates';

const CUTTING = { rest: 'the plates, their corners trimmed as they are drawn', notch: 'Notch both ends of the opening, on both plates.' };

/** How a knife edge is closed. */
export type KnifeClosing = NonNullable<KnifeEdge['closing']>;

interface ClosingWords {
  readonly sew: string;
  /** How the cover is turned, and what is flattened then. */
  readonly turn: string;
  readonly flat: string;
  readonly shut: string;
}

const STEPS: Record<KnifeClosing, ClosingWords> = {
  hand: {
    sew: 'Sew the plates together, right sides in, from one end of the opening round to the other.',
    turn: 'Turn the cover, push the corners out, turn the opening’s edges in by exactly the seam',
    flat: 'the seam and their fold',
    shut: 'Close the opening along its fold with slip stitch, {0} a stitch, in strong thread.',
  },
  zip: {
    sew: 'Sew the plates together, right sides in, from one end of the zip round to the other.',
    turn: 'Turn the cover through the zip, push the corners out',
    flat: 'the seam',
    shut: 'Close the zip.',
  },
  envelope: {
    sew: 'Lay the front face up, the upper half on it face down, then the lower half over it; sew all round, and once more where the halves overlap.',
    turn: 'Turn the cover, push the corners out',
    flat: 'the seam and the folds of the hems',
    shut: 'Tuck the insert under the upper half.',
  },
};

/** What the steps are made from. */
export interface KnifeWork {
  readonly closing: KnifeClosing;
  readonly pieces: readonly Piece[];
  readonly seams: readonly Seam[];
  readonly opening: Opening | null;
  /** Of the zip, where it has one. */
  readonly tape: Figure | null;
}

const idsOf = (pieces: readonly Piece[], role: Piece['role']): string[] => pieces.filter((piece) => piece.role === role).map(({ id }) => id);

/** The steps of two plates sewn together, however the cover is closed. */
export function knifeEdgeOperations(request: CoverRequest, work: KnifeWork): Operation[] {
  const { assume } = request;
  const { closing, pieces, seams } = work;
  const sew = sewMinutes(seams, assume);
  const plates = idsOf(pieces, 'plate');
  const [welt] = idsOf(pieces, 'welt');
  const corners = cornersOf(request.sewn).filter(({ inner }) => !inner).length;
  const ring = 'Make up the welt and sew it round the front plate, starting at the centre back; join the ring there.';
  return [
    ...cutCover(pieces, CUTTING, request),
    ...(welt ? [weltStep({ text: ring, pieces: [welt, ...plates.slice(0, 1)], seam: 'welt', corners, after: ['cut/notch'] }, sew, assume)] : []),
    ...openingSteps(request, work, plates),
    operation({
      id: 'sew/plates',
      foot: 'edge',
      phase: 'sew',
      text: STEPS[closing].sew,
      cautions: closing === 'hand' ? ['Back-tack both ends of the opening.'] : [],
      pieces: plates,
      seams: ['plates'],
      looks: ['pleats'],
      minutes: sew(['plates'], corners),
      needs: 'machine',
      after: ['sew/welt-on', 'sew/zip', 'sew/open-zip', 'sew/hems'],
    }),
    operation({
      id: 'sew/press',
      phase: 'sew',
      text: `${corners ? `Clip the allowance across ${corners === 1 ? 'the corner' : `each of the ${corners} corners`}, on the diagonal. ` : ''}${STEPS[closing].turn}, and ${flattened(request.cloth('main'), STEPS[closing].flat)}.`,
      cautions: corners ? ['Clip to the stitch, never through it.'] : [],
      tools: rollerFor(request.cloth('main')),
      pieces: plates,
      minutes: minutesFor('prepare', 0, corners, assume),
      needs: 'table',
      after: ['sew/plates'],
    }),
    insertCore(request, 'sew/press', true),
    ...closingSteps(request, work, plates, corners),
  ];
}

/** What is done to the opening before the plates are sewn together. */
function openingSteps(request: CoverRequest, { closing, seams, tape }: KnifeWork, plates: readonly string[]): Operation[] {
  const { assume } = request;
  const hems = operation({
    id: 'sew/hems',
    phase: 'sew',
    text: 'Hem the inner edge of both back halves.',
    pieces: plates.filter((id) => (BACK_HALVES as readonly string[]).includes(id)),
    minutes: minutesFor('sew', 2 * request.sizes.cut.width.value, 0, assume),
    needs: 'machine',
    after: ['cut/notch'],
  });
  if (closing === 'envelope') return [hems];
  if (!tape) return [];
  const text = 'Set the zip of {0} between the plates along the opening, its ends crossed.';
  const runMm = sewnMm(seams.filter(({ id }) => id === 'opening'));
  return [zipStep({ text, tape, pieces: plates, seam: 'opening', runMm, after: ['sew/welt-on', 'cut/notch'] }, assume), openZip(plates, ['sew/zip'])];
}

/** Closing the opening once the insert is in, and dressing the cushion. */
function closingSteps(request: CoverRequest, { closing, seams, opening }: KnifeWork, plates: readonly string[], corners: number): Operation[] {
  const { assume } = request;
  const byHand = closing === 'hand' && opening !== null;
  return [
    ...(byHand
      ? [
          operation({
            id: 'fill/close',
            phase: 'fill',
            text: STEPS.hand.shut,
            figures: [given('a stitch', assume('slipStitchMm'), 'shop')],
            tools: ['curved needle'],
            pieces: plates,
            seams: seams.filter(({ method }) => method === 'hand').map(({ id }) => id),
            stages: slipStages(request.sizes.seam.value, assume('slipStitchMm')),
            minutes: minutesFor('hand', opening.mm, 0, assume),
            needs: 'hand',
            after: ['fill/insert'],
          }),
        ]
      : []),
    dress(
      request,
      `Work the filling into the corners.${closing === 'hand' ? '' : ` ${STEPS[closing].shut}`}`,
      corners,
      closing === 'hand' ? 'fill/close' : 'fill/insert',
    ),
  ];
}
