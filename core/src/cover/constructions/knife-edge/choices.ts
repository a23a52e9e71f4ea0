import * as z from 'zod';
import type { Field } from '../../contract';
import { choiceField, edgeFields, lengthField } from '../../sewing/fields';
import { wideField, wideShape } from '../../plate/wide';
import { cordMm, RANGES, seamMm } from '../../sewing/lengths';

export const knifeEdgeSchema = z.strictObject({
  kind: z.literal('knife-edge'),
  ...wideShape,
  closing: z.enum(['hand', 'zip', 'envelope']).optional(),
  edge: z.enum(['plain', 'welt']).optional(),
  cordMm,
  seamMm,
});
export type KnifeEdge = z.infer<typeof knifeEdgeSchema>;

export const knifeEdgeFields: readonly Field<KnifeEdge>[] = [
  choiceField<KnifeEdge>('closing', 'Closed by', { hand: 'slip stitch', zip: 'zip in the seam', envelope: 'envelope back' }),
  ...edgeFields('Edge'),
  lengthField<KnifeEdge>('seamMm', 'Seam allowance', RANGES.seamMm, 'knifeSeamMm'),
  wideField<KnifeEdge>(),
];
