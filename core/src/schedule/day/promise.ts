import type { ShopDocument } from '../../shop/shop';
import { dayAfter, dayOf, peopleOf, type Awaited, type Day, type JobToDo, type Moment, type PlannedStep, type WhatIf } from './day';

/** What keeps a step from beginning when it could: somebody, or a machine, is taken until then. */
export interface HeldUp {
  readonly by: string;
  /** The step that it keeps waiting. */
  readonly step: PlannedStep;
  /** How long, hours on the clock. */
  readonly hours: number;
  readonly until: string;
}

/** What can be promised for a job, and why not sooner. */
export interface Promised {
  readonly job: string;
  /** When it would be done, by the plan. */
  readonly end: string;
  /** The day that can be promised: the end with half a day's slack for every week until then. */
  readonly day: string;
  /** Were nothing else in the shop. */
  readonly alone: string;
  readonly awaits: readonly Awaited[];
  readonly heldUp: readonly HeldUp[];
  /** Jobs that would be later by it, and by how many days. */
  readonly pushes: readonly { readonly job: string; readonly name: string; readonly days: number }[];
}

/** Slack for a week of waiting, days. */
const SLACK_A_WEEK = 0.5;
const MS = 86_400_000;
const days = (from: string, to: string): number => (Date.parse(`${to}:00Z`) - Date.parse(`${from}T00:00:00Z`)) / MS;
/** Shorter waits are no reason, hours. */
const WORTH_SAYING_H = 3;

type ShopOfDay = Pick<ShopDocument, 'people' | 'day'>;

/** The first working day of anybody from a day on. */
function workingDay(day: string, shop: ShopOfDay): string {
  const people = peopleOf(shop);
  for (let n = 0; n < 60; n++) {
    const on = dayAfter(day, n);
    const weekday = (new Date(`${on}T00:00:00Z`).getUTCDay() + 6) % 7;
    if (people.some(({ hours, off, otherwise }) => !off.includes(on) && (otherwise.find((one) => one.day === on)?.hours ?? hours[weekday] ?? 0) > 0)) return on;
  }
  return day;
}

/** The longest waits of a job's steps for somebody or something that is taken, longest first. */
export function heldUp({ steps, jobs }: Day, job: string): HeldUp[] {
  const own = steps.filter((one) => one.job === job);
  const endOf = new Map(own.map((one) => [one.step, one.restsUntil ?? one.parts.at(-1)?.end ?? '']));
  const awaited = jobs.find(({ id }) => id === job)?.awaits.map(({ on }) => `${on}T00:00`) ?? [];
  const found = own.flatMap((step): HeldUp[] => {
    const start = step.parts[0]?.start ?? '';
    const ready = [...step.after.map((id) => endOf.get(id) ?? ''), ...awaited].sort().at(-1) ?? '';
    // What was done last before it, by the same person or on the same machine, and not for this job.
    const before = steps
      .filter((one) => one.job !== job && (one.person === step.person || (step.needs !== null && one.needs === step.needs)))
      .map((one) => ({ by: one.person === step.person ? step.person : (step.needs ?? ''), end: one.parts.at(-1)?.end ?? '' }))
      .filter(({ end }) => end <= start && end > ready)
      .sort((a, b) => (a.end < b.end ? 1 : -1))[0];
    if (!before) return [];
    const hours = (Date.parse(`${before.end}:00Z`) - Date.parse(`${ready || before.end}:00Z`)) / 3_600_000;
    return hours >= WORTH_SAYING_H || !ready ? [{ by: before.by, step, hours, until: before.end }] : [];
  });
  // Of one person or machine the last time counts: until then it was taken.
  const last = new Map(found.sort((a, b) => (a.until < b.until ? -1 : 1)).map((one) => [one.by, one]));
  return [...last.values()].sort((a, b) => (a.until < b.until ? 1 : -1));
}

/** What can be promised for a job that is not at work yet, behind all that is; null where the plan cannot be made. */
export function promiseFor(all: readonly JobToDo[], id: string, shop: ShopOfDay, at: Moment, over: WhatIf = {}): Promised | null {
  const job = all.find((one) => one.id === id);
  if (!job) return null;
  const others = all.filter((one) => one.id !== id);
  const before = dayOf(others, shop, at, over);
  // It is due after everything else: what is promised to others is kept where that can be.
  const asked: JobToDo = { ...job, state: job.awaits.foam === undefined && job.state !== 'waiting-for-foam' ? 'cutting' : 'waiting-for-foam', due: null };
  const [day, alone] = [dayOf([...others, asked], shop, at, over), dayOf([asked], shop, at, over)];
  const [planned, single] = [day.jobs.find((one) => one.id === id), alone.jobs.find((one) => one.id === id)];
  if (!planned || !single) return null;
  const length = days(at.day, planned.end);
  const slack = Math.ceil(length + (SLACK_A_WEEK * length) / 7) - 1;
  const pushes = day.jobs.flatMap((one) => {
    const was = before.jobs.find((other) => other.id === one.id);
    const later = was ? one.lateDays - was.lateDays : 0;
    return later > 0.01 ? [{ job: one.id, name: one.name, days: later }] : [];
  });
  return {
    job: id,
    end: planned.end,
    day: workingDay(dayAfter(at.day, Math.max(0, slack)), shop),
    alone: single.end,
    awaits: planned.awaits,
    heldUp: heldUp(day, id).slice(0, 3),
    pushes,
  };
}

/** Something that would bring a late job in, and what it costs others. */
export interface Saver {
  readonly whatIf: WhatIf;
  /** How late it still is, days. */
  readonly lateDays: number;
  readonly end: string;
  readonly pushes: readonly { readonly job: string; readonly name: string; readonly days: number }[];
}

/** Hours of a Saturday that is worked, and an evening that goes on. */
const SATURDAY_H = 6;
const EVENING_H = 2;
const MOST_SAVERS = 12;

/** The next Saturday from a day on, that one not counted. */
function nextSaturday(day: string): string {
  const weekday = (new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7;
  return dayAfter(day, weekday < 5 ? 5 - weekday : 12 - weekday);
}

/** What could be tried for a late job, the least first: an evening of one person, a Saturday of one person, another job that waits. */
function tries(day: Day, job: string): WhatIf[] {
  const late = day.jobs.find(({ id }) => id === job);
  if (!late) return [];
  const evenings = day.people.map(({ name, hours }): WhatIf => {
    const on =
      [0, 1, 2, 3, 4, 5, 6].map((n) => dayAfter(day.from, n)).find((one) => (hours[(new Date(`${one}T00:00:00Z`).getUTCDay() + 6) % 7] ?? 0) > 0) ?? day.from;
    const usual = hours[(new Date(`${on}T00:00:00Z`).getUTCDay() + 6) % 7] ?? 0;
    return { otherwise: [{ person: name, day: on, hours: usual + EVENING_H }] };
  });
  const saturday = nextSaturday(day.from);
  const saturdays =
    saturday < late.end.slice(0, 10) ? day.people.map(({ name }): WhatIf => ({ otherwise: [{ person: name, day: saturday, hours: SATURDAY_H }] })) : [];
  const waits = day.jobs
    .filter(({ id, due, end }) => id !== job && (due === null || `${due}T23:59` > end))
    .sort((a, b) => ((a.due ?? '9') < (b.due ?? '9') ? 1 : -1))
    .map(({ id }): WhatIf => ({ waits: [{ job: id, until: late.end.slice(0, 10) }] }));
  return [...evenings, ...saturdays, ...waits].slice(0, MOST_SAVERS);
}

/** The least that would bring a late job in, and, where nothing does, what helps most. Empty where nothing helps. */
export function saversOf(all: readonly JobToDo[], job: string, shop: ShopOfDay, at: Moment): Saver[] {
  const day = dayOf(all, shop, at);
  const late = day.jobs.find(({ id }) => id === job);
  if (!late || late.lateDays <= 0) return [];
  const found: Saver[] = [];
  for (const whatIf of tries(day, job)) {
    const after = dayOf(all, shop, at, whatIf);
    const now = after.jobs.find(({ id }) => id === job);
    if (!now || now.lateDays >= late.lateDays - 0.01) continue;
    const pushes = after.jobs.flatMap((one) => {
      const was = day.jobs.find((other) => other.id === one.id);
      const later = was && one.id !== job ? one.lateDays - was.lateDays : 0;
      return later > 0.01 ? [{ job: one.id, name: one.name, days: later }] : [];
    });
    found.push({ whatIf, lateDays: now.lateDays, end: now.end, pushes });
    if (now.lateDays <= 0 && pushes.length === 0) break;
  }
  return found.sort((a, b) => a.lateDays - b.lateDays || a.pushes.length - b.pushes.length);
}
