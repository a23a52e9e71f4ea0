import * as z from 'zod';
import type { Field } from '../../contract';
import { edgeFields, lengthField } from '../../sewing/fields';

export const waterfallSchema = z.strictObject({
  kind: z.literal('waterfall'),
  /** Of the side boxings' front corners, on the seam line. */
  frontRadiusMm: z.number().min(1).max(300).optional(),
  edge: z.enum(['plain', 'welt']).optional(),
  cordMm: z.number().positive().max(25).optional(),
  seamMm: z.number().positive().max(50).optional(),
  zipWidthMm: z.number().positive().max(100).optional(),
});
export type Waterfall = z.infer<typeof waterfallSchema>;

export const waterfallFields: readonly Field<Waterfall>[] = [
  lengthField<Waterfall>('frontRadiusMm', 'Front rounded by', [1, 300], 'frontRadiusMm'),
  ...edgeFields('Edge on sides and back'),
  lengthField<Waterfall>('seamMm', 'Seam allowance', [3, 50], 'school seam'),
  lengthField<Waterfall>('zipWidthMm', 'Zip tape wide', [5, 100], 'zipWidthMm', { group: 'closing' }),
];
