import * as z from 'zod';
import type { Field } from '../../contract';
import { edgeFields } from '../../parts/fields';

export const knifeEdgeSchema = z.strictObject({
  kind: z.literal('knife-edge'),
  closing: z.enum(['hand', 'zip', 'envelope']).optional(),
  edge: z.enum(['plain', 'welt']).optional(),
  cordMm: z.number().positive().max(25).optional(),
  seamMm: z.number().positive().max(50).optional(),
});
export type KnifeEdge = z.infer<typeof knifeEdgeSchema>;

export const knifeEdgeFields: readonly Field<KnifeEdge>[] = [
  {
    key: 'closing',
    label: 'Closed by',
    kind: 'choice',
    usual: 'hand',
    options: [
      { value: 'hand', name: 'slip stitch' },
      { value: 'zip', name: 'zip in the seam' },
      { value: 'envelope', name: 'envelope back' },
    ],
  },
  ...edgeFields('Edge'),
  { key: 'seamMm', label: 'Seam allowance', kind: 'length', minMm: 3, maxMm: 50, usual: 'knifeSeamMm' },
];
