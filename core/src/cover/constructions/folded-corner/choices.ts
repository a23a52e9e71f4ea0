import * as z from 'zod';
import type { Field } from '../../contract';
import { lengthField } from '../../sewing/fields';
import { wideField, wideShape } from '../../plate/wide';
import { RANGES, seamMm } from '../../sewing/lengths';

export const foldedCornerSchema = z.strictObject({
  kind: z.literal('folded-corner'),
  ...wideShape,
  seamMm,
});
export type FoldedCorner = z.infer<typeof foldedCornerSchema>;

export const foldedCornerFields: readonly Field<FoldedCorner>[] = [
  lengthField<FoldedCorner>('seamMm', 'Seam allowance', RANGES.seamMm, 'school seam'),
  wideField<FoldedCorner>(),
];
