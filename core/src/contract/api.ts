import * as z from 'zod';
import type { ClosedLines } from '../form/form';
import { JOB_STATES, jobSchema } from '../job/document';
import { upgraded } from '../job/upgrades/upgrades';
import { storedSampleSchema } from './samples';
import { storedShopSchema } from './shop';

/** What a list of jobs shows of each. */
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

/** A job with the revision that a later write must name. */
export const storedJobSchema = z.strictObject({
  id: z.uuid(),
  revision: z.int().positive(),
  archived: z.boolean(),
  /** What undo would take back and redo bring again; null when there is nothing. */
  undo: z.string().nullable(),
  redo: z.string().nullable(),
  job: jobSchema,
});
export type StoredJob = z.infer<typeof storedJobSchema>;

const stepSchema = z.strictObject({ label: z.string(), job: jobSchema });
/**
 * Changes of a job on both sides of where it stands, the nearest first: what each is called, and the job as taking it back (`past`) or bringing it again (`future`) makes it.
 */
export const jobStepsSchema = z.strictObject({ revision: z.int().positive(), past: z.array(stepSchema), future: z.array(stepSchema) });
export type JobSteps = z.infer<typeof jobStepsSchema>;

const revision = z.int().positive();
/** What changed, in a few words, for the undo button. */
const label = z.string().trim().min(1).max(120);

/** A job as it comes in: of any format there has been. */
const incomingJob = z.preprocess(upgraded, jobSchema);

export const createJobSchema = z.strictObject({ job: incomingJob });
export const writeJobSchema = z.strictObject({ revision, label, job: incomingJob });
export const revisionSchema = z.strictObject({ revision });
export const archiveJobSchema = z.strictObject({ revision, archived: z.boolean() });

/** Every refusal of the server. `current`, `currentShop` or `currentSample` comes with a stale write. */
export const problemSchema = z.strictObject({
  code: z.string(),
  path: z.string(),
  message: z.string(),
  problems: z.array(z.strictObject({ code: z.string(), path: z.string(), message: z.string() })).optional(),
  current: storedJobSchema.optional(),
  currentShop: storedShopSchema.optional(),
  currentSample: storedSampleSchema.optional(),
});
export type Problem = z.infer<typeof problemSchema>;

/** How the server is, and how much of its room the database takes. */
export const healthSchema = z.object({
  ok: z.literal(true),
  space: z.strictObject({ bytes: z.number(), limitBytes: z.number(), nearlyFull: z.boolean(), full: z.boolean() }),
});
export type Health = z.infer<typeof healthSchema>;

/** A backup that was made: its file's name, and how large it is. */
export const backedUpSchema = z.strictObject({ name: z.string().max(80), bytes: z.number().int().nonnegative() });
export type BackedUp = z.infer<typeof backedUpSchema>;

/** Who is signed in; `asked`: whether this shop asks for a pass-phrase at all. */
export const sessionListSchema = z.strictObject({
  asked: z.boolean(),
  sessions: z.array(z.strictObject({ id: z.uuid(), agent: z.string().max(200), createdAt: z.iso.datetime(), seenAt: z.iso.datetime(), here: z.boolean() })),
});
export type SessionList = z.infer<typeof sessionListSchema>;
