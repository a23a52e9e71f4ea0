import { readJobText, sayLine, type Job, type Pair } from '@yardland/core';

/** The job in a file's text, or what is wrong with it, in a sentence. */
export function readJobFile(text: string, step: Pair): { readonly job: Job } | { readonly problem: string } {
  const read = readJobText(text);
  if (read.ok) return { job: read.value };
  const [first] = read.problems;
  return { problem: first ? `${first.path ? `At ${first.path}: ` : ''}${sayLine(first, { units: 'metric', step })}` : '' };
}
