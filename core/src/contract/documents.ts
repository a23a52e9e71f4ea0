import * as z from 'zod';
import { jobSchema } from '../job/document';
import { upgraded } from '../job/upgrades/upgrades';
import { refusalSchema } from './answers';
import { storedSampleSchema } from './samples';
import { storedShopSchema } from './shop';

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

/** Every refusal of the server. `current`, `currentShop`, `currentSample` or `currentEntry` comes with a stale write. */
export const problemSchema = z.strictObject({
  ...refusalSchema.shape,
  current: storedJobSchema.optional(),
  currentShop: storedShopSchema.optional(),
  currentSample: storedSampleSchema.optional(),
  /** As the log keeps it: read by whoever writes in the log. */
  currentEntry: z.unknown().optional(),
});
export type Problem = z.infer<typeof problemSchema>;
