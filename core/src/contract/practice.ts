import * as z from 'zod';

/** How far somebody is with a practice job: what was mended, with its why; where to look for the rest. */
export const practiceStateSchema = z.strictObject({
  found: z.array(z.strictObject({ id: z.string(), was: z.string(), why: z.string() })),
  left: z.array(z.strictObject({ id: z.string(), hint: z.string(), cushion: z.int().min(0), name: z.string() })),
});
