import { flatFace } from '../../../form/skin';
import { KNIFE_EDGE_SENTENCES } from './sentences';
import { perimeter } from '../../../geometry/outline';
import { given } from '../../../kernel/figure';
import { issue, type Issue } from '../../../kernel/issue';
import type { Piece } from '../../../piece/piece';
import { seamProblems, seamsOn, type SeamDraft } from '../../../piece/seam';
import type { Closing, Construction, CoverRequest } from '../../contract';
import { allRound, stripEdge } from '../../sewing/cloth-piece';
import { notionsFor, zipClosing } from '../../sewing/notions';
import { chosenWelt } from '../../welt/welt';
import { knifeEdgeFields, knifeEdgeSchema, type KnifeEdge } from './choices';
import { knifeEdgeOperations } from './operations';
import { besideOpening, envelopeBack, openingAt, plateLines, wholePlate, type Opening } from './plates';
import { knifeEdgeSizes } from './sizes';
import { EDGE_CHOICE_WORDS, HAND_CHOICE_WORDS, ZIP_CHOICE_WORDS } from '../../words';
import { KNIFE_EDGE_CONSTANTS } from './constants';

function weltFor(choices: KnifeEdge, request: CoverRequest, plate: Piece): Piece | null {
  if (choices.edge !== 'welt' || !plate.sewn) return null;
  return chosenWelt(choices, request, given('round the trimmed plate', perimeter(plate.sewn), 'measured'), 1);
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
    ...EDGE_CHOICE_WORDS,
    ...ZIP_CHOICE_WORDS,
    ...HAND_CHOICE_WORDS,
    envelope: { closing: 'envelope' },
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
    const opening = closing === 'envelope' ? null : openingAt(lines.sewn, closing === 'zip' ? 'zip-end' : 'open-end', request);
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
    const open = opening?.figure ?? given('no opening', 0, 'counted');
    const closings: Closing[] =
      closing === 'envelope'
        ? [{ kind: 'envelope', overlap: given('overlap', assume(KNIFE_EDGE_CONSTANTS.envelopeOverlapMm), 'shop') }]
        : closing === 'zip'
          ? [zipClosing(open, 'in the back seam', request)]
          : [{ kind: 'hand', opening: open }];
    return {
      pieces,
      seams,
      closings,
      notions: notionsFor(closings, welt ? [welt] : []),
      operations: knifeEdgeOperations(request, { closing, pieces, seams, opening, tape: closings[0]?.kind === 'zip' ? closings[0].setIn : null }),
      eased: null,
      skin: {
        upper: flatFace(plate.id),
        lower: back
          ? {
              plates: [
                { piece: back.lower.id, within: back.lower.sewn },
                { piece: back.upper.id, within: null },
              ],
            }
          : flatFace(plate.id),
        band: [],
        cords: welt ? [{ piece: welt.id, line: 'upper' }] : [],
        rim: lines.sewn,
      },
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
