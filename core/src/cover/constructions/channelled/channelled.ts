import { outlineBounds } from '../../../geometry/outline';
import { type Piece } from '../../../piece/piece';
import { flatFace, type Skin } from '../../../form/skin';
import { CHANNELLED_SENTENCES } from './sentences';
import { given, plus, sum } from '../../../kernel/figure';
import { issue, type Issue } from '../../../kernel/issue';
import { operation, type Operation } from '../../../piece/operation';
import { seamProblems, seamsOn } from '../../../piece/seam';
import { minutesFor } from '../../../shop/minutes';
import { makeBox } from '../../box/make';
import type { Closing, Construction, Cover, CoverRequest } from '../../contract';
import { turnsIn } from '../../band/corners';
import { cutCover, dress } from '../../sewing/cover-operations';
import { featherCase, channelsIn, type Case } from './case';
import { channelledFields, channelledSchema, isCovered, type Channelled } from './choices';
import { channelledSizes } from './sizes';
import { EDGE_CHOICE_WORDS } from '../../words';
import { CHANNELLED_CONSTANTS } from './constants';

const CUTTING = {
  rest: 'the panels and the walls of downproof ticking',
  notch: 'Notch the ends of the walls on both panels and join them with chalk lines.',
};

const refused = (why: string): Issue[] => [
  issue('error', 'construction-not-for-outline', 'construction', {
    construction: 'channelled feather case',
    why,
    instead: 'Take a knife edge with a feather insert, or an outline without inner corners.',
  }),
];

/** Ticking that holds no feather. */
const tickingProblems = ({ cloth }: CoverRequest): Issue[] => [
  ...(cloth('ticking') === cloth('main') ? [issue('warning', 'slot-not-named', 'slots.ticking', { what: 'feather case' })] : []),
];

const closedBy = (opening: Case['opening']): Closing => ({ kind: 'hand', opening });

/** The case of a cushion that is all feather. */
function soleCase(choices: Channelled, request: CoverRequest): Case {
  const { sizes, sewn } = request;
  return featherCase({ choices, request, plan: sewn, width: sizes.sewn.width, depth: sizes.sewn.depth, loft: sizes.core.height, count: 1, prefix: '' });
}

/** The name of a step of cutting where case and cover are both cut: each has its own. */
const inCase = (id: string): string => ({ 'cut/notch': 'cut/case-notch', 'cut/cover': 'cut/case' })[id] ?? id;

const SHAKE = 'Shake the case out flat, channel by channel, and look that none is thinner than the others.';

/** Both panels of a case by itself: wider than its plan by what the roundness of its channels takes. */
function caseSkin(pieces: readonly Piece[], { sewn }: CoverRequest): Skin | null {
  const panel = pieces.find(({ role }) => role === 'channel');
  if (!panel?.sewn) return null;
  const [own, plan] = [outlineBounds(panel.sewn), outlineBounds(sewn)];
  const lie = { from: { x: own.minX, y: own.minY }, across: (own.maxX - own.minX) / (plan.maxX - plan.minX), deep: 1 };
  const face = { ...flatFace(panel.id), lie };
  return { upper: face, lower: face, band: [], cords: [] };
}

/** A case by itself; its cover is made apart. */
function bareCase(choices: Channelled, request: CoverRequest): Cover {
  const { contents } = request;
  const made = soleCase(choices, request);
  const seams = seamsOn(made.pieces, made.seams);
  return {
    pieces: made.pieces,
    seams,
    closings: [closedBy(made.opening)],
    notions: made.notions,
    operations: [
      ...cutCover(made.pieces, CUTTING, { ...request, cloth: () => request.cloth('ticking') }),
      ...made.operations,
      dress(request, SHAKE, 0, 'fill/channels'),
    ],
    eased: null,
    skin: caseSkin(made.pieces, request),
    problems: [...tickingProblems(request), ...(contents.layers > 0 ? [issue('warning', 'layers-not-in-case', 'core.layers')] : []), ...seamProblems(seams)],
  };
}

/** A case by itself, of ticking, and the boxed cover that it goes into. */
function coveredCase(choices: Channelled, request: CoverRequest): Cover {
  const { contents } = request;
  const { edge, cordMm } = choices;
  const box = makeBox({ edge: edge ?? 'plain', ...(cordMm === undefined ? {} : { cordMm }) }, { ...request, marks: [] });
  const made = soleCase(choices, request);
  const seams = seamsOn(made.pieces, made.seams);
  const putIn = (step: Operation): Operation => {
    if (step.id === 'fill/insert')
      return {
        ...step,
        text: 'Turn the cover and push the case in, its channels from front to back, its corners into those of the cover.',
        cautions: [],
        after: [...step.after, 'fill/channels'],
      };
    return step.id === 'fill/dress' ? { ...step, text: `${SHAKE} Work the seam to the edge and close the zip.` } : step;
  };
  return {
    ...box,
    pieces: [...box.pieces, ...made.pieces],
    seams: [...box.seams, ...seams],
    closings: [...box.closings, closedBy(made.opening)],
    notions: [...box.notions, ...made.notions],
    operations: [
      ...cutCover(made.pieces, CUTTING, request, 'case'),
      ...made.operations.map((step) => ({ ...step, after: step.after.map(inCase) })),
      ...box.operations.map(putIn),
    ],
    problems: [
      ...box.problems,
      ...tickingProblems(request),
      ...(contents.layers > contents.featherMm.length ? [issue('warning', 'layers-not-in-case', 'core.layers')] : []),
      ...seamProblems(seams),
    ],
  };
}

/** A boxed cover, and a case for each feather layer of its filling. */
function envelope(choices: Channelled, request: CoverRequest): Cover {
  const { sizes, core, contents } = request;
  const { edge, cordMm } = choices;
  const box = makeBox({ edge: edge ?? 'plain', ...(cordMm === undefined ? {} : { cordMm }) }, request);
  const lofts = [...new Set(contents.featherMm)];
  const cases = lofts.map((mm, i) =>
    featherCase({
      choices,
      request,
      plan: core,
      width: sizes.core.width,
      depth: sizes.core.depth,
      loft: given('loft', mm, 'entered'),
      count: contents.featherMm.filter((one) => one === mm).length,
      prefix: lofts.length > 1 ? `case-${i + 1}-` : 'case-',
    }),
  );
  const pieces = [...box.pieces, ...cases.flatMap((one) => one.pieces)];
  const seams = [
    ...box.seams,
    ...seamsOn(
      pieces,
      cases.flatMap((one) => one.seams),
    ),
  ];
  const filled = cases.flatMap((one) => one.operations.filter(({ phase }) => phase === 'fill').map(({ id }) => id));
  const tack = operation({
    id: 'fill/envelope',
    phase: 'fill',
    text: 'Lay the feather cases on the core, channels from front to back, and tack their edges together round it: the core is in an envelope of feather.',
    cautions: ['The core goes in squeezed between its cases: keep them flat while it slides.'],
    pieces: cases.flatMap((one) => one.pieces.map(({ id }) => id)),
    minutes: minutesFor('hand', 0, 4, request.assume),
    needs: 'hand',
    after: filled,
  });
  const first = cases[0];
  return {
    ...box,
    pieces,
    seams,
    notions: [...box.notions, ...cases.flatMap((one) => one.notions)],
    operations: [
      ...cutCover(
        cases.flatMap((one) => one.pieces),
        CUTTING,
        request,
        'case',
      ),
      ...cases.flatMap((one) => one.operations.map((step) => ({ ...step, after: step.after.map(inCase) }))),
      ...(cases.length ? [tack] : []),
      ...box.operations.map((step): Operation => (step.id === 'fill/insert' ? { ...step, after: [...step.after, tack.id] } : step)),
    ],
    problems: [
      ...box.problems,
      ...(first ? tickingProblems(request) : [issue('error', 'envelope-without-feather', 'core.layers')]),
      ...seamProblems(seams.slice(box.seams.length)),
    ],
  };
}

/** A case of downproof ticking in channels, filled by weight: a cushion for a very light sitter, or an envelope round a core. */
export const channelled: Construction<Channelled> = {
  kind: 'channelled',
  name: 'Channelled feather case',
  sentences: CHANNELLED_SENTENCES,
  idea: 'Downproof ticking with walls between its channels, each filled by weight: alone for a very light sitter, or round a core.',
  heightWord: 'height or loft',
  words: ['channelled'],
  choiceWords: { envelope: { as: 'envelope' }, down: { mix: 'down' }, fibre: { mix: 'fibre' }, ...EDGE_CHOICE_WORDS },
  schema: channelledSchema,
  defaults: () => ({ kind: 'channelled' }),
  fields: channelledFields,
  slots: ['ticking', 'bottom', 'boxing', 'welt'],
  suits: ({ outline, sloping }) =>
    sloping ? refused('a case is level') : turnsIn(outline) ? refused('its channels would be cut in two where it turns in') : [],
  sizes: channelledSizes,
  fillsFeather: ({ as }) => (as === 'envelope' ? 'feather' : 'all'),
  cutSizes: (choices, { sizes: { sewn, seam, cut }, assume }) => {
    const { channelMm } = choices;
    if (isCovered(choices)) return {};
    const round = given('for the roundness of a channel', assume(CHANNELLED_CONSTANTS.channelRoundMm), 'shop');
    const channels = channelsIn(sewn.width.value, channelMm ?? assume(CHANNELLED_CONSTANTS.channelMm));
    return { cut: { width: sum('panel, cut', sewn.width, plus(round, channels), plus(seam, 2)), depth: cut.depth } };
  },
  make: (choices, request) => (choices.as === 'envelope' ? envelope : isCovered(choices) ? coveredCase : bareCase)(choices, request),
  profile: (choices, { sewn }, assume) => {
    const { as, edge, cordMm } = choices;
    const covered = isCovered(choices);
    return {
      kind: covered ? 'band' : 'knife',
      heightMm: covered ? sewn.height.value : 0,
      crownedFaces: as === 'envelope' ? null : 2,
      domes: as === 'envelope',
      onBoard: false,
      welt: covered && edge === 'welt' ? { cordMm: cordMm ?? assume('cordMm'), on: 'both' } : null,
      modelled: as === 'envelope',
    };
  },
  lines: (choices, { widthMm, assume }) => {
    const line = choices.edge === 'welt' || choices.edge === 'ridge' ? choices.edge : 'seam';
    if (isCovered(choices)) return { top: line, bottom: line, corners: false, softFront: false, zip: 'band' };
    const channels = channelsIn(widthMm, choices.channelMm ?? assume(CHANNELLED_CONSTANTS.channelMm));
    return { top: 'seam', bottom: 'soft', corners: false, softFront: false, solid: 'faces', channels };
  },
  traits: (choices) => ({
    zip: isCovered(choices) ? 'along the back' : '',
    washable: isCovered(choices),
    edge: choices.as === 'envelope' ? 'square, soft on top' : isCovered(choices) ? 'square, soft all through' : 'soft, in channels',
    hard: 'Walls of one height; every channel weighed; down gets everywhere.',
  }),
  says: ({ as, mix, cover }) =>
    `${{ feather: 'feather', 'feather-down': 'feather and down', down: 'down', fibre: 'fibre' }[mix ?? 'feather']}${as === 'envelope' ? ', round a core' : cover === 'none' ? ', without its cover' : ', in a boxed cover'}`,
};
