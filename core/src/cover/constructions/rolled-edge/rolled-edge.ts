import { perimeter } from '../../../geometry/outline';
import { given, law, measuredOn, plus, sum, type Figure } from '../../../kernel/figure';
import { issue, type Issue } from '../../../kernel/issue';
import { operation, type Operation } from '../../../piece/operation';
import type { RollPlan } from '../../../piece/roll';
import { minutesFor } from '../../../shop/minutes';
import type { Box } from '../../box/choices';
import { makeBox } from '../../box/make';
import type { Construction, Cover, CoverRequest, Notion } from '../../contract';
import { drawnDown } from '../../sewing/drawn-down';
import { slippedKnotStages } from '../../sewing/hand-stages';
import { rollHeight, rollPlan, rollSides, stitchMarks, THINNEST_ROLL, tuftsOn, type Tufts } from '../../sewing/stitched-edge';
import { rolledEdgeFields, rolledEdgeSchema, type RolledEdge } from './choices';
import { enteredOr } from '../../sewing/entered-or';
import { HAND_CHOICE_WORDS, ZIP_CHOICE_WORDS } from '../../words';
import { ROLLED_EDGE_CONSTANTS } from './constants';

const refused = (why: string): Issue[] => [
  issue('error', 'construction-not-for-outline', 'construction', { construction: 'rolled edge', why, instead: 'Take a boxed cover.' }),
];

const boxOf = ({ boxing, closing, seamMm, strips, wide }: RolledEdge): Box => ({
  edge: 'plain',
  closing: closing ?? 'hand',
  ...(boxing ? { boxing } : {}),
  ...(strips ? { strips } : {}),
  ...(wide ? { wide } : {}),
  ...(seamMm === undefined ? {} : { seamMm }),
});

/** What a boxing is cut higher by, where an easier roll is wanted. */
const easier = ({ height }: RolledEdge, { assume }: Pick<CoverRequest, 'assume'>): Figure | null =>
  height === 'easier' ? given('for an easier roll', assume(ROLLED_EDGE_CONSTANTS.easierRollMm), 'shop') : null;

interface Stitching {
  readonly tufts: Tufts;
  readonly sides: ReturnType<typeof rollSides>;
  readonly pitch: Figure;
  /** How high the roll stands, and with it how far in from the seam and how long its stitches are. */
  readonly high: Figure;
  readonly inset: Figure;
  readonly bite: Figure;
}

function stitchingOf({ rollPitchMm, rollInsetMm, tufts, tuftMm }: RolledEdge, { sewn, sizes, assume }: CoverRequest): Stitching {
  const pitch = enteredOr('stitch to stitch', rollPitchMm, ROLLED_EDGE_CONSTANTS.rollPitchMm, assume);
  const high = measuredOn('roll, high', rollHeight(sizes.sewn.height.value), 'by the thickness of {0}', [sizes.sewn.height]);
  // A thicker cushion has more in its roll: its stitches lie further in and take more.
  const grown = (name: string, of: Figure): Figure => law(name, '{0} × {1} ÷ {2}', [of, high, given('the thinnest roll', THINNEST_ROLL, 'shop')]);
  const inset =
    rollInsetMm === undefined
      ? grown('in from the seam', given('in from the seam, thin', assume(ROLLED_EDGE_CONSTANTS.rollInsetMm), 'shop'))
      : given('in from the seam', rollInsetMm, 'entered');
  return {
    tufts: tuftsOn(sewn, tufts ?? 'square', tuftMm ?? assume(ROLLED_EDGE_CONSTANTS.tuftEveryMm), assume(ROLLED_EDGE_CONSTANTS.tuftClearMm)),
    sides: rollSides(sewn, pitch.value),
    pitch,
    high,
    inset,
    bite: grown('stitch', given('stitch, thin', assume(ROLLED_EDGE_CONSTANTS.rollStitchMm), 'shop')),
  };
}

const planOf = ({ sewn }: CoverRequest, { sides, inset, tufts }: Stitching): RollPlan => rollPlan(sewn, sides, inset.value, tufts);

const KNOTS = {
  each: 'knot each stitch by itself',
  third: 'draw up and knot every third stitch',
  fourth: 'draw up and knot every fourth stitch',
} as const;

/** Tufting and rolling: what is done to the filled cushion, whether its cover is new or an old one. */
function stitchingOperations(choices: RolledEdge, request: CoverRequest, stitching: Stitching): Operation[] {
  const { assume, sewn, sizes } = request;
  const { tufts, sides, pitch, high, inset, bite } = stitching;
  const { sides: inOrder } = planOf(request, stitching);
  const stitches = sides.reduce((sum, { alongMm }) => sum + alongMm.length, 0);
  const order = inOrder.length > 1 ? `Side after side: ${inOrder.map(({ words }) => words).join(', ')}. On each` : 'Begin at the back;';
  const count = tufts.at.length;
  const buttons = choices.tuftWith === 'button';
  const spacing = (mm: number): Figure => given('from tuft to tuft', mm, 'counted');
  const deep = drawnDown(sizes, assume);
  return [
    ...(count
      ? [
          operation({
            id: 'fix/tufts',
            phase: 'fix',
            onPlan: 'tufts',
            text: `Set ${count} tufts from the middle outwards, {0} apart across and {1} deep, the first row half of that in: twine through to the other face and back, ${buttons ? 'a button' : 'a crossed stitch'} on both faces, held by a slipped knot, all drawn {2} deep on both faces and knotted.`,
            figures: [spacing(tufts.acrossMm), spacing(tufts.deepMm), deep],
            cautions: ['The needle goes through square to the face: the tuft underneath lies under the one on top.'],
            tools: ['long needle'],
            stages: slippedKnotStages(sizes.sewn.height.value, deep.value),
            minutes: minutesFor('hand', 0, 3 * count, assume),
            needs: 'hand',
            after: ['fill/dress'],
          }),
        ]
      : []),
    operation({
      id: 'fix/roll',
      phase: 'fix',
      onPlan: 'roll',
      text: `Work the filling out to the edge and stitch the roll along both edges, ${stitches} stitches each. ${order} from right to left; a left hand from left to right. Stitches {0} long, {1} from one to the next, {2} inside the seam on plate and boxing; ${KNOTS[choices.knotted ?? 'each']}. It stands {3} high.`,
      figures: [bite, pitch, inset, high],
      cautions: [
        'The pitch is evened on each side so that a stitch falls on every corner.',
        'Sink the ends of the twine.',
        'Where a zip lies, catch the plaque’s cloth, never the teeth.',
      ],
      tools: ['curved needle', 'regulator'],
      minutes: minutesFor('hand', 2 * perimeter(sewn), 0, assume),
      needs: 'hand',
      after: ['fix/tufts', 'fill/dress'],
    }),
  ];
}

/** Twine for the tufts and the roll, and the buttons. */
function stitchingNotions(choices: RolledEdge, { sizes, round, assume }: CoverRequest, { tufts }: Stitching): Notion[] {
  const count = given('tufts', tufts.at.length, 'counted', 'count');
  const over = given('to knot', assume(ROLLED_EDGE_CONSTANTS.tuftTwineMm), 'shop');
  const each = law('twine of a tuft', '2 × {0} + {1}', [sizes.sewn.height, over]);
  const onFilled = true;
  const twine = (name: string, amount: Figure): Notion => ({ ware: 'twine', name, sold: 'run', amount, onFilled });
  return [
    ...(tufts.at.length ? [twine('Twine for tufts', law('twine', '{0} × {1}', [count, each]))] : []),
    ...(tufts.at.length && choices.tuftWith === 'button'
      ? [{ ware: 'buttons', name: 'Tufting buttons', sold: 'count', amount: law('buttons', '2 × {0}', [count], 'count'), onFilled } as const]
      : []),
    twine('Twine for the roll', law('twine', '{0} × 2 × {1}', [given('to one of roll', assume(ROLLED_EDGE_CONSTANTS.rollTwineRatio), 'shop', 'count'), round])),
  ];
}

/** A boxed cover, tufted, its edges stitched into a roll. */
export const rolledEdge: Construction<RolledEdge> = {
  kind: 'rolled-edge',
  name: 'Rolled-edge mattress',
  idea: 'Boxed, tufted through, its edges stitched into a firm roll by hand; on an old cover too.',
  words: ['rolled-edge', 'mattress'],
  choiceWords: {
    panels: { boxing: 'panels' },
    ...ZIP_CHOICE_WORDS,
    ...HAND_CHOICE_WORDS,
    diamond: { tufts: 'diamond' },
    untufted: { tufts: 'none' },
    buttoned: { tuftWith: 'button' },
  },
  schema: rolledEdgeSchema,
  defaults: () => ({ kind: 'rolled-edge' }),
  fields: rolledEdgeFields,
  slots: ['bottom', 'boxing'],
  suits: ({ sloping }) => (sloping ? refused('a roll runs level, and a wedge does not') : []),
  cutSizes(choices, request) {
    const more = easier(choices, request);
    if (!more) return {};
    const { boxingCut, sewn } = request.sizes;
    // Cut higher, it is sewn higher, and that is what is promised.
    return { boxingCut: sum('boxing, cut', boxingCut, plus(more)), sewn: { ...sewn, height: sum('sewn height', sewn.height, plus(more)) } };
  },
  make(choices, request): Cover {
    const stitching = stitchingOf(choices, request);
    const { tufts, sides, inset } = stitching;
    const stitchesMm = sides.flatMap(({ alongMm }) => alongMm);
    const cover = makeBox(boxOf(choices), request, {
      plate: stitchMarks(request.sewn, tufts, stitchesMm, inset.value),
      roll: { alongMm: stitchesMm, insetMm: inset.value },
    });
    const marked = cover.pieces.filter(({ marks }) => marks.some(({ kind }) => kind === 'tuft' || kind === 'roll'));
    const chalk = operation({
      id: 'cut/chalk',
      phase: 'cut',
      text: 'Chalk the tufts on both plates and the stitches of the roll on plates and boxing, opposite each other; on a plaque once it is made up.',
      pieces: marked.map(({ id }) => id),
      minutes: minutesFor('cut', 0, marked.reduce((count, { marks, countPerCushion }) => count + marks.length * countPerCushion, 0) / 4, request.assume),
      needs: 'table',
      after: ['cut/cover'],
    });
    return {
      ...cover,
      roll: planOf(request, stitching),
      notions: [...cover.notions, ...stitchingNotions(choices, request, stitching)],
      operations: [...cover.operations, chalk, ...stitchingOperations(choices, request, stitching)],
    };
  },
  profile: (_choices, { sewn }) => ({
    kind: 'band',
    heightMm: sewn.height.value,
    crownedFaces: null,
    domes: true,
    onBoard: false,
    welt: null,
    modelled: true,
  }),
  lines: ({ boxing, closing }) => ({
    top: 'roll',
    bottom: 'roll',
    corners: boxing === 'panels',
    softFront: false,
    ...(closing === 'zip' ? { zip: 'band' } : {}),
  }),
  traits: ({ closing }) => ({
    zip: closing === 'zip' ? 'along the back' : '',
    washable: false,
    edge: 'a firm stitched roll round both faces',
    hard: 'Hours by hand: tufts to one depth, stitches of one length along both edges.',
  }),
  says: ({ tufts, closing }) =>
    [{ square: 'tufted', diamond: 'tufted in a diamond', none: '' }[tufts ?? 'square'], closing === 'zip' ? 'with a zip' : 'closed by hand']
      .filter(Boolean)
      .join(', '),
};
