import * as z from 'zod';
import type { Field } from '../../contract';

export const drumSchema = z.strictObject({
  kind: z.literal('drum'),
  /** Thickness of the board under the foam. */
  boardMm: z.number().min(3).max(100).optional(),
  seamMm: z.number().positive().max(50).optional(),
});
export type Drum = z.infer<typeof drumSchema>;

export const drumFields: readonly Field<Drum>[] = [
  { key: 'boardMm', label: 'Board, thick', kind: 'length', minMm: 3, maxMm: 100, usual: 'boardMm' },
  { key: 'seamMm', label: 'Seam allowance', kind: 'length', minMm: 3, maxMm: 50, usual: 'drumSeamMm' },
];
