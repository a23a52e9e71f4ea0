import { perimeter } from '../geometry/outline';
import { given, type Figure } from '../kernel/figure';
import { operation, type Operation } from '../piece/operation';
import type { Piece } from '../piece/piece';
import type { AssumptionKey, Constants } from '../shop/assumptions';
import { minutesFor } from '../shop/minutes';
import type { WrapFix } from '../shop/schools';

/** What is cut with, as far as the hand must be warned of it. */
export type CutTool = 'saw' | 'knife' | 'hot-wire';

/** What is done to an old core before it goes back in. */
export type Refreshing = 'pad' | 'wrap' | 'glue' | 'splice' | 'air' | 'steam';

/** Everything of a core that its operations are made from. */
export interface CoreWork {
  readonly pieces: readonly Piece[];
  /** The old core goes back in, or old ones are joined. */
  readonly kept: boolean;
  readonly refresh: readonly Refreshing[];
  readonly tool: CutTool;
  readonly layers: readonly { readonly overFront: boolean; readonly bevelMm: number | null }[];
  /** Of a wedge: the core's height at its thick and its thin edge, and where the thin one is. */
  readonly slope: { readonly thick: Figure; readonly thin: Figure; readonly end: 'front' | 'back' } | null;
  /** The fillings among the layers that are spring units, by id. */
  readonly springs: readonly string[];
  /** Faces that have crown pads. */
  readonly crownedFaces: 1 | 2;
  /** The two faces of the core differ. */
  readonly softUp: boolean;
  /** The grades among the layers that are compressed slab, by id. */
  readonly slabs: readonly string[];
  /** How the wrap is laid on and, where it is not stapled, how its edges are closed, in words; and how it is held. Null without one. */
  readonly wrapping: { readonly lay: string; readonly close: string; readonly fix: WrapFix } | null;
  /** The muslin that lies between springs and the foam on them; none where there is none. */
  readonly muslin: Piece | null;
  readonly assume: Constants;
}

/** Wide foam and fine dust, blades and vapour: said where the hand meets them. */
const CAUTION = {
  saw: 'Foam saw or knife: blade guard down, fingers out of the line; wear a dust mask with old foam.',
  knife: 'Foam knife: long strokes, away from you, fingers out of the line; wear a dust mask with old foam.',
  'hot-wire': 'Hot wire: open the window, the fumes are harmful; it burns, and foam can catch fire: never leave it on.',
  glue: 'Spray adhesive: open the window, nothing burning near, keep overspray off the faces.',
  springs: 'Springs are under load: look the unit’s covering over for tears before it goes in.',
  edgeOnly: 'Glue only at the edge, never on a face: a hard spot is felt.',
  staples: 'Staples in the edge seam only, where nothing bears on them: on a face they are felt and tear the wadding.',
  loose: 'Nothing holds it: loose wadding rolls up. Hold it flat while the cover goes on.',
  mould: 'Old dust and mould: wear a mask.',
} as const;

/** What each part of a refresh is, in the order in which it is done: the old wrap comes off first, for under it the joints are looked at. */
const REFRESH: readonly { readonly kind: Refreshing; readonly text: string; readonly cautions: readonly string[]; readonly wait?: AssumptionKey }[] = [
  { kind: 'wrap', text: 'Take off the old wrap and pads, and look at every joint under them.', cautions: [CAUTION.mould] },
  {
    kind: 'air',
    text: 'Powder the old core and let the powder rest; then vacuum it and hang it out to air.',
    cautions: [CAUTION.mould],
    wait: 'powderMinutes',
  },
  {
    kind: 'glue',
    text: 'Re-glue the open joints: both sides, tacky first, and weigh them down; sew along them with string, and let them rest.',
    cautions: [CAUTION.glue],
    wait: 'glueRestMinutes',
  },
  { kind: 'splice', text: 'Splice in the missing strip from an offcut; joins where nobody sits.', cautions: [CAUTION.glue], wait: 'glueRestMinutes' },
  {
    kind: 'pad',
    text: 'Lay the hollow pads in the hollow, the smallest first and the largest on top, and tack them with glue at their edges only.',
    cautions: [CAUTION.glue],
  },
  { kind: 'steam', text: 'Steam the corners until they stand again.', cautions: [], wait: 'steamRestMinutes' },
];

/** How a wrap is held, and how its edges are finished then. */
function fixing({ lay, close, fix }: NonNullable<CoreWork['wrapping']>, assume: Constants): Pick<Operation, 'text' | 'figures' | 'cautions'> {
  const every = given('apart', assume('wrapStapleMm'), 'shop');
  switch (fix) {
    case 'adhesive':
      return {
        text: `${lay} Spray both sides along the edges, let the glue go tacky, and press it on. ${close}`.trim(),
        figures: [],
        cautions: [CAUTION.glue, CAUTION.edgeOnly],
      };
    case 'staples':
      return { text: `${lay} Staple it round the edge seam, one each {0}; then trim what stands over at 45°.`, figures: [every], cautions: [CAUTION.staples] };
    case 'stitch':
      return { text: `${lay} Tack it round the edges by hand with long stitches. ${close}`.trim(), figures: [], cautions: [] };
    case 'loose':
      return { text: `${lay} ${close}`.trim(), figures: [], cautions: [CAUTION.loose] };
  }
}

/** Ripped off an old core: bare already. */
const isStrip = ({ material }: Piece): boolean => material.kind === 'old-core' && material.strip === true;

const sentence = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

const ids = (pieces: readonly Piece[]): string[] => pieces.map(({ id }) => id);
const round = (piece: Piece): number => piece.countPerCushion * perimeter(piece.outline);

function cutting({ pieces, tool, slabs, springs, muslin, assume }: CoreWork): Operation[] {
  const isSlab = ({ material }: Piece): boolean => material.kind === 'foam' && slabs.includes(material.grade);
  const of = (kind: Piece['material']['kind']): Piece[] => pieces.filter(({ material }) => material.kind === kind);
  const wadding = of('wadding');
  const pads = wadding.some(({ role }) => role === 'crown-pad' || role === 'hollow-pad');
  return [
    ...of('foam').map((piece) =>
      operation({
        id: `cut/${piece.id}`,
        phase: 'cut',
        text: isSlab(piece)
          ? `Cut the ${piece.label}: {0} × {1}, with scissors or a knife, one layer at a time; never with the saw.`
          : `Cut the ${piece.label}: {0} × {1}, marked square to the face and cut upright.`,
        figures: [piece.width, piece.height],
        cautions: [CAUTION[isSlab(piece) ? 'knife' : tool]],
        pieces: [piece.id],
        minutes: minutesFor('cut', round(piece), 0, assume),
        needs: 'table',
      }),
    ),
    ...of('old-core').map((piece) =>
      operation({
        id: `cut/${piece.id}`,
        phase: 'cut',
        text: isStrip(piece)
          ? `Trim ${piece.label} to {0} × {1}.`
          : `Take the old wrap and pads off ${piece.label} and cut it to {0} × {1}.${piece.remark ? ` ${sentence(piece.remark)}` : ''}`,
        figures: [piece.width, piece.height],
        cautions: [CAUTION[tool]],
        pieces: [piece.id],
        minutes: minutesFor('cut', round(piece), 0, assume),
        needs: 'table',
      }),
    ),
    ...of('filling').map((piece) =>
      operation({
        id: `cut/${piece.id}`,
        phase: 'cut',
        text:
          piece.role === 'felt'
            ? `Cut the ${piece.label}, {0} × {1}: cut its backing only and tear the edges, so that no ridge shows.`
            : `Make or order the ${piece.label} to size: {0} × {1}.`,
        figures: [piece.width, piece.height],
        cautions: piece.material.kind === 'filling' && springs.includes(piece.material.filling) ? [CAUTION.springs] : [],
        pieces: [piece.id],
        minutes: minutesFor('cut', 0, 0, assume),
        needs: 'table',
      }),
    ),
    ...(muslin
      ? [
          operation({
            id: 'cut/muslin',
            phase: 'cut',
            text: 'Cut the muslin to the core’s outline, {0} × {1}.',
            figures: [muslin.width, muslin.height],
            pieces: [muslin.id],
            minutes: minutesFor('cut', round(muslin), 0, assume),
            needs: 'table',
          }),
        ]
      : []),
    ...(wadding.length
      ? [
          operation({
            id: 'cut/wadding',
            phase: 'cut',
            text: pads ? 'Cut the wadding: the wrap, and the pads by their outlines.' : 'Cut the wadding for the wrap.',
            pieces: ids(wadding),
            minutes: minutesFor(
              'cut',
              wadding.reduce((mm, piece) => mm + round(piece), 0),
              0,
              assume,
            ),
            needs: 'table',
          }),
        ]
      : []),
  ];
}

function joiningOldCores({ pieces, assume }: CoreWork): Operation[] {
  const old = pieces.filter(({ material }) => material.kind === 'old-core');
  const pad = pieces.find(({ id }) => id === 'join-pad' || id.startsWith('join-pad-'));
  if (!old.length) return [];
  return [
    operation({
      id: 'prepare/join-old-cores',
      phase: 'prepare',
      text: `Butt ${old.map(({ label }) => label).join(', ')} in this order from the left: glue tacky first, press together, sew along the joins with string.`,
      cautions: [CAUTION.glue],
      pieces: ids(old),
      minutes: minutesFor(
        'prepare',
        old.reduce((mm, { height }) => mm + height.value, 0),
        old.length,
        assume,
      ),
      waitMinutes: assume('glueRestMinutes'),
      needs: 'bench',
    }),
    ...(pad
      ? [
          operation({
            id: 'prepare/join-pad',
            phase: 'prepare',
            text: 'Lay a pad over the whole length on both faces, so that no join is felt, and tack it at its edges only.',
            cautions: [CAUTION.glue],
            pieces: ids(pieces.filter(({ id }) => id.startsWith('join-pad'))),
            minutes: minutesFor('prepare', pad.width.value, 0, assume),
            needs: 'bench',
            after: ['prepare/join-old-cores'],
          }),
        ]
      : []),
  ];
}

function newCore(work: CoreWork): Operation[] {
  const { pieces, layers, slope, tool, assume } = work;
  const foam = pieces.filter(({ material, role }) => role !== 'felt' && (material.kind === 'foam' || material.kind === 'filling'));
  const felt = pieces.filter(({ role }) => role === 'felt');
  const longest = Math.max(0, ...foam.map(({ width }) => width.value));
  const glue = { phase: 'prepare', cautions: [CAUTION.glue], pieces: ids(foam), waitMinutes: assume('tackyMinutes'), needs: 'bench' } as const;
  const minutes = minutesFor('prepare', longest, 0, assume);
  return [
    ...(felt.length
      ? [
          operation({
            id: 'prepare/felt',
            phase: 'prepare',
            text: 'Wrap the spring unit in felt one way, then the other way over it; pack the corners, and trim nothing before it is inside.',
            cautions: [CAUTION.springs],
            pieces: ids(felt),
            minutes,
            needs: 'bench',
          }),
        ]
      : []),
    ...(foam.some(({ glued }) => glued)
      ? [
          operation({
            ...glue,
            id: 'prepare/glue-parts',
            text: 'Glue each layer up from its parts, flat on the bench: both faces, tacky first, pressed together without a gap.',
            minutes,
          }),
        ]
      : []),
    ...(work.muslin
      ? [
          operation({
            id: 'prepare/muslin',
            phase: 'prepare',
            text: 'Lay the muslin on the springs and tack it at its edges, before any foam goes on them.',
            pieces: [work.muslin.id],
            minutes: minutesFor('prepare', perimeter(work.muslin.outline), 0, assume),
            needs: 'bench',
            after: ['cut/muslin', 'prepare/felt'],
          }),
        ]
      : []),
    ...(layers.length > 1
      ? [
          operation({
            ...glue,
            id: 'prepare/glue-layers',
            text: `Glue the layers together: let the glue go tacky first${work.softUp ? ', soft side up' : ''}.`,
            minutes,
            after: ['prepare/glue-parts', 'prepare/muslin', 'prepare/felt'],
          }),
        ]
      : []),
    ...(layers[0]?.overFront
      ? [
          operation({
            ...glue,
            id: 'prepare/over-front',
            text: 'Roll the top layer down over the front and glue it to the ends of those below.',
            minutes,
            after: ['prepare/glue-layers'],
          }),
        ]
      : []),
    ...layers.flatMap(({ bevelMm }, i) =>
      bevelMm === null
        ? []
        : [
            operation({
              id: `prepare/bevel-${i + 1}`,
              phase: 'prepare',
              text: `Bevel the upper edges${layers.length > 1 ? ` of layer ${i + 1}` : ''}: {0} down and {0} in, all round.`,
              figures: [given('bevel', bevelMm, 'entered')],
              cautions: [CAUTION[tool]],
              pieces: ids(foam),
              minutes,
              needs: 'table',
            }),
          ],
    ),
    ...(slope
      ? [
          operation({
            id: 'prepare/slope',
            phase: 'prepare',
            text: `Cut the top on the slope, from {0} at the ${slope.end === 'back' ? 'front' : 'back'} to {1} at the ${slope.end}: mark both sides, saw from side to side.`,
            figures: [slope.thick, slope.thin],
            cautions: [CAUTION[tool]],
            pieces: ids(foam),
            minutes,
            needs: 'table',
          }),
        ]
      : []),
  ];
}

/** What is done to a core before it is wrapped. */
const AFTER_CORE: readonly string[] = [
  ...REFRESH.map(({ kind }) => `prepare/old-${kind}`),
  'prepare/join-old-cores',
  'prepare/join-pad',
  'prepare/felt',
  'prepare/glue-layers',
  'prepare/over-front',
  'prepare/slope',
  'prepare/crown-pads',
];

/** Cutting and preparing of what goes into the cover: foam, fillings, old cores, pads and wrap. */
export function coreOperations(work: CoreWork): Operation[] {
  const { pieces, kept, refresh, crownedFaces, wrapping, assume } = work;
  const pads = pieces.filter(({ role }) => role === 'crown-pad');
  const wraps = pieces.filter(({ role }) => role.startsWith('wrap-'));
  const minutes = minutesFor('prepare', 0, 0, assume);
  return [
    ...cutting(work),
    ...(kept
      ? [
          ...REFRESH.filter(({ kind }) => refresh.includes(kind)).map(({ kind, text, cautions, wait }, i, all) =>
            operation({
              id: `prepare/old-${kind}`,
              phase: 'prepare',
              text,
              cautions,
              pieces: kind === 'pad' ? ids(pieces.filter(({ id }) => id.startsWith('hollow-pad'))) : [],
              minutes,
              ...(wait ? { waitMinutes: assume(wait) } : {}),
              needs: 'bench',
              after: all.slice(0, i).map((before) => `prepare/old-${before.kind}`),
            }),
          ),
          ...joiningOldCores(work),
        ]
      : newCore(work)),
    ...(pads.length
      ? [
          operation({
            id: 'prepare/crown-pads',
            phase: 'prepare',
            text: `Lay the crown pads in the middle of ${crownedFaces === 1 ? 'the top' : 'both faces'}, the largest first, and tack them at their edges only.`,
            cautions: [CAUTION.glue],
            pieces: ids(pads),
            minutes,
            needs: 'bench',
          }),
        ]
      : []),
    ...(wraps.length && wrapping !== null
      ? [
          operation({
            id: 'prepare/wrap',
            phase: 'prepare',
            ...fixing(wrapping, assume),
            pieces: ids(wraps),
            minutes: minutesFor('prepare', wraps.reduce((mm, piece) => mm + round(piece), 0) / 2, 0, assume),
            ...(wrapping.fix === 'adhesive' ? { waitMinutes: assume('tackyMinutes') } : {}),
            needs: 'bench',
            after: AFTER_CORE,
          }),
        ]
      : []),
  ];
}

/** An old cover made ready to go back on, in place of cutting and sewing a new one. */
export function oldCoverOperations(way: 'wash' | 'restitch', assume: Constants): Operation[] {
  return [
    operation({
      id: `prepare/cover-${way}`,
      phase: 'prepare',
      text:
        way === 'wash'
          ? 'Take the old cover off and wash it first: it dries longest. Dry it flat.'
          : 'Re-stitch the seams that pull, a row beside the old one, and strengthen them with a top stitch. Wash the cover first if it needs it.',
      minutes: minutesFor(way === 'wash' ? 'prepare' : 'sew', 2000, 0, assume),
      ...(way === 'wash' ? { waitMinutes: assume('washMinutes') } : {}),
      needs: way === 'wash' ? 'bench' : 'machine',
    }),
  ];
}
