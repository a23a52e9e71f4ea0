import * as z from 'zod';
import type { Field } from '../../contract';
import { edgeFields, lengthField } from '../../sewing/fields';

export const blockSchema = z.strictObject({
  kind: z.literal('block'),
  edge: z.enum(['plain', 'welt']).optional(),
  cordMm: z.number().positive().max(25).optional(),
  seamMm: z.number().positive().max(50).optional(),
  /** The zip in the base: so far inside its seam line, and its corners rounded by. */
  zipInsetMm: z.number().min(10).max(300).optional(),
  zipRadiusMm: z.number().min(5).max(200).optional(),
});
export type Block = z.infer<typeof blockSchema>;

export const blockFields: readonly Field<Block>[] = [
  ...edgeFields('Top edge'),
  lengthField<Block>('seamMm', 'Seam allowance', [3, 50], 'school seam'),
  lengthField<Block>('zipInsetMm', 'Zip inside the base', [10, 300], 'blockZipInsetMm', { group: 'closing' }),
  lengthField<Block>('zipRadiusMm', 'Zip’s corners', [5, 200], 'blockZipRadiusMm', { group: 'closing' }),
];
