import * as z from 'zod';
import type { Field } from '../../contract';
import { wideField, wideShape } from '../../plate/wide';
import { lengthWithin, seamMm } from '../../sewing/lengths';
import { DRUM_CONSTANTS } from './constants';

export const drumSchema = z.strictObject({
  kind: z.literal('drum'),
  ...wideShape,
  /** Thickness of the board under the foam. */
  boardMm: lengthWithin(3, 100).optional(),
  seamMm,
});
export type Drum = z.infer<typeof drumSchema>;

export const drumFields: readonly Field<Drum>[] = [
  { key: 'boardMm', label: 'Board, thick', kind: 'length', minMm: 3, maxMm: 100, usual: DRUM_CONSTANTS.boardMm },
  { key: 'seamMm', label: 'Seam allowance', kind: 'length', minMm: 3, maxMm: 50, usual: 'drumSeamMm' },
  wideField<Drum>(),
];
