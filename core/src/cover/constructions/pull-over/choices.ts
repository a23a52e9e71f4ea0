import * as z from 'zod';
import type { Field } from '../../contract';
import { choiceField, lengthField } from '../../sewing/fields';
import { wideField, wideShape } from '../../plate/wide';
import { lengthWithin, RANGES, seamMm } from '../../sewing/lengths';
import { PULL_OVER_CONSTANTS } from './constants';

export const pullOverSchema = z.strictObject({
  kind: z.literal('pull-over'),
  ...wideShape,
  /** Height of the frame's edge, which the cloth covers. */
  frameEdgeMm: lengthWithin(5, 300).optional(),
  /** Radius of the core's upper edge at the front. */
  frontRadiusMm: lengthWithin(5, 200).optional(),
  /** A strip of wadding down the middle, under the wrap: the only crown that it has. */
  crownStrip: z.enum(['strip', 'none']).optional(),
  seamMm,
});
export type PullOver = z.infer<typeof pullOverSchema>;

export const pullOverFields: readonly Field<PullOver>[] = [
  lengthField<PullOver>('frameEdgeMm', 'Frame’s edge, high', [5, 300], PULL_OVER_CONSTANTS.frameEdgeMm),
  lengthField<PullOver>('frontRadiusMm', 'Front, rounded by', [5, 200], 'frontRadiusMm'),
  choiceField<PullOver>('crownStrip', 'Crowned by', { strip: 'a strip of wadding in the middle', none: 'nothing: flat' }),
  lengthField<PullOver>('seamMm', 'Seam allowance', RANGES.seamMm, 'drumSeamMm'),
  wideField<PullOver>(),
];
