import * as z from 'zod';

/** A refusal of the server, without the document that comes with a stale write. */
export const refusalSchema = z.object({
  code: z.string(),
  path: z.string(),
  message: z.string(),
  problems: z.array(z.strictObject({ code: z.string(), path: z.string(), message: z.string() })).optional(),
});

/** How the server is, and how much of its room the database takes. */
export const healthSchema = z.object({
  ok: z.literal(true),
  version: z.string(),
  /** The form that the database has. */
  migrations: z.int(),
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
