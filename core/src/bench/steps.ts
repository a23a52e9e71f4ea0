import type { RefreshItem } from '../filling/refresh';
import { lookedOver } from '../job/look-over';
import { pieceLabel } from '../job/words';
import type { CushionPlan } from '../job/plan-cushion';
import { given, type Figure } from '../kernel/figure';
import type { PieceRole, SeamKind } from '../piece/piece';
import type { WrapWay } from '../shop/schools';

/** A part of the work order. */
export type Phase = 'cut' | 'prepare' | 'sew' | 'fill';

/** One thing to do, for each cushion of a row. `{0}`, `{1}` stand for its figures, printed at the edge in the job's units. */
export interface Step {
  readonly id: string;
  readonly phase: Phase;
  readonly what: string;
  readonly figures: readonly Figure[];
  /** Warnings that belong to this step and no other. */
  readonly cautions: readonly string[];
  /** The pieces in hand. */
  readonly lit: readonly PieceRole[];
  readonly seam: SeamKind | null;
}

const WRAPS: readonly PieceRole[] = ['wrap-face', 'wrap-border', 'wrap-blanket', 'wrap-end', 'wrap-parcel'];

type Draft = Omit<Step, 'id' | 'figures' | 'cautions' | 'seam'> & Partial<Pick<Step, 'figures' | 'cautions' | 'seam'>>;

/** Wide foam and fine dust, blades and vapour: said where the hand meets them. */
const CAUTION = {
  saw: 'Foam saw or knife: blade guard down, fingers out of the line; wear a dust mask with old foam.',
  knife: 'Foam knife: long strokes, away from you, fingers out of the line; wear a dust mask with old foam.',
  wire: 'Hot wire: open the window, the fumes are harmful; it burns, and foam can catch fire: never leave it on.',
  glue: 'Spray adhesive: open the window, nothing burning near, keep overspray off the faces.',
  bag: 'Thin plastic bags and vacuum: never within a child’s reach.',
};

/** What the tool in hand asks for. */
function cuttingCaution({ source }: CushionPlan): string {
  return { saw: CAUTION.saw, knife: CAUTION.knife, 'hot-wire': CAUTION.wire }[source.core.tool ?? 'saw'];
}

function cutting(plan: CushionPlan): Draft[] {
  const layers = plan.pieces.filter((piece) => piece.role === 'foam');
  const covers = plan.pieces.filter((piece) => piece.material === 'cover');
  const wraps = plan.pieces.filter((piece) => piece.material === 'wadding');
  return [
    ...(covers.length
      ? [
          {
            phase: 'cut' as const,
            what: 'Square the end of the cloth. Cut the long strips first along the selvedge, then the plates; grain and nap one way.',
            lit: ['boxing', 'side-panel', 'plaque', 'welt', 'plate'] as const,
          },
        ]
      : []),
    ...(covers.length
      ? [
          {
            phase: 'cut' as const,
            what: 'Notch centres, corners and zip ends on plates and boxing, on both edges of the boxing.',
            lit: ['plate', 'boxing'] as const,
          },
        ]
      : []),
    ...layers.map((piece): Draft => ({
      phase: 'cut',
      what: `Cut the ${pieceLabel(piece)}: {0} × {1}, marked square to the face and cut upright.`,
      figures: [piece.width, piece.height],
      cautions: [cuttingCaution(plan)],
      lit: ['foam'],
    })),
    ...plan.pieces
      .filter((piece) => piece.role === 'filling')
      .map((piece): Draft => ({
        phase: 'cut',
        what: `Make or order layer ${piece.part.index} to size: {0} × {1}.`,
        figures: [piece.width, piece.height],
        cautions: ['Springs are under load: look the unit’s covering over for tears before it goes in.'],
        lit: ['filling'],
      })),
    ...(wraps.length
      ? [
          {
            phase: 'cut' as const,
            what: plan.pieces.some((piece) => piece.role === 'crown-pad')
              ? 'Cut the wadding: the wrap, and the crown pads by their outlines.'
              : 'Cut the wadding for the wrap.',
            lit: [...WRAPS, 'crown-pad'] as const,
          },
        ]
      : []),
  ];
}

const REFRESH_WORDS: Record<RefreshItem['kind'], string> = {
  pad: 'Lay the crown pads in the hollow, the smallest first and the largest on top, and tack them with glue at their edges only.',
  wrap: 'Take off the old wrap.',
  glue: 'Re-glue the open joints: both sides, tacky first, and weigh them down.',
  splice: 'Splice in the missing strip from an offcut; joins where nobody sits.',
  air: 'Powder and vacuum the old core, and hang it out to air.',
  steam: 'Steam the corners until they stand again.',
};

const WRAPPING: Record<WrapWay, string> = {
  blanket: 'Wrap the blanket round front and back, lap it once, and whip the end pieces in.',
  faces: 'Lay a face of wadding on both sides of the core and turn its edges over.',
  'faces-and-border': 'Lay the faces on the core, turn their edges over, wrap the border round and whip it just closed.',
  'butted-border': 'Lay the faces on the core; wrap the border round, butt it to them and whip it just closed, no ridge.',
  border: 'Wrap the border round the core and lap it over both faces.',
  parcel: 'Lay the core on its plain face, the parcel over it; fold the flaps down and whip the mitred corners closed.',
  whipped: 'Lay a face on both sides, bring their edges together in the middle of the sides and whip them closed all round.',
};

/** The old core made ready to go back in. */
function refreshing(plan: CushionPlan): Draft[] {
  return (lookedOver(plan)?.refresh ?? []).map(({ kind }) => ({
    phase: 'prepare',
    what: REFRESH_WORDS[kind],
    cautions: kind === 'glue' || kind === 'splice' || kind === 'pad' ? [CAUTION.glue] : kind === 'air' ? ['Old dust and mould: wear a mask.'] : [],
    lit: ['foam'],
  }));
}

function preparing(plan: CushionPlan): Draft[] {
  const layers = plan.source.core.kept ? 0 : plan.source.core.layers.length;
  const wrapped = plan.pieces.some((piece) => WRAPS.includes(piece.role));
  const slope = plan.sizes?.slope;
  return [
    ...(plan.source.core.kept ? refreshing(plan) : []),
    ...(plan.pieces.some((piece) => piece.glued)
      ? [
          {
            phase: 'prepare' as const,
            what: 'Glue each layer up from its parts, flat on the bench: both faces, tacky first, pressed together without a gap.',
            cautions: [CAUTION.glue],
            lit: ['foam'] as const,
          },
        ]
      : []),
    ...(layers > 1
      ? [
          {
            phase: 'prepare' as const,
            what: 'Glue the layers together: let the glue go tacky first, soft side up.',
            cautions: [CAUTION.glue],
            lit: ['foam'] as const,
          },
        ]
      : []),
    ...(plan.source.core.layers[0]?.overFront && !plan.source.core.kept
      ? [
          {
            phase: 'prepare' as const,
            what: 'Roll the top layer down over the front and glue it to the ends of those below.',
            cautions: [CAUTION.glue],
            lit: ['foam'] as const,
          },
        ]
      : []),
    ...plan.source.core.layers.flatMap((layer, i): Draft[] =>
      layer.bevelMm === undefined || plan.source.core.kept
        ? []
        : [
            {
              phase: 'prepare',
              what: `Bevel the upper edges${layers > 1 ? ` of layer ${i + 1}` : ''}: {0} down and {0} in, all round.`,
              figures: [given('bevel', layer.bevelMm, 'entered')],
              cautions: [cuttingCaution(plan)],
              lit: ['foam'],
            },
          ],
    ),
    ...(slope && !plan.source.core.kept
      ? [
          {
            phase: 'prepare' as const,
            what: `Cut the top on the slope, from {0} at the ${slope.end === 'back' ? 'front' : 'back'} to {1} at the ${slope.end}: mark both sides, saw from side to side.`,
            figures: [plan.sizes.core.height, slope.core],
            cautions: [cuttingCaution(plan)],
            lit: ['foam'] as const,
          },
        ]
      : []),
    ...(plan.pieces.some((piece) => piece.role === 'crown-pad')
      ? [
          {
            phase: 'prepare' as const,
            what: `Lay the crown pads in the middle of ${plan.fitRequest?.crownedFaces === 1 ? 'the top' : 'both faces'}, the largest first, and tack them at their edges only.`,
            cautions: [CAUTION.glue],
            lit: ['crown-pad', 'foam'] as const,
          },
        ]
      : []),
    ...(wrapped
      ? [
          {
            phase: 'prepare' as const,
            what: WRAPPING[plan.wrapWay],
            cautions: ['Glue or staples only at the edge, never on a face: they are felt.'],
            lit: [...WRAPS, 'foam'] as const,
          },
        ]
      : []),
  ];
}

function sewing(plan: CushionPlan): Draft[] {
  const { cover } = plan;
  if (!cover) return [];
  const seams = new Set(cover.seams.map((seam) => seam.id));
  const ties = plan.source.marks?.filter((mark) => mark.kind === 'tie').length ?? 0;
  const buttons = plan.source.marks?.filter((mark) => mark.kind === 'button').length ?? 0;
  const plaque = cover.pieces.find((piece) => piece.role === 'plaque');
  const welt = cover.pieces.find((piece) => piece.role === 'welt');
  return [
    {
      phase: 'sew',
      what: 'Make up the zip plaque: fold the strip, seam at half the zip’s width, slit the fold, press open and set the zip of {0}.',
      figures: [cover.notions.zip],
      cautions: ['Slider on, and a stop sewn across each end, before the plaque is closed in.'],
      lit: ['plaque'],
      seam: 'plaque-slit',
    },
    ...(seams.has('boxing-joins')
      ? [{ phase: 'sew' as const, what: 'Join the boxing strips end to end and trim.', lit: ['boxing'] as const, seam: 'boxing-joins' as const }]
      : []),
    ...(seams.has('panel-corners')
      ? [
          {
            phase: 'sew' as const,
            what: 'Sew the front panel between the two sides, corner to corner, each seam stopped one allowance short at both ends.',
            lit: ['boxing', 'side-panel'] as const,
            seam: 'panel-corners' as const,
          },
        ]
      : []),
    ...(welt
      ? [
          { phase: 'sew' as const, what: 'Join the welt strips on the diagonal, fold them over the cord and sew beside it.', lit: ['welt'] as const },
          {
            phase: 'sew' as const,
            what: 'Sew welt to both plates, starting at the centre back; join each ring there.',
            cautions: ['Clip the welt’s flange at each corner; do not cut the stitch.'],
            lit: ['plate', 'welt'] as const,
            seam: 'welt-top' as const,
          },
        ]
      : []),
    ...(cover.innerCorners
      ? [
          {
            phase: 'sew' as const,
            what: `Stay-stitch the ${cover.innerCorners === 1 ? 'inner corner' : `${cover.innerCorners} inner corners`} of both plates, and clip into ${cover.innerCorners === 1 ? 'it' : 'them'} to the stitch.`,
            cautions: ['To the stitch, never through it.'],
            lit: ['plate'] as const,
          },
        ]
      : []),
    {
      phase: 'sew',
      what: seams.has('panel-corners')
        ? 'Sew the plaque to the sides at both ends, stopped one allowance short.'
        : 'Sew the plaque to the boxing at both ends, the boxing folded back over the zip’s ends.',
      figures: plaque ? [plaque.width] : [],
      lit: ['plaque', 'boxing', 'side-panel'],
      seam: 'plaque-ends',
    },
    ...(ties
      ? [
          {
            phase: 'sew' as const,
            what: `Baste ${ties === 1 ? 'the pair of ties' : `${ties} pairs of ties`} at ${ties === 1 ? 'its notch' : 'their notches'}, ends towards the middle.`,
            cautions: ['Never where a join or an end of the zip lies.'],
            lit: ['boxing', 'plaque'] as const,
          },
        ]
      : []),
    {
      phase: 'sew',
      what: seams.has('panel-corners')
        ? 'Sew the band to the top plate, corner to corner, pivoting where the panels’ seams stop.'
        : `Sew the band to the top plate, notch to notch; clip the boxing ${cover.clipsPerCorner === 1 ? 'once' : `${cover.clipsPerCorner} times`} at each corner${cover.clipEveryMm === null ? '.' : ', and every {0} along the curves.'}`,
      figures: cover.clipEveryMm === null ? [] : [given('between clips', cover.clipEveryMm, 'shop')],
      cautions: ['Clip the allowance, not the stitch.', ...(cover.eased ? ['Ease the bowed plate in evenly between the notches; no pleat at a corner.'] : [])],
      lit: ['plate', 'boxing', 'side-panel', 'plaque'],
      seam: 'band-to-top',
    },
    ...(buttons
      ? [
          {
            phase: 'sew' as const,
            what: `Mark ${buttons === 1 ? 'the button' : `${buttons} buttons`} on both plates before they are closed in.`,
            lit: ['plate'] as const,
          },
        ]
      : []),
    {
      phase: 'sew',
      what: 'Sew the band to the bottom plate from notch to notch, each corner opposite its twin.',
      cautions: ['Open the zip a hand’s width before this seam closes.'],
      lit: ['plate', 'boxing', 'side-panel', 'plaque'],
      seam: 'band-to-bottom',
    },
  ];
}

function filling(plan: CushionPlan): Draft[] {
  const layers = plan.source.core.layers.length;
  const { old, oldCover } = plan.source.seat ?? {};
  const mark = plan.source.core.kept ? old?.mark : undefined;
  const belongs = mark ? ` Core ${mark} goes in${oldCover?.offCore === mark ? ': its old cover is the pattern' : ''}.` : '';
  return [
    {
      phase: 'fill',
      what: `Turn the cover. Fold or compress the core in a thin bag, slide it in, let the air back.${belongs}`,
      cautions: [CAUTION.bag, ...(layers > 1 ? ['Soft side up.'] : [])],
      lit: ['foam', 'wrap-face'],
    },
    { phase: 'fill', what: 'Fill the corners with loose wadding, work the seam to the edge, close the zip, steam.', lit: ['plate', 'boxing'] },
  ];
}

/** The work order of one cushion, in an order that keeps every later seam reachable. Empty while the cushion cannot be cut. */
export function stepsOf(plan: CushionPlan): Step[] {
  if (!plan.cover) return [];
  const drafts = [...cutting(plan), ...preparing(plan), ...sewing(plan), ...filling(plan)];
  const counts = new Map<string, number>();
  return drafts.map((draft) => {
    const n = (counts.get(draft.phase) ?? 0) + 1;
    counts.set(draft.phase, n);
    return { figures: [], cautions: [], seam: null, ...draft, id: `${draft.phase}-${draft.seam ?? n}` };
  });
}
