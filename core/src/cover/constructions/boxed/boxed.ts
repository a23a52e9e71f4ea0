import { ORDER_CORRECTS } from '../../box/order';
import { flangeFor } from '../../welt/flange';
import * as z from 'zod';
import { boxFields, boxingOf, boxShape, closingOf } from '../../box/choices';
import { makeBox } from '../../box/make';
import type { Construction } from '../../contract';
import { EDGE_CHOICE_WORDS, HAND_CHOICE_WORDS, HOOK_CHOICE_WORDS, ZIP_CHOICE_WORDS } from '../../words';

export const boxedSchema = z.strictObject({ kind: z.literal('boxed'), ...boxShape });
export type Boxed = z.infer<typeof boxedSchema>;

const EDGE_WORDS = { plain: 'plain edge', welt: 'welted', ridge: 'ridged' } as const;
const CLOSING_WORDS = { zip: '', hand: 'closed by hand', 'hook-and-loop': 'hook and loop' } as const;

/** Two plates and a boxing; edge plain, welted or ridged; a zip plaque at the back, hook and loop, or closed by hand. */
export const boxed: Construction<Boxed> = {
  kind: 'boxed',
  name: 'Boxed',
  idea: 'Two plates with a band between them, opened at the back.',
  words: ['boxed', 'box'],
  choiceWords: {
    ...EDGE_CHOICE_WORDS,
    ...ZIP_CHOICE_WORDS,
    ...HAND_CHOICE_WORDS,
    ...HOOK_CHOICE_WORDS,
    ridge: { edge: 'ridge' },
    ridged: { edge: 'ridge' },
    panels: { boxing: 'panels' },
    strip: { boxing: 'strip' },
    lapped: { plaque: 'lapped' },
    folded: { plaque: 'folded' },
  },
  schema: boxedSchema,
  defaults: () => ({ kind: 'boxed', edge: 'plain' }),
  orders: ORDER_CORRECTS,
  fields: boxFields,
  slots: ['bottom', 'boxing', 'welt', 'mesh', 'grip'],
  suits: () => [],
  flange: (choices, welt) => {
    const flange = choices.edge === 'welt' ? flangeFor(choices, welt) : null;
    return flange && { flange, edges: choices.weltOn === 'top' ? 1 : 2 };
  },
  make: (choices, request) => makeBox(choices, request),
  profile: ({ edge, cordMm, weltOn }, { sewn, slope }, assume) => ({
    kind: 'band',
    heightMm: slope ? (sewn.height.value + slope.sewn.value) / 2 : sewn.height.value,
    crownedFaces: slope ? 1 : null,
    domes: true,
    onBoard: false,
    welt: edge === 'welt' ? { cordMm: cordMm ?? assume('cordMm'), on: weltOn ?? 'both' } : null,
    modelled: true,
  }),
  lines: (choices) => {
    const top = choices.edge === 'plain' ? 'seam' : choices.edge;
    return {
      top,
      bottom: choices.edge === 'welt' && choices.weltOn === 'top' ? 'seam' : top,
      corners: boxingOf(choices) === 'panels',
      softFront: false,
      ...(closingOf(choices) === 'hand' ? {} : { zip: 'band' }),
    };
  },
  traits: (choices) => ({
    zip: { zip: 'along the back', hand: '', 'hook-and-loop': '' }[closingOf(choices)],
    washable: closingOf(choices) !== 'hand',
    edge: { plain: 'square, plain', welt: 'square, corded', ridge: 'square, a small raised ridge' }[choices.edge],
    hard:
      boxingOf(choices) === 'panels'
        ? 'Corner seams that stop short and meet the plates’ corners.'
        : 'Corners clipped; top and bottom not twisted against each other.',
  }),
  says: (choices) =>
    [
      choices.edge === 'welt' && choices.weltOn === 'top' ? 'welted on top' : EDGE_WORDS[choices.edge],
      boxingOf(choices) === 'panels' ? 'panels' : '',
      CLOSING_WORDS[closingOf(choices)],
    ]
      .filter(Boolean)
      .join(', '),
};
