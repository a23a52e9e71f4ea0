import { openShop, planSolved, readStoredJob, type Shop, type ShopDocument, type ShownDay } from '@yardland/core';
import { dayOf, isAtWork, promiseFor, saversOf, stepsOf, type JobToDo, type Moment, type Promised, type Saver, type WhatIf } from '@yardland/core/schedule';
import { dayPdf, type DayPaperAsk } from '@yardland/paper';

/** Jobs as they are stored, the shop, and when it is. */
export interface DayTask {
  readonly jobs: readonly { readonly id: string; readonly revision: number; readonly document: string }[];
  readonly shop: ShopDocument;
  readonly at: Moment;
  readonly whatIf?: WhatIf;
}

interface Known {
  readonly shop: string;
  readonly revision: number;
  readonly job: JobToDo;
}

/** Cache of what is left to do, by job; the oldest entries are dropped. */
const known = new Map<string, Known>();
const MOST_KNOWN = 400;

/** What of the shop a job's steps depend on: all but the plan of the day and what was learnt. */
function basis({ day: _day, learnt: _learnt, people: _people, ...rest }: ShopDocument): string {
  return JSON.stringify(rest);
}

/** What is left to do on a stored job; of one that cannot be read there is nothing. Only crowns are worked out for it: what is laid takes no part in the time. */
function toDo({ id, revision, document }: DayTask['jobs'][number], shop: Shop, of: string): JobToDo[] {
  const before = known.get(id);
  if (before?.revision === revision && before.shop === of) return [before.job];
  const read = readStoredJob(document);
  if (!read.ok) return [];
  const { name, customer = '', state = 'new', dueDate = null, awaits = {} } = read.value;
  const plan = planSolved(read.value, shop, ({ request }) => request.format !== 'yardland/lay-request@2');
  const job: JobToDo = { id, name, customer, state, due: dueDate, awaits, steps: stepsOf(plan) };
  known.delete(id);
  known.set(id, { shop: of, revision, job });
  if (known.size > MOST_KNOWN) known.delete(known.keys().next().value ?? '');
  return [job];
}

function allToDo({ jobs, shop }: DayTask): JobToDo[] {
  const [open, of] = [openShop(shop), basis(shop)];
  return jobs.flatMap((job) => toDo(job, open, of));
}

/** The plan of the day, and what jobs are not at work yet. */
export function dayPlan(task: DayTask): Omit<ShownDay, 'calendar'> {
  const jobs = allToDo(task);
  return {
    day: dayOf(jobs, task.shop, task.at, task.whatIf),
    open: jobs
      .filter(({ state }) => !isAtWork(state))
      .map(({ id, name, customer, steps }) => ({ id, name, customer, minutes: steps.reduce((sum, { minutes }) => sum + minutes, 0) })),
  };
}

export function dayPromise(task: DayTask & { readonly job: string }): Promised | null {
  return promiseFor(allToDo(task), task.job, task.shop, task.at, task.whatIf);
}

export function daySavers(task: DayTask & { readonly job: string }): readonly Saver[] {
  return saversOf(allToDo(task), task.job, task.shop, task.at);
}

/** The plan of the day for the wall. */
export async function dayPaper({ ask, ...task }: DayTask & { readonly ask: DayPaperAsk }): Promise<Uint8Array> {
  return dayPdf(dayOf(allToDo(task), task.shop, task.at), ask);
}
