import * as z from 'zod';
import type { Field } from '../../contract';
import { choiceField, lengthField } from '../../sewing/fields';
import { TUFT_GRIDS } from '../../sewing/stitched-edge';
import { wideField, wideShape } from '../../plate/wide';
import { lengthWithin, RANGES, seamMm } from '../../sewing/lengths';
import { ROLLED_EDGE_CONSTANTS } from './constants';

export const rolledEdgeSchema = z.strictObject({
  kind: z.literal('rolled-edge'),
  ...wideShape,
  boxing: z.enum(['strip', 'panels']).optional(),
  closing: z.enum(['hand', 'zip']).optional(),
  seamMm,
  strips: z.enum(['across', 'along']).optional(),
  /** Boxing as usual, or cut higher so that the roll is worked more easily. */
  height: z.enum(['usual', 'easier']).optional(),
  rollPitchMm: lengthWithin(15, 150).optional(),
  rollInsetMm: lengthWithin(5, 50).optional(),
  /** Each stitch of the roll knotted by itself, or every so many drawn up together. */
  knotted: z.enum(['each', 'third', 'fourth']).optional(),
  tufts: z.enum(TUFT_GRIDS).optional(),
  tuftMm: lengthWithin(80, 600).optional(),
  tuftWith: z.enum(['cross', 'button']).optional(),
});
export type RolledEdge = z.infer<typeof rolledEdgeSchema>;

const choice = choiceField<RolledEdge>;
const length = lengthField<RolledEdge>;
const tufted = { shown: ({ tufts }: RolledEdge) => tufts !== 'none' };

export const rolledEdgeFields: readonly Field<RolledEdge>[] = [
  choice('tufts', 'Tufts', { square: 'in rows', diamond: 'in a diamond', none: 'none' }),
  length('tuftMm', 'From tuft to tuft', [80, 600], ROLLED_EDGE_CONSTANTS.tuftEveryMm, tufted),
  choice('tuftWith', 'Tufted with', { cross: 'a crossed stitch', button: 'buttons' }, tufted),
  length('rollPitchMm', 'Roll, stitch to stitch', [15, 150], ROLLED_EDGE_CONSTANTS.rollPitchMm),
  length('rollInsetMm', 'Stitches in from the seam', [5, 50], 'by the thickness'),
  choice('knotted', 'Stitches knotted', { each: 'each by itself', third: 'every third drawn up', fourth: 'every fourth drawn up' }),
  choice('boxing', 'Boxing', { strip: 'strip, wrapped', panels: 'panels' }),
  choice('height', 'Boxing cut', { usual: 'as usual', easier: 'higher, for an easier roll' }),
  choice('strips', 'Boxing strips', { across: 'across the cloth', along: 'along the roll' }),
  wideField<RolledEdge>(),
  length('seamMm', 'Seam allowance', RANGES.seamMm, 'school seam'),
  choice('closing', 'Closed', { hand: 'by hand', zip: 'with a zip' }, { group: 'closing' }),
];
