import * as z from 'zod';
import { weltCutFor } from '../../welt/welt';
import type { Field } from '../../contract';
import { choiceField, edgeFields, lengthField } from '../../sewing/fields';
import { wideField, wideShape } from '../../plate/wide';
import { cordMm, lengthWithin, RANGES, seamMm, zipWidthMm } from '../../sewing/lengths';

export const waterfallSchema = z.strictObject({
  kind: z.literal('waterfall'),
  ...wideShape,
  /** Of the side boxings' front corners, on the seam line. */
  frontRadiusMm: lengthWithin(1, 300).optional(),
  edge: z.enum(['plain', 'welt']).optional(),
  weltCut: z.enum(['bias', 'straight']).optional(),
  cordMm,
  seamMm,
  zipWidthMm,
});
export type Waterfall = z.infer<typeof waterfallSchema>;

export const waterfallFields: readonly Field<Waterfall>[] = [
  lengthField<Waterfall>('frontRadiusMm', 'Front rounded by', [1, 300], 'frontRadiusMm'),
  ...edgeFields('Edge on sides and back'),
  choiceField<Waterfall>(
    'weltCut',
    'Welt cut',
    { bias: 'on the bias', straight: 'straight, narrow' },
    { shown: ({ edge }) => edge === 'welt', usualFor: (choices, cloth) => weltCutFor(choices, cloth('welt')) },
  ),
  lengthField<Waterfall>('seamMm', 'Seam allowance', RANGES.seamMm, 'school seam'),
  wideField<Waterfall>(),
  lengthField<Waterfall>('zipWidthMm', 'Zip tape wide', RANGES.zipWidthMm, 'zipWidthMm', { group: 'closing' }),
];
