import * as z from 'zod';
import { WORKS } from '../shop/minutes';

/** What the clock at the bench says of the shop's rates, over the jobs that were worked at last: how many of them were clocked, and each sort of work. */
export const learntTimesSchema = z.strictObject({
  jobs: z.int().min(0),
  works: z.array(
    z.strictObject({
      work: z.enum(WORKS),
      clocked: z.int().min(0),
      leftOut: z.int().min(0),
      clockedMinutes: z.number(),
      reckonedMinutes: z.number(),
      factor: z.number().nullable(),
    }),
  ),
});
export type LearntTimes = z.infer<typeof learntTimesSchema>;
