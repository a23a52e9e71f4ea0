import * as z from 'zod';
import type { Field } from '../../contract';
import { lengthField } from '../../sewing/fields';

export const pullOverSchema = z.strictObject({
  kind: z.literal('pull-over'),
  /** Height of the frame's edge, which the cloth covers. */
  frameEdgeMm: z.number().min(5).max(300).optional(),
  /** Radius of the core's upper edge at the front. */
  frontRadiusMm: z.number().min(5).max(200).optional(),
  seamMm: z.number().positive().max(50).optional(),
});
export type PullOver = z.infer<typeof pullOverSchema>;

export const pullOverFields: readonly Field<PullOver>[] = [
  lengthField<PullOver>('frameEdgeMm', 'Frame’s edge, high', [5, 300], 'frameEdgeMm'),
  lengthField<PullOver>('frontRadiusMm', 'Front, rounded by', [5, 200], 'frontRadiusMm'),
  lengthField<PullOver>('seamMm', 'Seam allowance', [3, 50], 'drumSeamMm'),
];
