import * as z from 'zod';
import type { Field } from '../../contract';
import { edgeFields, lengthField } from '../../sewing/fields';
import { wideField, wideShape } from '../../plate/wide';
import { cordMm, lengthWithin, RANGES, seamMm } from '../../sewing/lengths';
import { BLOCK_CONSTANTS } from './constants';

export const blockSchema = z.strictObject({
  kind: z.literal('block'),
  ...wideShape,
  edge: z.enum(['plain', 'welt']).optional(),
  cordMm,
  seamMm,
  /** The zip in the base: so far inside its seam line, and its corners rounded by. */
  zipInsetMm: lengthWithin(10, 300).optional(),
  zipRadiusMm: lengthWithin(5, 200).optional(),
});
export type Block = z.infer<typeof blockSchema>;

export const blockFields: readonly Field<Block>[] = [
  ...edgeFields('Top edge'),
  lengthField<Block>('seamMm', 'Seam allowance', RANGES.seamMm, 'school seam'),
  wideField<Block>(),
  lengthField<Block>('zipInsetMm', 'Zip inside the base', [10, 300], BLOCK_CONSTANTS.blockZipInsetMm, { group: 'closing' }),
  lengthField<Block>('zipRadiusMm', 'Zip’s corners', [5, 200], BLOCK_CONSTANTS.blockZipRadiusMm, { group: 'closing' }),
];
