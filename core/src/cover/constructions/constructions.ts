import * as z from 'zod';
import { boxed, type Boxed } from './boxed';

/** The closed list of constructions. */
export const CONSTRUCTIONS = [boxed] as const;

export const constructionSchema = z.discriminatedUnion('kind', [boxed.schema as typeof boxed.schema & z.ZodObject<{ kind: z.ZodLiteral<'boxed'> }>]);
export type Construction = Boxed;

/** The module of a construction. */
export function constructionOf(construction: Construction): (typeof CONSTRUCTIONS)[number] {
  return CONSTRUCTIONS.find((module) => module.kind === construction.kind) ?? boxed;
}
