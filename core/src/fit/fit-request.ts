import * as z from 'zod';

const mm = z.number().positive().max(20_000);

/** A question for the fit model: the cover as sewn, the core as it is free, its wrap and pads. */
export const fitRequestSchema = z.strictObject({
  format: z.literal('yardland/fit@1'),
  widthMm: mm,
  depthMm: mm,
  heightMm: z.number().positive().max(1000),
  core: z.strictObject({
    widthMm: mm,
    depthMm: mm,
    layers: z
      .array(
        z.strictObject({
          thicknessMm: z.number().positive().max(600),
          hardness25N: z.number().min(10).max(2000),
          supportFactor: z.number().min(1.5).max(3.5),
        }),
      )
      .min(1)
      .max(8),
  }),
  wrapLoftMm: z.number().min(0).max(300),
  sideWrapSqueezedMm: z.number().min(0).max(100),
  padLoftMm: z.number().min(0).max(300),
  crownedFaces: z.union([z.literal(1), z.literal(2)]),
  bowAcrossMm: z.number().min(0).max(200),
  bowAlongMm: z.number().min(0).max(200),
  clothStiffnessNPerM: z.number().min(100).max(1e6),
});
export type FitDocument = z.infer<typeof fitRequestSchema>;
