import * as z from 'zod';
import type { Field } from '../../contract';
import { choiceField, lengthField } from '../../sewing/fields';
import { wideField, wideShape } from '../../plate/wide';
import { cordMm, lengthWithin, RANGES, seamMm } from '../../sewing/lengths';
import { CHANNELLED_CONSTANTS } from './constants';

/** What a case is filled with. */
export const MIXES = ['feather', 'feather-down', 'down', 'fibre'] as const;
export type Mix = (typeof MIXES)[number];

export const channelledSchema = z.strictObject({
  kind: z.literal('channelled'),
  ...wideShape,
  /** A cushion by itself, or a case for each feather layer round a core, in a boxed cover. */
  as: z.enum(['alone', 'envelope']).optional(),
  /** Of a case by itself: ticking is no cover, so a boxed one goes over it unless it is made apart. */
  cover: z.enum(['boxed', 'none']).optional(),
  channelMm: lengthWithin(60, 300).optional(),
  mix: z.enum(MIXES).optional(),
  /** Of the cover round an envelope. */
  edge: z.enum(['plain', 'welt', 'ridge']).optional(),
  cordMm,
  seamMm,
});
export type Channelled = z.infer<typeof channelledSchema>;

const choice = choiceField<Channelled>;
const length = lengthField<Channelled>;
/** Whether a boxed cover goes round: over a core in its envelope, or over a case by itself. */
export const isCovered = ({ as, cover }: Channelled): boolean => as === 'envelope' || cover !== 'none';

export const channelledFields: readonly Field<Channelled>[] = [
  choice('as', 'Used', { alone: 'by itself', envelope: 'as an envelope round a core' }),
  choice('cover', 'Outer cover', { boxed: 'boxed, over it', none: 'made apart' }, { shown: ({ as }) => as !== 'envelope' }),
  length('channelMm', 'Channels, wide', [60, 300], CHANNELLED_CONSTANTS.channelMm),
  choice('mix', 'Filled with', { feather: 'feather', 'feather-down': 'feather and down', down: 'down', fibre: 'fibre' }),
  choice('edge', 'Cover’s edge', { plain: 'plain', welt: 'welt', ridge: 'ridge' }, { shown: isCovered }),
  length('cordMm', 'Cord', RANGES.cordMm, 'cordMm', { shown: (choices) => isCovered(choices) && choices.edge === 'welt' }),
  length('seamMm', 'Seam allowance', RANGES.seamMm, 'school seam'),
  wideField<Channelled>(),
];
