import { pullOverSkin } from './skin';
import { PULL_OVER_SENTENCES } from './sentences';
import { perimeter } from '../../../geometry/outline';
import { given, plus, sum } from '../../../kernel/figure';
import { issue, type Issue } from '../../../kernel/issue';
import { operation, type Operation } from '../../../piece/operation';
import type { Piece } from '../../../piece/piece';
import { seamProblems, seamsOn, type Seam, type SeamDraft } from '../../../piece/seam';
import type { StaplePlan } from '../../../piece/staples';
import { minutesFor } from '../../../shop/minutes';
import type { Construction, CoverRequest } from '../../contract';
import { turnsIn } from '../../band/corners';
import { showsHoles } from '../../../material/material';
import { cutCover, dress, ridgeStep } from '../../sewing/cover-operations';
import { frontOf } from '../../band/front';
import { notionsFor } from '../../sewing/notions';
import { pleatWords, stapleClosing, staplePlan } from '../../sewing/staple-plan';
import { pleatStages, turnedUnder } from '../../sewing/staple-stages';
import { pullOverFields, pullOverSchema, type PullOver } from './choices';
import { pullOverPieces, seamDown, type PullOverPieces } from './pieces';
import { dropOf, frameEdge, pullOverSizes, underneath } from './sizes';
import { PULL_OVER_CONSTANTS } from './constants';

const CUTTING = {
  strips: 'the side band',
  rest: 'the top panel and the dust cover',
  nap: 'the top panel’s front to the front of the nap',
  notch: 'Notch the centres of top panel and band, and where their seam ends at the front; mark the same centres on the frame.',
};

const refused = (why: string, instead = 'Take a drum or a boxed cover.'): Issue[] => [
  issue('error', 'construction-not-for-outline', 'construction', { construction: 'pull-over', why, instead }),
];

const STRAIGHT = 'its front has to be one straight side with a corner at both ends';

/** The seams: band to the top panel as far down as it is sewn, its ridge, and the band's own joins. */
function seamsOf({ band, plateRun, bandRun }: PullOverPieces, pieces: readonly Piece[]): Seam[] {
  const end = (piece: Piece, edge: 'left' | 'right') => {
    const segment = piece.sewn?.segments.find((one) => one.edge === edge);
    const nowhere = { x: NaN, y: NaN };
    return { piece: piece.id, from: segment?.from ?? nowhere, to: segment?.to ?? nowhere };
  };
  const joins = band.slice(1).map((right, i): SeamDraft => ({
    id: `band-join-${i + 1}`,
    words: 'join in the side band',
    first: [end(band[i] as Piece, 'right')],
    second: [end(right, 'left')],
  }));
  return seamsOn(pieces, [
    ...joins,
    { id: 'band-to-top', words: 'side band to the top panel', first: bandRun, second: [plateRun] },
    { id: 'ridge', words: 'ridge on the seam', method: 'top-stitch', first: bandRun, second: [plateRun] },
  ]);
}

/** The cover as it is made up: its own pieces, every piece, its seams and where it is stapled. */
interface MadeUp {
  readonly made: PullOverPieces;
  readonly all: readonly Piece[];
  readonly seams: readonly Seam[];
  readonly staples: StaplePlan;
}

function operationsOf(choices: PullOver, request: CoverRequest, { made, all, seams, staples }: MadeUp): Operation[] {
  const { assume, sizes } = request;
  const run = (id: string): number => seams.filter((one) => one.id.startsWith(id)).reduce((mm, one) => mm + one.edges[0].lengthMm, 0);
  const band = made.band.map(({ id }) => id);
  const joins = seams.filter(({ id }) => id.startsWith('band-join')).map(({ id }) => id);
  const { line, hold } = underneath(assume);
  const pleats = pleatWords(staples);
  const most = Math.max(0, ...staples.pleats.map(({ count }) => count));
  return [
    ...cutCover(all, CUTTING, request),
    ...(joins.length
      ? [
          operation({
            id: 'sew/band-joins',
            phase: 'sew',
            text: 'Join the parts of the side band end to end and trim.',
            pieces: band,
            seams: joins,
            minutes: minutesFor('sew', run('band-join'), 0, assume),
            needs: 'machine',
            after: ['cut/notch'],
          }),
        ]
      : []),
    operation({
      id: 'sew/band-to-top',
      foot: 'edge',
      phase: 'sew',
      text: 'Sew the side band to the top panel from the centre back to both sides, and on round its rounded front ends down the drop, {0} from the corner: to the frame’s lower edge, no further.',
      figures: [seamDown(sizes.core.height, frameEdge(choices, assume), made.radius)],
      cautions: ['Clip the top panel’s allowance round the curve of the front; back-tack both ends: the pull comes there.'],
      pieces: [made.plate.id, ...band],
      seams: ['band-to-top'],
      looks: ['corners'],
      minutes: minutesFor('sew', run('band-to-top'), 2, assume),
      needs: 'machine',
      after: ['sew/band-joins', 'cut/notch'],
    }),
    ridgeStep(request, [made.plate.id, ...band], minutesFor('sew', run('ridge'), 0, assume), 'sew/band-to-top'),
    dress(request, 'Lay the core on the frame, draw the cover over both, centres on centres, and work the ridge to the edge all round.', 2, 'sew/ridge'),
    operation({
      id: 'fix/staple',
      phase: 'fix',
      onPlan: 'staples',
      text: `Turn it over, mark a line {0} inside the frame’s edge and staple along it, one each {1}: the centre of the front, then of the back, set at an angle for it may have to come out, and the middles of the sides. Look at the top. Halve the gaps, {2} clear of the corners until all sides are done. Then each front corner, the side before the front, the slack worked into the frame’s notch; the back corners last, the back’s first staples pulled and set anew.${pleats} Trim the cloth {3} from the staples.`,
      figures: [
        line,
        given('apart', assume('stapleEveryMm'), 'shop'),
        given('from a corner', assume('stapleClearMm'), 'shop'),
        given('from the staples', assume(PULL_OVER_CONSTANTS.stapleTrimMm), 'shop'),
      ],
      cautions: [
        `Temporary staples until ${showsHoles(request.cloth('main')) ? 'the ridge runs' : 'the nap and the ridge run'} straight${showsHoles(request.cloth('main')) ? ', in what is trimmed off: every hole stays' : ''}.`,
      ],
      pieces: [made.plate.id, ...band],
      tools: ['staple gun'],
      stages: [...turnedUnder(line.value, hold.value), ...(most ? pleatStages(line.value, hold.value, most) : [])],
      minutes: minutesFor('staple', perimeter(staples.line), 0, assume),
      needs: 'bench',
      after: ['fill/dress'],
    }),
    ...(made.dustCover
      ? [
          operation({
            id: 'fix/dust-cover',
            phase: 'fix',
            text: 'Turn the dust cover in {0} all round and staple it over the trimmed edges.',
            figures: [given('turned in', assume(PULL_OVER_CONSTANTS.dustTurnMm), 'shop')],
            tools: ['staple gun'],
            pieces: [made.dustCover.id],
            minutes: minutesFor('staple', perimeter(made.dustCover.sewn ?? staples.line), 0, assume),
            needs: 'bench',
            after: ['fix/staple'],
          }),
        ]
      : []),
  ];
}

/** A cover drawn over a core on a frame and stapled underneath: a top panel that runs over the front, a band round the other three sides. */
export const pullOver: Construction<PullOver> = {
  kind: 'pull-over',
  name: 'Pull-over on a frame',
  sentences: PULL_OVER_SENTENCES,
  idea: 'A top panel that runs over the front and under, a band round sides and back, drawn over core and frame and stapled beneath.',
  heightWord: 'core’s thickness',
  words: ['pull-over'],
  choiceWords: {},
  schema: pullOverSchema,
  defaults: () => ({ kind: 'pull-over' }),
  fields: pullOverFields,
  slots: ['boxing', 'lining'],
  given: 'seat',
  suits: ({ outline, sloping }) =>
    sloping
      ? refused('it slopes')
      : turnsIn(outline)
        ? refused('it turns in on itself', 'Take a boxed cover, or an outline without inner corners.')
        : frontOf(outline)
          ? []
          : refused(STRAIGHT),
  sizes: pullOverSizes,
  cutSizes: (choices, { sizes, assume }) => ({
    cut: {
      width: sizes.cut.width,
      depth: sum('top panel, cut', sizes.sewn.depth, plus(sizes.seam), plus(dropOf(sizes.core.height, frameEdge(choices, assume), assume))),
    },
  }),
  make(choices, request) {
    const { assume, sizes } = request;
    const front = frontOf(request.sewn);
    const staples = staplePlan(request.sewn, underneath(assume).line.value, assume);
    const none = { pieces: [], seams: [], closings: [], notions: [], operations: [], eased: null, skin: null };
    if (!front) return { ...none, problems: refused(STRAIGHT) };
    if (!staples) return { ...none, problems: [issue('error', 'frame-too-small-to-staple', 'template', { lineMm: underneath(assume).line.value })] };
    const made = pullOverPieces(choices, request, front);
    const pieces = [made.plate, ...made.band, ...(made.dustCover ? [made.dustCover] : []), ...(made.crownStrip ? [made.crownStrip] : [])];
    const seams = seamsOf(made, pieces);
    const closings = [stapleClosing(staples)];
    return {
      pieces,
      seams,
      closings,
      notions: notionsFor(closings, []),
      operations: operationsOf(choices, request, { made, all: pieces, seams, staples }),
      staples,
      eased: null,
      skin: pullOverSkin(made, request, front),
      problems: [
        ...(made.tooNarrow ? [issue('error', 'cloth-too-narrow-for-strips', 'cloth.widthMm', { stripMm: request.cloth('boxing').usableMm })] : []),
        ...(request.contents.layers > 1 && !request.contents.overFront
          ? [issue('note', 'top-layer-not-over-front', 'core.layers', { thickMm: sizes.core.height.value })]
          : []),
        ...seamProblems(seams),
      ],
    };
  },
  profile: (choices, { sewn }, assume) => ({
    kind: 'band',
    heightMm: sewn.height.value - frameEdge(choices, assume).value,
    roundedFront: { topMm: choices.frontRadiusMm ?? assume('frontRadiusMm'), bottomMm: 0 },
    crownedFaces: 1,
    domes: false,
    onBoard: true,
    middleLoftMm: choices.crownStrip === 'none' ? 0 : assume(PULL_OVER_CONSTANTS.crownStripLoftMm),
    welt: null,
    modelled: true,
  }),
  lines: () => ({ top: 'ridge', bottom: 'soft', corners: false, softFront: true }),
  traits: () => ({
    zip: '',
    washable: false,
    edge: 'a ridge round three sides, the front without a seam',
    hard: 'The curve where band and drop meet; an even pull, centres on centres.',
  }),
  says: () => 'with a ridge, stapled underneath',
};
