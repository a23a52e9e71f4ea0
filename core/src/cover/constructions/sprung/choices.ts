import * as z from 'zod';
import type { Field } from '../../contract';
import { choiceField, lengthField } from '../../sewing/fields';
import { wideField, wideShape } from '../../plate/wide';
import { cordMm, lengthWithin, RANGES, seamMm, zipWidthMm } from '../../sewing/lengths';

export const sprungSchema = z.strictObject({
  kind: z.literal('sprung'),
  ...wideShape,
  edge: z.enum(['plain', 'welt', 'ridge']).optional(),
  weltOn: z.enum(['both', 'top']).optional(),
  cordMm,
  boxing: z.enum(['strip', 'panels']).optional(),
  plaque: z.enum(['slit', 'folded', 'lapped']).optional(),
  zipWidthMm,
  seamMm,
  /** Thickness of the felt round the springs. */
  feltMm: lengthWithin(1, 50).optional(),
});
export type Sprung = z.infer<typeof sprungSchema>;

const choice = choiceField<Sprung>;
const length = lengthField<Sprung>;
const welted = { shown: ({ edge }: Sprung) => edge === 'welt' };

export const sprungFields: readonly Field<Sprung>[] = [
  length('feltMm', 'Felt, thick', [1, 50], 'feltMm'),
  choice('edge', 'Cover’s edge', { plain: 'plain', welt: 'welt', ridge: 'ridge' }),
  choice('weltOn', 'Welt on', { both: 'both plates', top: 'top only' }, welted),
  length('cordMm', 'Cord', RANGES.cordMm, 'cordMm', welted),
  choice('boxing', 'Boxing', { strip: 'strip, wrapped', panels: 'panels' }),
  length('seamMm', 'Seam allowance', RANGES.seamMm, 'school seam'),
  wideField<Sprung>(),
  choice('plaque', 'Plaque', { slit: 'slit strip', folded: 'two folded', lapped: 'lapped' }, { group: 'closing' }),
  length('zipWidthMm', 'Zip tape wide', RANGES.zipWidthMm, 'zipWidthMm', { group: 'closing' }),
];
