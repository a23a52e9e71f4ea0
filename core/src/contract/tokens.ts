import * as z from 'zod';

/** Tokens of the shop's programs: what each is called, what it may do, when it was used last. */
export const tokenListSchema = z.strictObject({
  tokens: z.array(
    z.strictObject({
      id: z.uuid(),
      name: z.string().max(60),
      may: z.enum(['read', 'write']),
      createdAt: z.iso.datetime(),
      seenAt: z.iso.datetime().nullable(),
    }),
  ),
});
export type TokenList = z.infer<typeof tokenListSchema>;

export const makeTokenSchema = z.strictObject({ name: z.string().trim().min(1).max(60), may: z.enum(['read', 'write']) });
export type MakeToken = z.infer<typeof makeTokenSchema>;

/** A token that was made: its text is told this once. */
export const madeTokenSchema = z.strictObject({ id: z.uuid(), token: z.string().min(20) });
export type MadeToken = z.infer<typeof madeTokenSchema>;
