import * as z from 'zod';
import { logAboutSchema, logEntrySchema, LOG_KINDS } from '../record/log/entry';

/** An entry as it is kept: by hand, or written by what it is about. */
export const storedEntrySchema = z.strictObject({
  id: z.uuid(),
  revision: z.int().positive(),
  day: z.iso.date(),
  kind: z.enum(LOG_KINDS),
  about: logAboutSchema,
  /** The job's name and customer, and whether it is put away; null where it is about no job. */
  of: z.strictObject({ name: z.string(), customer: z.string(), archived: z.boolean() }).nullable(),
  /** The material that came, where it tells of one. */
  material: z.string().nullable(),
  who: z.string(),
  text: z.string(),
  /** Of an entry that writes itself, which of its document's entries it is; it is changed where it stands, in its job or in the shop. Null: written by hand. */
  written: z.string().nullable(),
  complaint: logEntrySchema.shape.complaint,
  outcome: z.string().optional(),
  pictures: z.array(z.uuid()),
});
export type StoredEntry = z.infer<typeof storedEntrySchema>;

/** Entries found are counted up to this; one more stands for any number beyond. */
export const MOST_COUNTED = 1000;

/** A page of the entries asked for, newest first, and how many there are: those that were looked for counted up to `MOST_COUNTED`. `more`: others come after this page. */
export const logListSchema = z.strictObject({ entries: z.array(storedEntrySchema), total: z.int().nonnegative(), more: z.boolean() });
export type LogList = z.infer<typeof logListSchema>;

const mm = z.coerce.number().positive().max(20_000);
const word = z.string().trim().min(1).max(120);
/** What is looked for in the log; everything asked for has to hold. Sizes are found within a tenth. */
export const logQuerySchema = z.strictObject({
  words: z.string().max(120).optional(),
  kind: z.enum(LOG_KINDS).optional(),
  job: z.uuid().optional(),
  customer: word.optional(),
  cloth: word.optional(),
  filling: word.optional(),
  school: word.optional(),
  construction: word.optional(),
  widthMm: mm.optional(),
  depthMm: mm.optional(),
  heightMm: mm.optional(),
  year: z.coerce.number().int().min(1900).max(2999).optional(),
  limit: z.coerce.number().int().min(1).max(500).optional(),
  from: z.coerce.number().int().min(0).max(1e7).optional(),
});
export type LogQuery = z.infer<typeof logQuerySchema>;

/** What there is to choose from when looking. */
export const logFacetsSchema = z.strictObject({ customers: z.array(z.string()).max(5000), years: z.array(z.int()) });
export type LogFacets = z.infer<typeof logFacetsSchema>;

/** `revision`: the one that was seen; 0 for an entry that is new. */
export const writeEntrySchema = z.strictObject({ revision: z.int().min(0), entry: logEntrySchema });
export const dropEntryQuerySchema = z.strictObject({ revision: z.coerce.number().int().min(1) });
/** Jobs with a check, as they are stored: their texts, newest first. */
export const checkedJobsSchema = z.strictObject({ jobs: z.array(z.strictObject({ id: z.uuid(), job: z.unknown() })) });
export type CheckedJobs = z.infer<typeof checkedJobsSchema>;
