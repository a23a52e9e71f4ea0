import * as z from 'zod';

/** What an entry of the log tells. */
export const LOG_KINDS = ['made', 'measured', 'changed', 'bought', 'remark', 'complaint'] as const;
export type LogKind = (typeof LOG_KINDS)[number];

/** What a complaint is about: each has causes of its own that are looked for. */
export const COMPLAINTS = ['too-soft', 'too-hard', 'wrinkles', 'lost-height', 'does-not-fit', 'seam-or-zip', 'pattern', 'smell-or-damp', 'other'] as const;
export type ComplaintSort = (typeof COMPLAINTS)[number];

const day = z.iso.date();
const jobId = z.uuid();

/** What an entry is about. A cushion is named, and its place in the job is kept with the name: two of one job may be called the same. */
export const logAboutSchema = z.discriminatedUnion('on', [
  z.strictObject({ on: z.literal('shop') }),
  z.strictObject({ on: z.literal('job'), job: jobId }),
  z.strictObject({ on: z.literal('cushion'), job: jobId, index: z.int().min(0).max(99), name: z.string().trim().min(1).max(120) }),
  /** A material of the shop, by its id. */
  z.strictObject({ on: z.literal('material'), material: z.string().min(1).max(60) }),
  z.strictObject({ on: z.literal('supplier'), supplier: z.string().trim().min(1).max(80) }),
]);
export type LogAbout = z.infer<typeof logAboutSchema>;

/** An entry by hand. */
export const logEntrySchema = z
  .strictObject({
    day,
    kind: z.enum(LOG_KINDS),
    about: logAboutSchema,
    /** Who wrote it: one of the shop's people, or nobody said. */
    who: z.string().trim().max(40).optional(),
    text: z.string().trim().max(2000),
    /** What a complaint is about. */
    complaint: z.enum(COMPLAINTS).optional(),
    /** What was found to be the cause, and what was done. */
    outcome: z.string().trim().max(2000).optional(),
    /** Pictures kept by the server, by id. */
    pictures: z.array(z.uuid()).max(6).optional(),
  })
  .refine(({ text, pictures }) => text !== '' || !!pictures?.length, { error: 'an entry has words or a picture', path: ['text'] })
  .refine(({ kind, complaint }) => complaint === undefined || kind === 'complaint', { error: 'only a complaint says what it is about', path: ['complaint'] });
export type LogEntry = z.infer<typeof logEntrySchema>;
