import { readWith, type Issue } from '@yardland/core';
import type * as z from 'zod';
import { inWords, readText } from '../read';
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
      if (file === undefined) return refusal([{ code: 'file-missing', path: '', message: 'Name a file, or - for standard input.' }]);
      const text = readText(file);
      if (!text.ok) return refusal(inWords(text.problems));
      let value: unknown;
      try {
        value = JSON.parse(text.value);
      } catch {
        return refusal([{ code: 'file-not-json', path: '', message: 'The file is not JSON text.' }]);
      }
      const read = readWith(schema, value);
      if (!read.ok) return refusal(inWords(read.problems));
      const problems = check(read.value);
      if (problems.length) return refusal(inWords(problems));
      return { code: 0, out: `${JSON.stringify(await answer(read.value), null, 2)}\n` };
    },
  };
}
