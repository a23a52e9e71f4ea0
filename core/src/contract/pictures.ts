import * as z from 'zod';

/** A picture that the server keeps, as it lies there: upright, resized, without metadata. Read at `/api/pictures/<id>`. */
export const pictureSchema = z.strictObject({ id: z.uuid(), width: z.int().positive(), height: z.int().positive() });
export type Picture = z.infer<typeof pictureSchema>;
