import { perimeter } from '../../../geometry/outline';
import { issue, type Issue } from '../../../kernel/issue';
import { operation, type Operation } from '../../../piece/operation';
import type { Piece } from '../../../piece/piece';
import { minutesFor } from '../../../shop/minutes';
import type { Box } from '../../box/choices';
import { makeBox } from '../../box/make';
import type { Construction, CoverRequest } from '../../contract';
import { clothPiece } from '../../sewing/cloth-piece';
import { innerCase } from './inner';
import { sprungFields, sprungSchema, type Sprung } from './choices';

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

/** Thin cloth between springs and the foam on them, so that neither wears the other. */
function muslinOf({ sizes, core, contents }: CoverRequest): Piece | null {
  return contents.foamOnSprings === 0
    ? null
    : clothPiece('lining', {
        id: 'muslin',
        role: 'muslin',
        label: 'muslin',
        remark: 'between springs and foam',
        face: 'hidden',
        grain: 'any',
        countPerCushion: contents.foamOnSprings,
        width: sizes.core.width,
        height: sizes.core.depth,
        outline: core,
      });
}

function muslinOperation(muslin: Piece, { assume }: CoverRequest): Operation {
  return operation({
    id: 'prepare/muslin',
    phase: 'prepare',
    text: 'Lay the muslin between the springs and the foam; tack it at its edges only.',
    pieces: [muslin.id],
    minutes: minutesFor('prepare', perimeter(muslin.outline), 0, assume),
    needs: 'bench',
    after: ['cut/cover'],
  });
}

const refused = (why: string): Issue[] => [
  issue('error', 'construction-not-for-outline', 'construction', { construction: 'sprung inner and cover', why, instead: 'Take a boxed cover.' }),
];

/** Two covers in one cushion: a hand-closed case round the felted springs, and a boxed cover, a little smaller, over it. */
export const sprung: Construction<Sprung> = {
  kind: 'sprung',
  name: 'Sprung inner and cover',
  idea: 'Springs wrapped in felt both ways, in a hand-closed case of plain cloth; a boxed cover over it, a little smaller, its zip round both corners.',
  words: ['sprung'],
  choiceWords: {
    welt: { edge: 'welt' },
    welted: { edge: 'welt' },
    piped: { edge: 'welt' },
    ridged: { edge: 'ridge' },
    plain: { edge: 'plain' },
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
    const muslin = muslinOf(request);
    const inserted = (step: Operation): Operation =>
      step.id === 'fill/insert'
        ? {
            ...step,
            text: 'Turn the cover. Slide the sprung inner in through the whole opening, both corners open, its closed edge to the back.',
            after: [...step.after, 'fill/inner-close'],
          }
        : step;
    return {
      ...outer,
      pieces: [...outer.pieces, ...(inner?.pieces ?? []), ...(muslin ? [muslin] : [])],
      seams: [...outer.seams, ...(inner?.seams ?? [])],
      closings: [...outer.closings, ...(inner?.closings ?? [])],
      notions: [...outer.notions, ...(inner?.notions ?? [])],
      operations: [...(inner?.operations ?? []), ...(muslin ? [muslinOperation(muslin, request)] : []), ...outer.operations.map(inserted)],
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
