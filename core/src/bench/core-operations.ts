import { perimeter } from '../geometry/outline';
import { given, type Figure } from '../kernel/figure';
import { operation, type Operation } from '../piece/operation';
import type { Piece } from '../piece/piece';
import type { Constants } from '../shop/assumptions';
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
  /** The grades among the layers that are compressed slab, by id. */
  readonly slabs: readonly string[];
  /** How the wrap is laid on, in words, and how it is held; null without one. */
  readonly wrapping: { readonly way: string; readonly fix: WrapFix } | null;
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

const REFRESH_WORDS: Record<Refreshing, string> = {
  pad: 'Lay the hollow pads in the hollow, the smallest first and the largest on top, and tack them with glue at their edges only.',
  wrap: 'Take off the old wrap.',
  glue: 'Re-glue the open joints: both sides, tacky first, and weigh them down; sew along them with string.',
  splice: 'Splice in the missing strip from an offcut; joins where nobody sits.',
  air: 'Powder and vacuum the old core, and hang it out to air.',
  steam: 'Steam the corners until they stand again.',
};
const REFRESH_CAUTIONS: Partial<Record<Refreshing, string>> = { pad: CAUTION.glue, glue: CAUTION.glue, splice: CAUTION.glue, air: CAUTION.mould };

const FIX: Record<WrapFix, { readonly text: string; readonly cautions: readonly string[] }> = {
  adhesive: { text: 'Spray both sides along the edges, let the glue go tacky, and press it on.', cautions: [CAUTION.glue, CAUTION.edgeOnly] },
  staples: { text: 'Staple it round the edge seam, each 25 mm.', cautions: [CAUTION.staples] },
  stitch: { text: 'Tack it round the edges by hand with long stitches.', cautions: [] },
  loose: { text: 'Lay it on without fixing it.', cautions: [CAUTION.loose] },
};

const ids = (pieces: readonly Piece[]): string[] => pieces.map(({ id }) => id);
const round = (piece: Piece): number => piece.countPerCushion * perimeter(piece.outline);

function cutting({ pieces, tool, slabs, springs, assume }: CoreWork): Operation[] {
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
        text: `Cut ${piece.label} to {0} × {1}; take its old wrap and pads off first.`,
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
      waitMinutes: assume('tackyMinutes'),
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
    ...(layers.length > 1
      ? [
          operation({
            ...glue,
            id: 'prepare/glue-layers',
            text: 'Glue the layers together: let the glue go tacky first, soft side up.',
            minutes,
            after: ['prepare/glue-parts'],
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
          ...refresh.map((kind) =>
            operation({
              id: `prepare/old-${kind}`,
              phase: 'prepare',
              text: REFRESH_WORDS[kind],
              cautions: REFRESH_CAUTIONS[kind] === undefined ? [] : [REFRESH_CAUTIONS[kind]],
              pieces: kind === 'pad' ? ids(pieces.filter(({ id }) => id.startsWith('hollow-pad'))) : [],
              minutes,
              needs: 'bench',
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
            text: `${wrapping.way} ${FIX[wrapping.fix].text}`,
            cautions: FIX[wrapping.fix].cautions,
            pieces: ids(wraps),
            minutes: minutesFor('prepare', wraps.reduce((mm, piece) => mm + round(piece), 0) / 2, 0, assume),
            ...(wrapping.fix === 'adhesive' ? { waitMinutes: assume('tackyMinutes') } : {}),
            needs: 'bench',
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
          ? 'Wash the old cover, and dry it flat.'
          : 'Re-stitch the seams that pull, a row beside the old one, and strengthen them with a top stitch. Wash the cover first if it needs it.',
      minutes: minutesFor(way === 'wash' ? 'prepare' : 'sew', 2000, 0, assume),
      needs: way === 'wash' ? 'bench' : 'machine',
    }),
  ];
}
