import { openShop, readJob, readWith, calibratedShopSchema, under, type Issue, type Job } from '@yardland/core';
import { planForChecks } from '@yardland/core/book';
import { dayOf, stepsOf, type JobToDo } from '@yardland/core/schedule';
import * as z from 'zod';
import { inWords, readJson, readShop } from '../read';
import { refusal, type Verb } from '../verb';

const requestSchema = z.strictObject({
  format: z.literal('yardland/day@1'),
  from: z.iso.date(),
  now: z
    .string()
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/)
    .default('00:00'),
  jobs: z.array(z.strictObject({ id: z.uuid(), job: z.unknown() })).max(200),
  shop: calibratedShopSchema.optional(),
});

/** The plan of the day for jobs, by the people and hours of their shop. */
export const dayVerb: Verb = {
  name: 'day',
  usage: 'day FILE.json',
  does: 'plans what is left to do on jobs: who does what when, by the people and hours of the shop',
  options: [],
  run([file]) {
    const value = readJson(file);
    if (!value.ok) return refusal(inWords(value.problems));
    const request = readWith(requestSchema, value.value);
    if (!request.ok) return refusal(inWords(request.problems));
    const { from: day, now: time, jobs, shop: own } = request.value;
    const shop = own ? { ok: true as const, value: openShop(own) } : readShop(undefined);
    if (!shop.ok) return refusal(inWords(shop.problems));
    const read = jobs.map(({ id, job }) => ({ id, read: readJob(job) }));
    const problems = read.flatMap(({ read: one }, i): Issue[] => (one.ok ? [] : under(`jobs.${i}.job`, one.problems)));
    if (problems.length) return refusal(inWords(problems));
    const toDo = (id: string, job: Job): JobToDo => {
      const { name, customer = '', state = 'new', dueDate: due = null, awaits = {} } = job;
      return { id, name, customer, state, due, awaits, steps: stepsOf(planForChecks(job, shop.value)) };
    };
    const all = read.flatMap(({ id, read: one }) => (one.ok ? [toDo(id, one.value)] : []));
    const planned = dayOf(all, shop.value.document, { day, time });
    return planned.problems.length ? refusal(inWords(planned.problems)) : { code: 0, out: `${JSON.stringify(planned, null, 2)}\n` };
  },
};
