import * as z from 'zod';
import type { Field } from '../../contract';
import { choiceField, lengthField } from '../../sewing/fields';

/** What a case is filled with. */
export const MIXES = ['feather', 'feather-down', 'down', 'fibre'] as const;
export type Mix = (typeof MIXES)[number];

export const channelledSchema = z.strictObject({
  kind: z.literal('channelled'),
  /** A cushion by itself, or a case for each feather layer round a core, in a boxed cover. */
  as: z.enum(['alone', 'envelope']).optional(),
  channelMm: z.number().min(60).max(300).optional(),
  mix: z.enum(MIXES).optional(),
  /** Of the cover round an envelope. */
  edge: z.enum(['plain', 'welt', 'ridge']).optional(),
  cordMm: z.number().positive().max(25).optional(),
  seamMm: z.number().positive().max(50).optional(),
});
export type Channelled = z.infer<typeof channelledSchema>;

const choice = choiceField<Channelled>;
const length = lengthField<Channelled>;
const enveloped = ({ as }: Channelled): boolean => as === 'envelope';

export const channelledFields: readonly Field<Channelled>[] = [
  choice('as', 'Used', { alone: 'by itself', envelope: 'as an envelope round a core' }),
  length('channelMm', 'Channels, wide', [60, 300], 'channelMm'),
  choice('mix', 'Filled with', { feather: 'feather', 'feather-down': 'feather and down', down: 'down', fibre: 'fibre' }),
  choice('edge', 'Cover’s edge', { plain: 'plain', welt: 'welt', ridge: 'ridge' }, { shown: enveloped }),
  length('cordMm', 'Cord', [1, 25], 'cordMm', { shown: (choices) => enveloped(choices) && choices.edge === 'welt' }),
  length('seamMm', 'Seam allowance', [3, 50], 'school seam'),
];
