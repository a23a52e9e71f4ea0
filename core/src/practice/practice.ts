import type { Cushion, Job } from '../job/document';
import { JOB_FORMAT } from '../job/terms';
import { offered, type Grade } from '../material/material';
import type { Plan } from '../plan/plan';
import { problemsOf } from '../plan/problems-of';
import { allButLays, planSolved } from '../plan/solve';
import type { Shop } from '../shop/shop';

/** Something made wrong on purpose, for whoever learns to find and mend it. */
export interface Mistake {
  readonly id: string;
  /** The place of its cushion in the practice job. */
  readonly cushion: number;
  /** Where one looks, without saying for what. */
  readonly hint: string;
  /** What it was, once it is mended. */
  readonly was: string;
  /** Why it is a mistake, and what would have come of it. */
  readonly why: string;
  /** Whether it is there still. */
  readonly there: (cushion: Cushion, plan: Plan) => boolean;
}

const [BENCH, GARDEN, STOOL, SETTLE] = [0, 1, 2, 3] as const;

const said =
  (...codes: readonly string[]): Mistake['there'] =>
  (cushion, plan) =>
    problemsOf(plan, plan.job.cushions.indexOf(cushion)).some(({ code }) => codes.includes(code));

/** Mistakes that cost shops the most, each on a cushion where it is made most easily. */
export const MISTAKES: readonly Mistake[] = [
  {
    id: 'foam-to-cover',
    cushion: BENCH,
    hint: 'How large is the core beside the cover it goes into?',
    was: 'The foam was cut to the size of the cover.',
    why: 'This school fills a cover by foam that is cut larger and squeezed in. Cut to the cover’s own size it settles loose within weeks: corners empty, the top wrinkles where people sit.',
    there: ({ schoolNumber }) => schoolNumber?.number === 'core-across' && schoolNumber.mm <= 0,
  },
  {
    id: 'zip-too-short',
    cushion: BENCH,
    hint: 'Put this core into its cover in your mind. Through what?',
    was: 'The zip was too short for the core.',
    why: 'A firm core does not fold to half its width. It has to go in through the opening: a short zip tears at its ends, or the cover is cut open and sewn shut again by hand.',
    there: said('zip-too-short-for-core'),
  },
  {
    id: 'indoor-foam',
    cushion: GARDEN,
    hint: 'Where does it lie when it rains?',
    was: 'Foam for indoors was put into a cushion for the garden.',
    why: 'Closed foam holds water for days: the cover mildews from inside and the frame under it rots. Out of doors the foam is open, so that water runs through.',
    there: said('indoor-foam-outdoors'),
  },
  {
    id: 'sewn-shut',
    cushion: GARDEN,
    hint: 'It got wet. What does its owner do now?',
    was: 'A cover for out of doors was sewn shut.',
    why: 'What is wet inside has to come out to dry, and the cover has to be washed. A cover that does not come off is thrown away with what is in it.',
    there: said('fixed-cover-outdoors'),
  },
  {
    id: 'straight-welt',
    cushion: STOOL,
    hint: 'Follow the welt round its corners.',
    was: 'The welt round tight corners was cut straight.',
    why: 'Only a bias strip stretches on its outer side and closes on its inner one. A straight strip puckers all the way round a tight curve, and no pressing takes that out.',
    there: said('straight-welt-on-tight-curve'),
  },
  {
    id: 'sat-through',
    cushion: STOOL,
    hint: 'Sit on it, with everybody who will.',
    was: 'The filling was sat through.',
    why: 'Under the heaviest who sits here the foam gives all it has, and the board is felt. It is called a soft seat for a week and a bad one afterwards: firmer, or thicker, or a firm layer below.',
    there: said('sitter-bottoms-out'),
  },
  {
    id: 'soft-under-firm',
    cushion: SETTLE,
    hint: 'Which of its layers carries, and which is touched?',
    was: 'The soft layer lay under the firm one.',
    why: 'Soft on top is what is felt, firm below is what carries. Turned round the seat feels like a board on a sponge, and tips at the front.',
    there: said('soft-under-firm'),
  },
  {
    id: 'nap-sideways',
    cushion: SETTLE,
    hint: 'Stroke the cloth from the back to the front.',
    was: 'The nap was turned sideways.',
    why: 'Pile lies down towards the front of a seat, on every piece alike. Laid across the roll it shades from the left to the right, and beside its neighbours it looks like another cloth.',
    there: (cushion, { job, shop }) => {
      const use = cushion.cloth ?? job.cloth;
      return use.railroaded === true && shop.document.cloths.some(({ id, oneWay }) => id === use.material && oneWay);
    },
  },
];

/** Softer and firmer foam is for other seats than these, N. */
const ORDINARY_N = [100, 180] as const;

/** The foam that is nearest to what is asked for, of those the shop offers. Undefined where it offers none. */
function foam(shop: Shop, asked: { readonly outdoors?: boolean; readonly firm: boolean }): Grade | undefined {
  const suits = ({ family }: Grade): boolean =>
    (family === 'fast-drying') === (asked.outdoors ?? false) && family !== 'reconstituted' && family !== 'slab' && family !== 'latex';
  const by = asked.firm ? -1 : 1;
  return offered(shop.document.grades)
    .filter((one) => suits(one) && one.hardness25N >= ORDINARY_N[0] && one.hardness25N <= ORDINARY_N[1])
    .sort((a, b) => by * (a.hardness25N - b.hardness25N))[0];
}

function cushionsFor(shop: Shop): Cushion[] {
  const [soft, firm] = [foam(shop, { firm: false })?.id ?? '', foam(shop, { firm: true })?.id ?? ''];
  const napped = offered(shop.document.cloths).find(({ oneWay }) => oneWay);
  const made = (name: string, over: Pick<Cushion, 'template' | 'heightMm' | 'construction' | 'core'> & Partial<Cushion>): Cushion => ({
    name,
    quantity: 1,
    given: 'seat',
    school: 'padded-to-the-line',
    ...over,
  });
  return [
    made('Hall bench', {
      template: { shape: 'rectangle', widthMm: 900, depthMm: 450 },
      heightMm: 100,
      school: 'bare-and-oversize',
      schoolNumber: { number: 'core-across', mm: 0 },
      construction: { kind: 'boxed', edge: 'welt', zipReach: 'short', zipShortMm: 320 },
      core: { layers: [{ grade: firm, thicknessMm: 125 }] },
      seat: { place: 'indoor', support: 'board', use: 'daily', sitters: [{ build: 'middling', posture: 'upright' }] },
    }),
    made('Garden bench', {
      template: { shape: 'rectangle', widthMm: 1100, depthMm: 480 },
      heightMm: 75,
      construction: { kind: 'boxed', edge: 'plain', closing: 'hand' },
      core: { layers: [{ grade: firm, thicknessMm: 75 }] },
      seat: { place: 'outdoor', support: 'board', use: 'occasional', sitters: [{ build: 'middling', posture: 'upright' }] },
    }),
    made('Dressing stool', {
      template: { shape: 'rectangle', widthMm: 420, depthMm: 380, cornerRadiusMm: 30 },
      heightMm: 50,
      construction: { kind: 'boxed', edge: 'welt', weltCut: 'straight' },
      core: { layers: [{ grade: soft, thicknessMm: 50 }] },
      seat: {
        place: 'indoor',
        support: 'board',
        use: 'daily',
        sitters: [
          { build: 'light', posture: 'upright' },
          { build: 'heavy', posture: 'upright' },
        ],
      },
    }),
    made('Settle', {
      template: { shape: 't', widthMm: 640, depthMm: 560, backWidthMm: 500, earDepthMm: 160 },
      heightMm: 100,
      construction: { kind: 'boxed', edge: 'welt' },
      core: {
        layers: [
          { grade: firm, thicknessMm: 50 },
          { grade: soft, thicknessMm: 50 },
        ],
      },
      ...(napped ? { cloth: { widthMm: napped.widthMm, material: napped.id, railroaded: true } } : {}),
      seat: { place: 'indoor', support: 'webbing', use: 'daily', sitters: [{ build: 'middling', posture: 'upright' }] },
    }),
  ];
}

const planned = (job: Job, shop: Shop): Plan => planSolved(job, shop, allButLays);

const isThere = (mistake: Mistake, plan: Plan): boolean => {
  const cushion = plan.job.cushions[mistake.cushion];
  return cushion !== undefined && mistake.there(cushion, plan);
};

/** A job with mistakes in it, of what the shop has. It names those that could be made: a shop without napped cloth turns no nap. */
export function practiceJob(shop: Shop): Job {
  const [cloth] = offered(shop.document.cloths).filter(({ oneWay }) => !oneWay);
  const job: Job = {
    format: JOB_FORMAT,
    name: 'Practice: find what is wrong',
    units: shop.document.units,
    state: 'new',
    cushions: cushionsFor(shop),
    cloth: cloth ? { widthMm: cloth.widthMm, material: cloth.id } : { widthMm: 1400 },
  };
  const plan = planned(job, shop);
  return { ...job, practice: MISTAKES.filter((mistake) => isThere(mistake, plan)).map(({ id }) => id) };
}

/** How far somebody is with a practice job: what was mended, with its why, and where to look for the rest. */
export interface PracticeState {
  readonly found: readonly Pick<Mistake, 'id' | 'was' | 'why'>[];
  readonly left: readonly (Pick<Mistake, 'id' | 'hint' | 'cushion'> & { readonly name: string })[];
}

/** The state of a practice job; null for a job that is none. A cushion that was taken out has its mistakes with it: they are neither found nor left. */
export function practiceState(job: Job, shop: Shop): PracticeState | null {
  if (!job.practice) return null;
  const plan = planned(job, shop);
  const asked = MISTAKES.filter(({ id, cushion }) => job.practice?.includes(id) && job.cushions[cushion] !== undefined);
  return {
    found: asked.filter((mistake) => !isThere(mistake, plan)).map(({ id, was, why }) => ({ id, was, why })),
    left: asked.filter((mistake) => isThere(mistake, plan)).map(({ id, hint, cushion }) => ({ id, hint, cushion, name: job.cushions[cushion]?.name ?? '' })),
  };
}
