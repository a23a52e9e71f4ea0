import { KNIFE_EDGE_SENTENCES } from './sentences';
import { perimeter } from '../../../geometry/outline';
import { given, measuredOn, type Figure } from '../../../kernel/figure';
import { issue, type Issue } from '../../../kernel/issue';
import { operation, type Operation } from '../../../piece/operation';
import type { Piece } from '../../../piece/piece';
import { seamProblems, seamsOn, type Seam, type SeamDraft } from '../../../piece/seam';
import { minutesFor } from '../../../shop/minutes';
import type { Closing, Construction, CoverRequest } from '../../contract';
import { allRound, stripEdge } from '../../sewing/cloth-piece';
import { cornersOf } from '../../band/corners';
import { cutCover, dress, insertCore, openZip } from '../../sewing/cover-operations';
import { notionsFor, zipClosing } from '../../sewing/notions';
import { chosenWelt } from '../../welt/welt';
import { knifeEdgeFields, knifeEdgeSchema, type KnifeEdge } from './choices';
import { besideOpening, envelopeBack, openingAt, plateLines, wholePlate, type Opening } from './plates';
import { knifeEdgeSizes } from './sizes';

const CUTTING = { cut: 'Cut the plates, their corners trimmed as they are drawn', notch: 'Notch both ends of the opening, on both plates.' };

function weltFor(choices: KnifeEdge, request: CoverRequest, plate: Piece): Piece | null {
  if (choices.edge !== 'welt' || !plate.sewn) return null;
  return chosenWelt(choices, request, given('round the trimmed plate', perimeter(plate.sewn), 'measured'), 1);
}

const STEPS: Record<NonNullable<KnifeEdge['closing']>, { readonly sew: string; readonly press: string; readonly shut: string }> = {
  hand: {
    sew: 'Sew the plates together, right sides in, from one end of the opening round to the other.',
    press: 'Turn the cover, push the corners out, and press the seam and the fold of the opening’s edges, turned in by exactly the seam.',
    shut: 'Close the opening along its pressed fold with slip stitch, {0} a stitch, in strong thread.',
  },
  zip: {
    sew: 'Sew the plates together, right sides in, from one end of the zip round to the other.',
    press: 'Turn the cover through the zip, push the corners out, and press the seam.',
    shut: 'Close the zip.',
  },
  envelope: {
    sew: 'Lay the front face up, the upper half on it face down, then the lower half over it; sew all round, twice where the halves overlap.',
    press: 'Turn the cover, push the corners out, and press the seam and the folds of the hems.',
    shut: 'Tuck the insert under the upper half.',
  },
};

function operationsOf(
  request: CoverRequest,
  closing: NonNullable<KnifeEdge['closing']>,
  pieces: readonly Piece[],
  seams: readonly Seam[],
  opening: Opening | null,
  tape: Figure | null,
): Operation[] {
  const { assume } = request;
  const of = (method: Seam['method']): readonly Seam[] => seams.filter((one) => one.method === method);
  const run = (some: readonly Seam[]): number => some.reduce((mm, one) => mm + one.rows * one.edges[0].lengthMm, 0);
  const plates = pieces.filter(({ role }) => role === 'plate').map(({ id }) => id);
  const backs = plates.filter((id) => id.startsWith('plate-back'));
  const welt = pieces.find(({ role }) => role === 'welt');
  const corners = cornersOf(request.sewn).filter(({ inner }) => !inner).length;
  return [
    ...cutCover(pieces, CUTTING, assume),
    ...(welt
      ? [
          operation({
            id: 'sew/welt-on',
            foot: 'edge',
            phase: 'sew',
            text: 'Make up the welt and sew it round the front plate, starting at the centre back; join the ring there.',
            cautions: ['Clip the welt’s flange at each corner; do not cut the stitch.'],
            pieces: [welt.id, ...plates.slice(0, 1)],
            seams: ['welt'],
            minutes: minutesFor('sew', 2 * run(seams.filter(({ id }) => id === 'welt')), corners, assume),
            needs: 'machine',
            after: ['cut/notch'],
          }),
        ]
      : []),
    ...(closing === 'envelope'
      ? [
          operation({
            id: 'sew/hems',
            phase: 'sew',
            text: 'Hem the inner edge of both back halves.',
            pieces: backs,
            minutes: minutesFor('sew', 2 * request.sizes.cut.width.value, 0, assume),
            needs: 'machine',
            after: ['cut/notch'],
          }),
        ]
      : []),
    ...(tape
      ? [
          operation({
            id: 'sew/zip',
            foot: 'zip',
            phase: 'sew',
            text: 'Set the zip of {0} between the plates along the opening, its ends crossed.',
            figures: [tape],
            cautions: ['Slider on, and a stop across each end of the zip.'],
            pieces: plates,
            seams: ['opening'],
            minutes: minutesFor('sew', 2 * run(seams.filter(({ id }) => id === 'opening')), 2, assume),
            needs: 'machine',
            after: ['sew/welt-on', 'cut/notch'],
          }),
          openZip(plates, ['sew/zip']),
        ]
      : []),
    operation({
      id: 'sew/plates',
      foot: 'edge',
      phase: 'sew',
      text: STEPS[closing].sew,
      cautions: closing === 'hand' ? ['Back-tack both ends of the opening.'] : [],
      pieces: plates,
      seams: ['plates'],
      minutes: minutesFor('sew', run(seams.filter(({ id }) => id === 'plates')), corners, assume),
      needs: 'machine',
      after: ['sew/welt-on', 'sew/zip', 'sew/open-zip', 'sew/hems'],
    }),
    operation({
      id: 'sew/press',
      phase: 'sew',
      text: `${corners ? `Clip the allowance across ${corners === 1 ? 'the corner' : `each of the ${corners} corners`}, on the diagonal. ` : ''}${STEPS[closing].press}`,
      cautions: corners ? ['Clip to the stitch, never through it.'] : [],
      pieces: plates,
      minutes: minutesFor('prepare', 0, corners, assume),
      needs: 'table',
      after: ['sew/plates'],
    }),
    insertCore(request, 'sew/press', true),
    ...(closing === 'hand' && opening
      ? [
          operation({
            id: 'fill/close',
            phase: 'fill',
            text: STEPS.hand.shut,
            figures: [given('a stitch', assume('slipStitchMm'), 'shop')],
            pieces: plates,
            seams: of('hand').map(({ id }) => id),
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

/** Two plates cut to the insert's own size with nothing added, their corners trimmed. */
export const knifeEdge: Construction<KnifeEdge> = {
  kind: 'knife-edge',
  name: 'Knife edge',
  sentences: KNIFE_EDGE_SENTENCES,
  idea: 'Two plates that meet in one seam: scatter cushions on a soft insert. The insert is measured.',
  heightWord: 'insert’s loft',
  words: ['knife-edge', 'knife', 'scatter', 'pillow'],
  choiceWords: {
    welt: { edge: 'welt' },
    welted: { edge: 'welt' },
    piped: { edge: 'welt' },
    plain: { edge: 'plain' },
    zip: { closing: 'zip' },
    envelope: { closing: 'envelope' },
    hand: { closing: 'hand' },
  },
  schema: knifeEdgeSchema,
  defaults: () => ({ kind: 'knife-edge' }),
  fields: knifeEdgeFields,
  slots: ['bottom', 'welt'],
  given: 'core',
  suits: ({ sloping }) =>
    sloping
      ? [
          issue('error', 'construction-not-for-outline', 'construction', {
            construction: 'knife edge',
            why: 'a wedge has a band',
            instead: 'Take a boxed cover.',
          }),
        ]
      : [],
  sizes: knifeEdgeSizes,
  make(choices, request) {
    const { assume } = request;
    const lines = plateLines(request);
    const wanted = choices.closing ?? 'hand';
    const back = wanted === 'envelope' ? envelopeBack(request, lines) : null;
    const closing = wanted === 'envelope' && !back ? 'hand' : wanted;
    const opening = closing === 'envelope' ? null : openingAt(lines.sewn, assume('sewnEndMm'), closing === 'zip' ? 'zip-end' : 'open-end');
    const plate = wholePlate(request, lines, back ? 1 : 2, opening?.marks ?? []);
    const welt = weltFor(choices, request, plate);
    const pieces = [plate, ...(back ? [back.lower, back.upper] : []), ...(welt ? [welt] : [])];
    const drafts: SeamDraft[] = [
      ...(welt ? [{ id: 'welt', words: 'welt to the front plate', first: [stripEdge(welt, 'lower')], second: [allRound(plate)] }] : []),
      {
        id: 'plates',
        words: back ? 'front to both back halves' : 'plate to plate',
        first: [besideOpening(plate, opening)],
        second: back ? back.edge : [besideOpening(plate, opening)],
      },
      ...(opening
        ? [
            {
              id: 'opening',
              words: 'the opening',
              method: closing === 'hand' ? ('hand' as const) : ('machine' as const),
              first: [{ piece: plate.id, from: opening.from, to: opening.to }],
              second: [{ piece: plate.id, from: opening.from, to: opening.to }],
            },
          ]
        : []),
    ];
    const seams = seamsOn(pieces, drafts);
    const open = measuredOn('opening', opening?.mm ?? 0, 'along the back but for {0} at each end', [given('sewn', assume('sewnEndMm'), 'shop')]);
    const closings: Closing[] =
      closing === 'envelope'
        ? [{ kind: 'envelope', overlap: given('overlap', assume('envelopeOverlapMm'), 'shop') }]
        : closing === 'zip'
          ? [zipClosing(open, 'in the back seam', assume)]
          : [{ kind: 'hand', opening: open }];
    return {
      pieces,
      seams,
      closings,
      notions: notionsFor(closings, welt ? [welt] : []),
      operations: operationsOf(request, closing, pieces, seams, opening, closings[0]?.kind === 'zip' ? closings[0].tape : null),
      eased: null,
      problems: [
        ...problemsOf(opening, closing),
        ...(wanted !== closing ? [issue('warning', 'envelope-not-for-outline', 'construction.closing')] : []),
        ...seamProblems(seams),
      ],
    };
  },
  profile: ({ edge, cordMm }, _sizes, assume) => ({
    kind: 'knife',
    heightMm: 0,
    crownedFaces: 2,
    domes: false,
    onBoard: false,
    welt: edge === 'welt' ? { cordMm: cordMm ?? assume('cordMm'), on: 'top' } : null,
    modelled: false,
  }),
  lines: ({ edge }) => ({ top: edge === 'welt' ? 'welt' : 'seam', bottom: 'soft', corners: false, softFront: false, solid: 'faces' }),
  traits: ({ edge, closing }) => ({
    zip: closing === 'zip' ? 'in the back seam' : '',
    washable: closing === 'zip' || closing === 'envelope',
    edge: edge === 'welt' ? 'thin, corded' : 'thin, two plates that meet',
    hard: 'Corners trimmed so that they do not stick out as ears.',
  }),
  says: ({ edge, closing }) =>
    [edge === 'welt' ? 'welted' : 'plain', { hand: 'closed by hand', zip: 'zip in the seam', envelope: 'envelope back' }[closing ?? 'hand']].join(', '),
};

const problemsOf = (opening: Opening | null, closing: NonNullable<KnifeEdge['closing']>): Issue[] =>
  closing !== 'envelope' && !opening ? [issue('error', 'no-room-for-opening', 'construction.closing')] : [];
