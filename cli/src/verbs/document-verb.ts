import { readWith, type Issue } from '@yardland/core';
import type * as z from 'zod';
import { inWords, readJson } from '../read';
import { refusal, type Outcome, type Verb } from '../verb';

/** A verb that reads one JSON document, checks it, and answers with JSON, at once or after working on it. */
export function documentVerb<T>(
  verb: Pick<Verb, 'name' | 'does'>,
  schema: z.ZodType<T>,
  check: (request: T) => readonly Issue[],
  answer: (request: T) => unknown,
): Verb {
  return {
    ...verb,
    usage: `${verb.name} FILE.json`,
    options: [],
    async run([file]): Promise<Outcome> {
      const value = readJson(file);
      if (!value.ok) return refusal(inWords(value.problems));
      const read = readWith(schema, value.value);
      if (!read.ok) return refusal(inWords(read.problems));
      const problems = check(read.value);
      if (problems.length) return refusal(inWords(problems));
      return { code: 0, out: `${JSON.stringify(await answer(read.value), null, 2)}\n` };
    },
  };
}
