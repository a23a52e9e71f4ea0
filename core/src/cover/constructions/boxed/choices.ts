import * as z from 'zod';
import type { Field } from '../../contract';
import { edgeFields } from '../../parts/fields';

export const boxedSchema = z.strictObject({
  kind: z.literal('boxed'),
  edge: z.enum(['plain', 'welt']),
  cordMm: z.number().positive().max(25).optional(),
  seamMm: z.number().positive().max(50).optional(),
  plaque: z.literal('slit').optional(),
  zipWidthMm: z.number().positive().max(100).optional(),
  zipReturnMm: z.number().nonnegative().max(500).optional(),
  zipPocketMm: z.number().nonnegative().max(100).optional(),
  strips: z.enum(['across', 'along']).optional(),
});
export type Boxed = z.infer<typeof boxedSchema>;

/** What the tray shows, in its order. */
export const boxedFields: readonly Field<Boxed>[] = [
  ...edgeFields('Edge'),
  { key: 'seamMm', label: 'Seam allowance', kind: 'length', minMm: 3, maxMm: 50, usual: 'school seam' },
  {
    key: 'strips',
    label: 'Boxing and plaque cut',
    kind: 'choice',
    usual: 'across',
    options: [
      { value: 'across', name: 'across the cloth' },
      { value: 'along', name: 'along the roll' },
    ],
  },
  { key: 'zipWidthMm', label: 'Zip tape wide', kind: 'length', minMm: 5, maxMm: 100, usual: 'zipWidthMm' },
  { key: 'zipReturnMm', label: 'Zip round each corner', kind: 'length', minMm: 0, maxMm: 500, usual: 'zipReturnMm' },
  { key: 'zipPocketMm', label: 'End pocket', kind: 'length', minMm: 0, maxMm: 100, usual: 'zipPocketMm' },
];
