import * as z from 'zod';
import type { Field } from '../contract';
import { ZIP_ENDS } from '../band/request';
import { choiceField, lengthField } from '../sewing/fields';
import { cordMm, lengthWithin, RANGES, seamMm, zipWidthMm } from '../sewing/lengths';
import { extrasFields, extrasShape } from '../extras/extras';
import { wideField, wideShape } from '../plate/wide';
import { REACH_WORDS, REACHES } from '../band/reach';
import { showsHoles, type ClothNature } from '../../material/material';
import { weltCutFor } from '../welt/welt';
import { ORDER_WORDS, orderOf, ORDERS, ordersFor } from './order';

/** The choices of a boxed cover, whatever it is called and whatever goes round it. */
export const boxShape = {
  /** One strip wrapped round, or panels seamed at every corner. */
  boxing: z.enum(['strip', 'panels']).optional(),
  edge: z.enum(['plain', 'welt', 'ridge']),
  weltOn: z.enum(['both', 'top']).optional(),
  weltCut: z.enum(['bias', 'straight']).optional(),
  flangeMm: lengthWithin(...RANGES.flangeMm).optional(),
  /** How wide the welt's strip is cut: the flange follows from it. */
  weltStripMm: lengthWithin(...RANGES.weltStripMm).optional(),
  cordMm,
  /** The welt sewn to its plate before the boxing, or caught between them in one go, by the practised. */
  weltSewn: z.enum(['first', 'with-boxing']).optional(),
  /** Rows of a ridge. */
  ridge: z.enum(['once', 'twice']).optional(),
  seamMm,
  closing: z.enum(['zip', 'hand', 'hook-and-loop']).optional(),
  plaque: z.enum(['slit', 'folded', 'lapped']).optional(),
  order: z.enum(ORDERS).optional(),
  teethMm: lengthWithin(3, 500).optional(),
  zipReach: z.enum(REACHES).optional(),
  zipWidthMm,
  zipReturnMm: lengthWithin(0, 500).optional(),
  zipShortMm: lengthWithin(0, 1000).optional(),
  zipEnds: z.enum(ZIP_ENDS).optional(),
  zipPocketMm: lengthWithin(0, 100).optional(),
  strips: z.enum(['across', 'along']).optional(),
  ...wideShape,
  ...extrasShape,
};
export type Box = z.infer<z.ZodObject<typeof boxShape>>;

/** How the boxing is made where nothing else is said. */
export const boxingOf = ({ boxing }: Box): 'strip' | 'panels' => boxing ?? 'strip';
export const closingOf = ({ closing }: Box): 'zip' | 'hand' | 'hook-and-loop' => closing ?? 'zip';
/** Panels end at the corners: so does their zip, and its ends need no pocket. */
export const reachFor = (choices: Box): (typeof REACHES)[number] => choices.zipReach ?? (boxingOf(choices) === 'panels' ? 'back' : 'corners');
export const endsFor = (choices: Box): (typeof ZIP_ENDS)[number] => choices.zipEnds ?? (boxingOf(choices) === 'panels' ? 'plain' : 'pocket');

/** A slit strip is usual; of leather and vinyl, where a basted seam would leave its holes, two folded ones. */
export const plaqueFor = ({ plaque }: Box, boxing: Pick<ClothNature, 'kind'>): NonNullable<Box['plaque']> => plaque ?? (showsHoles(boxing) ? 'folded' : 'slit');

/** Welt and boxing can be sewn on in one go where a whole ring meets each plate all round. */
const takesBoth = (choices: Box): boolean => choices.edge === 'welt' && closingOf(choices) !== 'hand' && orderOf(choices) === 'plaque-with-boxing';
export const weltWithBoxing = (choices: Box): boolean => takesBoth(choices) && choices.weltSewn === 'with-boxing';

/** The plaque is set in when both plates are on; there has to be one. */
export const plaqueIsLast = (choices: Box): boolean => orderOf(choices) === 'plaque-last';

const welted = ({ edge }: Box): boolean => edge === 'welt';
const zipped = (choices: Box): boolean => closingOf(choices) === 'zip';
const opens = (choices: Box): boolean => closingOf(choices) !== 'hand';

const choice = choiceField<Box>;
const length = lengthField<Box>;
const welt = { shown: welted };
const closing = { group: 'closing' } as const;

/** What the tray shows, in its order. */
export const boxFields: readonly Field<Box>[] = [
  choice('boxing', 'Boxing', { strip: 'strip, wrapped', panels: 'panels' }),
  choice('edge', 'Edge', { plain: 'plain', welt: 'welt', ridge: 'ridge' }),
  choice('weltOn', 'Welt on', { both: 'both plates', top: 'top only' }, welt),
  choice('weltCut', 'Welt cut', { bias: 'on the bias', straight: 'straight' }, { ...welt, usualFor: (choices, cloth) => weltCutFor(choices, cloth('welt')) }),
  length('cordMm', 'Cord', RANGES.cordMm, 'cordMm', welt),
  length('weltStripMm', 'Welt strip cut', RANGES.weltStripMm, 'by its flange', welt),
  length('flangeMm', 'Welt’s flange', RANGES.flangeMm, 'school seam', { shown: ({ edge, weltStripMm }) => edge === 'welt' && weltStripMm === undefined }),
  choice('weltSewn', 'Welt sewn on', { first: 'first', 'with-boxing': 'with the boxing, in one go' }, { shown: takesBoth }),
  choice('ridge', 'Stitched', { once: 'once', twice: 'twice' }, { shown: ({ edge }) => edge === 'ridge' }),
  length('seamMm', 'Seam allowance', RANGES.seamMm, 'school seam'),
  choice('strips', 'Boxing and plaque cut', { across: 'across the cloth', along: 'along the roll' }),
  wideField<Box>(),
  choice('order', 'Order of work', ORDER_WORDS, { shown: (choices) => ordersFor(choices).length > 1, offered: ordersFor }),
  choice('closing', 'Closed with', { zip: 'zip', hand: 'by hand', 'hook-and-loop': 'hook and loop' }, closing),
  choice('zipReach', 'It runs', REACH_WORDS, { ...closing, opens: true, shown: opens, usualFor: reachFor }),
  length('zipReturnMm', 'Round each corner', [0, 500], 'zipReturnMm', {
    ...closing,
    opens: true,
    shown: (choices) => opens(choices) && reachFor(choices) === 'corners',
  }),
  length('zipShortMm', 'Short of each corner', [0, 1000], 'zipShortMm', {
    ...closing,
    opens: true,
    shown: (choices) => opens(choices) && reachFor(choices) === 'short',
  }),
  choice(
    'plaque',
    'Plaque',
    { slit: 'slit strip', folded: 'two folded', lapped: 'lapped' },
    { ...closing, shown: zipped, usualFor: (choices, cloth) => plaqueFor(choices, cloth('boxing')) },
  ),
  length('teethMm', 'Teeth, height', [3, 500], 'half the height', { ...closing, shown: (choices) => zipped(choices) && choices.plaque === 'lapped' }),
  length('zipWidthMm', 'Zip tape wide', RANGES.zipWidthMm, 'zipWidthMm', { ...closing, shown: zipped }),
  choice(
    'zipEnds',
    'Its ends',
    { plain: 'plain', pocket: 'pocket', placket: 'end plackets', hemmed: 'hemmed over' },
    { ...closing, shown: opens, usualFor: endsFor },
  ),
  length('zipPocketMm', 'End pocket', [0, 100], 'zipPocketMm', { ...closing, shown: (choices) => opens(choices) && endsFor(choices) === 'pocket' }),
  ...extrasFields,
];
