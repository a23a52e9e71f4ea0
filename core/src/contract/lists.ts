import * as z from 'zod';
import type { ClosedLines } from '../form/form';
import { JOB_STATES } from '../job/terms';

const edgeLineSchema = z.enum(['soft', 'seam', 'welt', 'ridge', 'roll']);
/** The lines that a construction leaves on a closed cushion. */
export const closedLinesSchema = z.strictObject({
  top: edgeLineSchema,
  bottom: edgeLineSchema,
  corners: z.boolean(),
  softFront: z.boolean(),
  zip: z.literal('band').exactOptional(),
  solid: z.enum(['faces', 'roll']).exactOptional(),
  channels: z.int().positive().exactOptional(),
}) satisfies z.ZodType<ClosedLines>;

/** What a list of jobs shows of each. */
export const jobSummarySchema = z.strictObject({
  id: z.uuid(),
  revision: z.int().positive(),
  name: z.string(),
  customer: z.string(),
  state: z.enum(JOB_STATES),
  dueDate: z.iso.date().nullable(),
  archived: z.boolean(),
  cushions: z.int(),
  pieces: z.int(),
  /** Each cushion from above, mm, front at y = 0, with its height and the lines of its cover, for the small pictures; at most eight. Without points it is drawn as its box, without lines flat. */
  outlines: z.array(
    z.strictObject({
      widthMm: z.number(),
      depthMm: z.number(),
      heightMm: z.number(),
      quantity: z.int(),
      outline: z.array(z.tuple([z.number(), z.number()])).nullable(),
      lines: closedLinesSchema.nullable(),
    }),
  ),
  updatedAt: z.iso.datetime(),
});
export type JobSummary = z.infer<typeof jobSummarySchema>;

/** A page of the jobs asked for, and how many there are altogether. */
export const jobListSchema = z.strictObject({ jobs: z.array(jobSummarySchema), total: z.int().nonnegative() });
export type JobList = z.infer<typeof jobListSchema>;

export const jobQuerySchema = z.strictObject({
  search: z.string().max(120).optional(),
  state: z.enum([...JOB_STATES, 'late']).optional(),
  archived: z.enum(['yes', 'no']).optional(),
  limit: z.coerce.number().int().min(1).max(500).optional(),
  /** How many of the jobs asked for come before the first that is answered. */
  from: z.coerce.number().int().min(0).max(1e7).optional(),
});

/** Remnants that jobs still to be delivered have set aside, each with the job. */
export const heldRemnantsSchema = z.strictObject({ held: z.array(z.strictObject({ remnant: z.string(), job: z.uuid(), name: z.string() })) });
export type HeldRemnants = z.infer<typeof heldRemnantsSchema>;
