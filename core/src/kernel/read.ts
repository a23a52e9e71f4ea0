import type * as z from 'zod';
import { issue, type Issue } from './issue';

export type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Issue[] };

/** The problems of a Zod refusal as issues with dotted paths. */
export function schemaIssues(error: z.ZodError): Issue[] {
  return error.issues.flatMap((one) => {
    const path = one.path.join('.');
    const keys = one.code === 'unrecognized_keys' ? one.keys : [''];
    return keys.map((key) =>
      issue('error', `document-${one.code.replaceAll('_', '-')}`, [path, key].filter(Boolean).join('.'), {
        detail: key ? `“${key}” is not a field of this document` : one.message,
      }),
    );
  });
}

/** Checks an unknown value against a schema; never throws. */
export function readWith<T>(schema: z.ZodType<T>, value: unknown): Read<T> {
  const parsed = schema.safeParse(value);
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, problems: schemaIssues(parsed.error) };
}
