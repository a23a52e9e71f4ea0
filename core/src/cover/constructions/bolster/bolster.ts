import { perimeter } from '../../../geometry/outline';
import { flatFace } from '../../../form/skin';
import * as z from 'zod';
import { atLeastNone, given, minus, plus, sum, type Figure } from '../../../kernel/figure';
import { issue } from '../../../kernel/issue';
import { operation, type Operation } from '../../../piece/operation';
import type { Piece } from '../../../piece/piece';
import { seamProblems, seamsOn, type Seam, type SeamDraft } from '../../../piece/seam';
import type { Construction, CoverRequest, Field } from '../../contract';
import { allRound, clothPiece, clothStrip, pairOfMarks, stripEdge } from '../../sewing/cloth-piece';
import { sewMinutes, weltStep } from '../../sewing/steps';
import { steamed } from '../../sewing/cloth-way';
import { cutCover, dress, insertCore, openZip } from '../../sewing/cover-operations';
import { notionsFor, zipClosing } from '../../sewing/notions';
import { quarterMarks, quarterPlaces, ringRun } from '../../band/ring';
import { chosenWelt } from '../../welt/welt';
import { edgeFields } from '../../sewing/fields';
import { wideField, wideShape } from '../../plate/wide';
import { cordMm, seamMm } from '../../sewing/lengths';
import { EDGE_CHOICE_WORDS } from '../../words';

const CUTTING = { rest: 'the body, then the ends', notch: 'Notch the quarters of both ends and of the body’s two edges.' };

export const bolsterSchema = z.strictObject({
  kind: z.literal('bolster'),
  ...wideShape,
  edge: z.enum(['plain', 'welt']).optional(),
  cordMm,
  seamMm,
});
export type Bolster = z.infer<typeof bolsterSchema>;

const fields: readonly Field<Bolster>[] = [
  ...edgeFields('Ends'),
  { key: 'seamMm', label: 'Seam allowance', kind: 'length', minMm: 3, maxMm: 50, usual: 'school seam' },
  wideField<Bolster>(),
];

/** Two ends and the body that goes round them; the body is closed along its length. */
function piecesOf(choices: Bolster, request: CoverRequest): { readonly end: Piece; readonly body: Piece; readonly welt: Piece | null } {
  const { sizes, sewn, round } = request;
  const { seam } = sizes;
  const end = clothPiece('main', {
    id: 'end',
    role: 'end',
    label: 'end',
    remark: 'notched at the quarters',
    countPerCushion: 2,
    facing: 'each-way',
    width: sizes.cut.width,
    height: sizes.cut.depth,
    outline: request.cut,
    sewn,
    marks: quarterMarks(sewn, round.value),
  });
  const sides = { left: seam.value, right: seam.value, lower: seam.value, upper: seam.value };
  const body = clothStrip(
    'main',
    {
      id: 'body',
      role: 'body',
      label: 'body',
      remark: 'closed along its length',
      width: sum('body', round, plus(seam, 2)),
      height: sum('body', sizes.sewn.height, plus(seam, 2)),
    },
    sides,
    quarterPlaces(round.value, seam.value).flatMap((x) => pairOfMarks('quarter', x, sizes.sewn.height.value + 2 * seam.value, sides)),
  );
  if (choices.edge !== 'welt') return { end, body, welt: null };
  const welt = chosenWelt(choices, request, round, 2);
  return { end, body, welt };
}

function bolsterOperations(request: CoverRequest, pieces: readonly Piece[], seams: readonly Seam[], zip: Figure): Operation[] {
  const { assume } = request;
  const sew = sewMinutes(seams, assume);
  const welted = seams.some(({ id }) => id === 'welt-to-end');
  return [
    ...cutCover(pieces, CUTTING, request),
    operation({
      id: 'sew/body-zip',
      foot: 'zip',
      phase: 'sew',
      text: 'Close the body along its length: sew both ends of the seam, set the zip of {0} between them.',
      figures: [zip],
      cautions: ['Slider on, and a stop across each end of the zip.'],
      pieces: ['body'],
      seams: ['body-zip'],
      minutes: sew(['body-zip']),
      needs: 'machine',
      after: ['cut/notch'],
    }),
    ...(welted
      ? [
          weltStep(
            { text: 'Make up the welt and sew a ring round each end; join each at the bottom.', pieces: ['end', 'welt'], seam: 'welt-to-end', corners: 0 },
            sew,
            assume,
          ),
        ]
      : []),
    operation({
      id: 'sew/ends',
      foot: 'edge',
      phase: 'sew',
      text: 'Sew the first end into the body, quarter to quarter; clip the body’s allowance so that it goes round.',
      cautions: ['Clip the allowance, not the stitch.'],
      pieces: ['end', 'body'],
      seams: ['body-to-end'],
      minutes: sew(['body-to-end']),
      needs: 'machine',
      after: ['sew/body-zip', 'sew/welt-on'],
    }),
    openZip(['body'], ['sew/ends']),
    operation({
      id: 'sew/other-end',
      phase: 'sew',
      text: 'Sew the other end into the body the same way, its quarters in line with those of the first.',
      cautions: ['The zip stands open a hand’s width before the last seam closes.'],
      pieces: ['end', 'body'],
      seams: ['body-to-other-end'],
      looks: ['pleats'],
      minutes: sew(['body-to-other-end']),
      needs: 'machine',
      after: ['sew/open-zip'],
    }),
    insertCore(request, 'sew/other-end'),
    dress(request, `Fill out the ends with loose wadding, turn the seam underneath, close the zip${steamed(request.cloth('main'))}`, 2),
  ];
}

/** Two ends, round or shaped, and a body closed along its length by a zip. The template is the end, the height its length. */
export const bolster: Construction<Bolster> = {
  kind: 'bolster',
  name: 'Bolster',
  idea: 'A roll: two ends and a body round them. Measured across its end, its height is its length.',
  heightWord: 'length',
  words: ['bolster'],
  choiceWords: EDGE_CHOICE_WORDS,
  schema: bolsterSchema,
  defaults: () => ({ kind: 'bolster' }),
  fields,
  slots: ['welt'],
  given: 'finished',
  suits: ({ sloping }) =>
    sloping
      ? [
          issue('error', 'construction-not-for-outline', 'construction', {
            construction: 'bolster',
            why: 'a wedge has no two ends alike',
            instead: 'Take a boxed cover.',
          }),
        ]
      : [],
  make(choices, request) {
    const { sizes, assume, ownZip } = request;
    const { end, body, welt } = piecesOf(choices, request);
    const pieces = [end, body, ...(welt ? [welt] : [])];
    const toEnd = (edge: 'lower' | 'upper'): Pick<SeamDraft, 'first' | 'second'> => ({
      first: [stripEdge(body, edge)],
      second: [allRound(end)],
    });
    const seams = seamsOn(pieces, [
      { id: 'body-zip', zip: true, words: 'the body along its length', rows: 2, first: [stripEdge(body, 'left')], second: [stripEdge(body, 'right')] },
      ...(welt ? [{ id: 'welt-to-end', words: 'welt round both ends', count: 2, first: [stripEdge(welt, 'lower')], second: [allRound(end)] }] : []),
      { id: 'body-to-end', words: 'body to one end', ...toEnd('lower') },
      { id: 'body-to-other-end', words: 'body to the other end', ...toEnd('upper') },
    ]);
    const shut = given('sewn at an end', assume('bolsterEndMm'), 'shop');
    const fits = ownZip && ownZip.opening.value <= sizes.sewn.height.value;
    const opening = fits ? ownZip.opening : atLeastNone(sum('zip opening', sizes.sewn.height, minus(shut, 2)));
    const zip = zipClosing(opening, 'along the body', request);
    const closings = [zip];
    return {
      pieces,
      seams,
      closings,
      notions: notionsFor(closings, welt ? [welt] : []),
      operations: bolsterOperations(request, pieces, seams, zip.setIn),
      eased: null,
      skin: {
        upper: flatFace(end.id),
        lower: flatFace(end.id),
        band: [ringRun(body, perimeter(request.sewn))],
        cords: welt ? (['lower', 'upper'] as const).map((line) => ({ piece: welt.id, line })) : [],
        zip: null,
      },
      problems: [...seamProblems(seams)],
    };
  },
  profile: ({ edge, cordMm }, { sewn }, assume) => ({
    kind: 'body',
    heightMm: sewn.height.value,
    crownedFaces: null,
    domes: false,
    onBoard: false,
    welt: edge === 'welt' ? { cordMm: cordMm ?? assume('cordMm'), on: 'both' } : null,
    modelled: false,
  }),
  lines: ({ edge }) => {
    const line = edge === 'welt' ? 'welt' : 'seam';
    return { top: line, bottom: line, corners: false, softFront: false, solid: 'roll' };
  },
  traits: () => ({ zip: 'along the body', washable: true, edge: 'a roll, its ends round', hard: 'The body eased round the ends, quarter on quarter.' }),
  says: ({ edge }) => (edge === 'welt' ? 'welted ends' : 'plain ends'),
};
