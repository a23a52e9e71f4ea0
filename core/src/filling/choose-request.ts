import * as z from 'zod';
import { DECKS, POSTURES } from './under-and-over';

export const chooseRequestSchema = z.strictObject({
  format: z.literal('yardland/choose@1'),
  sitters: z
    .array(z.strictObject({ massKg: z.number().min(3).max(400), posture: z.enum(POSTURES), frail: z.boolean().optional() }))
    .min(1)
    .max(20),
  feel: z.enum(['soft', 'medium', 'firm']),
  part: z.enum(['seat', 'back', 'mattress']),
  use: z.enum(['daily', 'regular', 'occasional']),
  place: z.enum(['indoor', 'covered', 'outdoor']),
  support: z.enum(DECKS),
  heightMm: z.number().min(15).max(600),
  /** Turned over now and then: a firm middle, the same on both faces. */
  reversible: z.boolean().optional(),
  /** How large the cores are, and how many: with it what is there (remnants) is looked at too, and everything has its cost. */
  core: z
    .strictObject({ widthMm: z.number().positive().max(20_000), depthMm: z.number().positive().max(20_000), quantity: z.int().min(1).max(500) })
    .optional(),
  deckHeightMm: z.number().nonnegative().max(3000).optional(),
});
export type ChooseRequest = z.infer<typeof chooseRequestSchema>;
