import * as z from 'zod';
import type { Field } from '../../contract';
import { lengthField } from '../../sewing/fields';

export const foldedCornerSchema = z.strictObject({
  kind: z.literal('folded-corner'),
  seamMm: z.number().positive().max(50).optional(),
});
export type FoldedCorner = z.infer<typeof foldedCornerSchema>;

export const foldedCornerFields: readonly Field<FoldedCorner>[] = [lengthField<FoldedCorner>('seamMm', 'Seam allowance', [3, 50], 'school seam')];
