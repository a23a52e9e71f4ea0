import * as z from 'zod';
import { issue, type Issue } from '../kernel/issue';

const name = z.string().trim().min(1).max(80);
const id = z.string().min(1).max(120);
const day = z.iso.date();
const minutes = z.number().min(0).max(100_000);
const clock = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/);

const stepSchema = z.strictObject({
  id,
  /** What a person has to be able to do for it: cut, sew, fill, staple. */
  does: name,
  /** A machine or place that it holds from its start to its end, nights of a split step among them. */
  needs: name.nullish(),
  minutes: minutes.positive(),
  /** Time afterwards, on the clock, before what comes after it may begin; hands are free. */
  waitMinutes: minutes.default(0),
  after: z.array(id).max(200).default([]),
  /** May be left at closing time and taken up by the same person. */
  splits: z.boolean().default(false),
  /** Cloth, thread and foot it is done with: as one word, or each by its name. */
  setup: z.union([name, z.record(name, name).transform((parts) => JSON.stringify(Object.entries(parts).sort()))]).nullish(),
  /** Not before this day: its material is there then. */
  ready: day.nullish(),
  /** Put by hand: at this person, and not before this time. Put by hand it comes before whatever is not. */
  person: name.nullish(),
  notBefore: z.iso.datetime({ local: true, precision: -1 }).nullish(),
});

const jobSchema = z.strictObject({
  id,
  due: day,
  weight: z.number().min(0).max(1000).default(1),
  ready: day.nullish(),
  steps: z.array(stepSchema).min(1).max(400),
});

const personSchema = z.strictObject({
  name,
  /** Hours a day from Monday, from when the day starts, without a break. */
  hours: z.array(z.number().min(0).max(24)).length(7),
  does: z.array(name).min(1).max(20),
  off: z.array(day).max(400).default([]),
  /** Days with other hours than their weekday's: a Saturday that is worked, a late evening. */
  otherwise: z
    .array(z.strictObject({ day, hours: z.number().min(0).max(24) }))
    .max(400)
    .default([]),
});

/** What is to be done by whom and when: a question for the plan of the day. Times are local, in minutes from the first day's midnight. */
export const scheduleRequestSchema = z.strictObject({
  format: z.literal('yardland/schedule@1'),
  from: day,
  dayStarts: clock,
  /** On the first day it is so late already. */
  now: clock.nullish(),
  people: z.array(personSchema).min(1).max(40),
  machines: z.record(name, z.int().min(0).max(100)).default({}),
  jobs: z.array(jobSchema).max(200),
  /** The plan that stands: who does which step, and when it was to begin. A step moves only where that makes the plan better. Steps in it that are not part of the request are ignored. */
  standing: z
    .array(z.strictObject({ job: id, step: id, person: name, start: z.iso.datetime({ local: true, precision: -1 }) }))
    .max(80_000)
    .nullish(),
  /** How long it may be improved, at the pace of an ordinary machine; counted in orders tried, so that the answer is the same everywhere. */
  seconds: z.number().min(0).max(600).default(1),
  seed: z
    .int()
    .min(0)
    .max(2 ** 31)
    .default(1),
});
export type ScheduleRequest = z.infer<typeof scheduleRequestSchema>;
export type ScheduleStep = ScheduleRequest['jobs'][number]['steps'][number];

const twice = (names: readonly string[]): string | undefined => names.find((one, i) => names.indexOf(one) !== i);

/** Steps of a job that come after each other in a circle; the first of them, or undefined. */
function circleIn(steps: readonly ScheduleStep[]): string | undefined {
  const byId = new Map(steps.map((step) => [step.id, step]));
  const state = new Map<string, 'open' | 'done'>();
  const visit = (step: ScheduleStep): boolean => {
    if (state.get(step.id) === 'done') return false;
    if (state.get(step.id) === 'open') return true;
    state.set(step.id, 'open');
    const found = step.after.some((before) => {
      const other = byId.get(before);
      return other !== undefined && visit(other);
    });
    state.set(step.id, 'done');
    return found;
  };
  return steps.find((step) => visit(step))?.id;
}

/** Whether somebody does such a step, and has a day that is long enough for it where it may not be left. `opens`: when the day starts, minutes from midnight. */
export function canDo(
  { name: own, does, hours }: ScheduleRequest['people'][number],
  step: Pick<ScheduleStep, 'does' | 'minutes' | 'splits' | 'person'>,
  opens: number,
): boolean {
  if (step.person && step.person !== own) return false;
  const longest = Math.min(24 * 60 - opens, Math.round(Math.max(...hours) * 60));
  return does.includes(step.does) && longest > 0 && (step.splits || longest >= Math.ceil(step.minutes));
}

/** What makes a question one that no plan can answer: names twice, steps after what is not there, circles, nobody who does it, no machine, longer than any day. */
export function checkSchedule({ people, machines, jobs, dayStarts }: ScheduleRequest): Issue[] {
  const problems: Issue[] = [];
  const says = (
    code:
      | 'schedule-name-twice'
      | 'schedule-after-unknown'
      | 'schedule-circle'
      | 'schedule-nobody'
      | 'schedule-no-machine'
      | 'schedule-too-long'
      | 'schedule-no-person',
    path: string,
    what: string,
  ): void => {
    problems.push(issue('error', code, path, { what }));
  };
  const person = twice(people.map((one) => one.name));
  if (person !== undefined) says('schedule-name-twice', 'people', person);
  const job = twice(jobs.map((one) => one.id));
  if (job !== undefined) says('schedule-name-twice', 'jobs', job);
  const opens = minutesOf(dayStarts);
  jobs.forEach(({ steps }, j) => {
    const same = twice(steps.map((step) => step.id));
    if (same !== undefined) says('schedule-name-twice', `jobs.${j}.steps`, same);
    const known = new Set(steps.map((step) => step.id));
    const circle = circleIn(steps);
    if (circle !== undefined) says('schedule-circle', `jobs.${j}.steps`, circle);
    steps.forEach((step, s) => {
      const path = `jobs.${j}.steps.${s}`;
      const unknown = step.after.find((before) => !known.has(before));
      if (unknown !== undefined) says('schedule-after-unknown', `${path}.after`, unknown);
      if (step.person && !people.some((one) => one.name === step.person)) says('schedule-no-person', `${path}.person`, step.person);
      else if (!people.some(({ does, hours }) => does.includes(step.does) && hours.some((one) => one > 0))) says('schedule-nobody', `${path}.does`, step.does);
      else if (!people.some((one) => canDo(one, step, opens))) says('schedule-too-long', `${path}.minutes`, step.id);
      if (step.needs && !(machines[step.needs] ?? 0)) says('schedule-no-machine', `${path}.needs`, step.needs);
    });
  });
  return problems;
}

/** `08:30` as minutes from midnight. */
export function minutesOf(clock: string): number {
  const [hours = 0, minutesPast = 0] = clock.split(':').map(Number);
  return hours * 60 + minutesPast;
}
