import { SPRUNG_SENTENCES } from './sentences';
import { issue, type Issue } from '../../../kernel/issue';
import type { Operation } from '../../../piece/operation';
import type { Box } from '../../box/choices';
import { makeBox } from '../../box/make';
import type { Construction, Contents } from '../../contract';
import { innerCase, UNIT_FLAT } from './inner';
import { sprungFields, sprungSchema, type Sprung } from './choices';
import { EDGE_CHOICE_WORDS } from '../../words';

const boxOf = ({ edge, weltOn, cordMm, boxing, plaque, zipWidthMm }: Sprung): Box => ({
  edge: edge ?? 'plain',
  zipReach: 'corners',
  zipEnds: 'pocket',
  ...(weltOn ? { weltOn } : {}),
  ...(cordMm === undefined ? {} : { cordMm }),
  ...(boxing ? { boxing } : {}),
  ...(plaque ? { plaque } : {}),
  ...(zipWidthMm === undefined ? {} : { zipWidthMm }),
});

/** What to mind when the felted unit goes in, whatever the filling is. */
const insertCautions = ({ softUp }: Contents): string[] => [UNIT_FLAT, ...(softUp ? ['Soft side up.'] : [])];

const refused = (why: string): Issue[] => [
  issue('error', 'construction-not-for-outline', 'construction', { construction: 'sprung inner and cover', why, instead: 'Take a boxed cover.' }),
];

/** Two covers in one cushion: a hand-closed case round the felted springs, and a boxed cover, a little smaller, over it. */
export const sprung: Construction<Sprung> = {
  kind: 'sprung',
  name: 'Sprung inner and cover',
  sentences: SPRUNG_SENTENCES,
  idea: 'Springs wrapped in felt both ways, in a hand-closed case of plain cloth; a boxed cover over it, a little smaller, its zip round both corners.',
  words: ['sprung'],
  choiceWords: {
    ...EDGE_CHOICE_WORDS,
    ridged: { edge: 'ridge' },
    panels: { boxing: 'panels' },
  },
  schema: sprungSchema,
  defaults: () => ({ kind: 'sprung' }),
  fields: sprungFields,
  slots: ['lining', 'bottom', 'boxing', 'welt'],
  suits: ({ sloping }) => (sloping ? refused('a spring unit is level') : []),
  felt: ({ feltMm }) => ({ mm: feltMm ?? null }),
  make(choices, request) {
    const outer = makeBox(boxOf(choices), request);
    const inner = innerCase(request);
    const inserted = (step: Operation): Operation =>
      step.id === 'fill/insert'
        ? {
            ...step,
            text: 'Turn the cover. Slide the sprung inner in through the whole opening, both corners open, its closed edge to the back.',
            cautions: insertCautions(request.contents),
            after: [...step.after, 'fill/inner-close'],
          }
        : step;
    return {
      ...outer,
      pieces: [...outer.pieces, ...(inner?.pieces ?? [])],
      seams: [...outer.seams, ...(inner?.seams ?? [])],
      closings: [...outer.closings, ...(inner?.closings ?? [])],
      notions: [...outer.notions, ...(inner?.notions ?? [])],
      operations: [...(inner?.operations ?? []), ...outer.operations.map(inserted)],
      problems: [
        ...outer.problems,
        ...(inner?.problems ?? [issue('error', 'no-inner-case', 'template')]),
        ...(request.contents.sprung ? [] : [issue('warning', 'no-springs-in-filling', 'core.layers')]),
        ...(request.cloth('lining') === request.cloth('main') ? [issue('warning', 'slot-not-named', 'slots.lining', { what: 'inner case' })] : []),
      ],
    };
  },
  profile: ({ edge, cordMm, weltOn }, { sewn }, assume) => ({
    kind: 'band',
    heightMm: sewn.height.value,
    crownedFaces: null,
    domes: true,
    onBoard: false,
    welt: edge === 'welt' ? { cordMm: cordMm ?? assume('cordMm'), on: weltOn ?? 'both' } : null,
    modelled: true,
  }),
  lines: ({ edge, weltOn, boxing }) => {
    const top = edge === 'welt' || edge === 'ridge' ? edge : 'seam';
    return { top, bottom: edge === 'welt' && weltOn === 'top' ? 'seam' : top, corners: boxing === 'panels', softFront: false, zip: 'band' };
  },
  traits: () => ({
    zip: 'along the back, round both corners',
    washable: true,
    edge: 'square, held by the springs',
    hard: 'Felt wrapped without a ridge; an inner case closed by hand to the exact allowance.',
  }),
  says: ({ edge }) => `${{ plain: 'plain edge', welt: 'welted', ridge: 'ridged' }[edge ?? 'plain']}, with an inner case`,
};
