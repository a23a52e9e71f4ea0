import * as z from 'zod';
import { readJob, type Job } from '../../job/document';
import { under, type Issue } from '../../kernel/issue';
import type { Read } from '../../kernel/read';
import { calibratedShopSchema } from '../../cover/own-constants';

/** So many jobs at most in one question. */
const MOST_JOBS = 2000;

/** A question for what checks say: jobs with their checks, of any format that a job ever had, and the shop they were made in. */
export const learnRequestSchema = z.strictObject({
  format: z.literal('yardland/learn@1'),
  jobs: z.array(z.unknown()).max(MOST_JOBS),
  shop: calibratedShopSchema.optional(),
});
export type LearnRequest = z.infer<typeof learnRequestSchema>;

/** The jobs of a question, each upgraded to the present format. Paths of problems start at `jobs`. */
export function jobsOf({ jobs }: LearnRequest): Read<Job[]> {
  const read = jobs.map((job) => readJob(job));
  const problems = read.flatMap((one, i): Issue[] => (one.ok ? [] : under(`jobs.${i}`, one.problems)));
  return problems.length ? { ok: false, problems } : { ok: true, value: read.flatMap((one) => (one.ok ? [one.value] : [])) };
}
