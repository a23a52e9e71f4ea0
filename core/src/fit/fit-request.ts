import * as z from 'zod';
import { springStiffness } from '../material/material';

const mm = z.number().positive().max(20_000);
const thicknessMm = z.number().positive().max(600);
const loftMm = z.number().min(0).max(300);

/** A layer without a kind is foam. */
const layerSchema = z.preprocess(
  (layer) => (typeof layer === 'object' && layer !== null && !('kind' in layer) ? { kind: 'foam', ...layer } : layer),
  z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('foam'),
      thicknessMm,
      hardness25N: z.number().min(10).max(2000),
      supportFactor: z.number().min(1.5).max(3.5),
    }),
    z.strictObject({ kind: z.literal('spring'), thicknessMm, stiffnessKPa: springStiffness.optional() }),
    z.strictObject({ kind: z.enum(['feather', 'felt']), thicknessMm }),
  ]),
);

/** What a request of the first format is told: which of its numbers means something else now. */
export const FIT_1_REFUSED =
  'fit@1 is no longer answered: in fit@2 the sides’ wrap is given as it lies free, "sideLoftAcrossMm" (left and right) and "sideLoftAlongMm" (front and back), instead of "sideWrapSqueezedMm"';

/** A question for the fit model: the cover as sewn, the core as it is free, its wrap and pads. */
export const fitRequestSchema = z.strictObject({
  format: z.literal('yardland/fit@2', { error: ({ input }) => (input === 'yardland/fit@1' ? FIT_1_REFUSED : undefined) }),
  widthMm: mm,
  depthMm: mm,
  heightMm: z.number().positive().max(1000),
  core: z.strictObject({ widthMm: mm, depthMm: mm, layers: z.array(layerSchema).min(1).max(8) }),
  wrapLoftMm: loftMm,
  sideLoftAcrossMm: loftMm,
  sideLoftAlongMm: loftMm,
  padLoftMm: loftMm,
  crownedFaces: z.union([z.literal(1), z.literal(2)]),
  bowAcrossMm: z.number().min(0).max(200),
  bowAlongMm: z.number().min(0).max(200),
  clothStiffnessNPerM: z.number().min(100).max(1e6),
  waddingPa: z.number().min(1).max(1e5).optional(),
});
export type FitDocument = z.infer<typeof fitRequestSchema>;
