import type { Issue } from '../../kernel/issue';
import type { Job } from '../../job/document';
import { TRADES, USUAL_START, USUAL_WEEK, type DayPin, type Trade, type Worker } from '../../shop/day';
import type { ShopDocument } from '../../shop/shop';
import { schedule, type Schedule } from '../answer';
import { canDo, checkSchedule, minutesOf, type ScheduleRequest } from '../request';
import type { DayStep } from './steps';

/** A job as the plan of the day takes it: what is left to do, and what it waits for. */
export interface JobToDo {
  readonly id: string;
  readonly name: string;
  readonly customer: string;
  readonly state: NonNullable<Job['state']>;
  readonly due: string | null;
  readonly awaits: NonNullable<Job['awaits']>;
  readonly steps: readonly DayStep[];
}

/** A step on the plan that stands: whose it is, and when it was to begin. */
export type StandingStep = NonNullable<ScheduleRequest['standing']>[number];

/** When it is: the day, YYYY-MM-DD, and the time on it, HH:MM; and the plan that stands then. */
export interface Moment {
  readonly day: string;
  readonly time: string;
  readonly standing?: readonly StandingStep[];
}

/** Something tried out: somebody works other hours on a day, or a job is left until a day. */
export interface WhatIf {
  readonly otherwise?: readonly { readonly person: string; readonly day: string; readonly hours: number }[];
  readonly waits?: readonly { readonly job: string; readonly until: string }[];
}

/** What a job waits for, and the day it is expected; `assumed` where nobody has said. */
export interface Awaited {
  readonly what: 'foam' | 'cloth';
  readonly on: string;
  readonly assumed: boolean;
}

/** A step in its place on the plan of the day. Times are local: `2026-12-04T11:20`. */
export interface PlannedStep extends Pick<DayStep, 'does' | 'needs' | 'minutes' | 'work' | 'of' | 'operations' | 'inHand'> {
  readonly job: string;
  readonly step: string;
  readonly person: string;
  readonly parts: readonly { readonly start: string; readonly end: string }[];
  /** What comes after it may begin then: glue has set; null where nothing waits. */
  readonly restsUntil: string | null;
  /** It was put there by hand. */
  readonly pinned: boolean;
  /** Cloth and foot, where it is sewn or cut with one. */
  readonly setup: Readonly<Record<string, string>> | null;
  readonly after: readonly string[];
}

export interface PlannedJob {
  readonly id: string;
  readonly name: string;
  readonly customer: string;
  readonly due: string | null;
  readonly end: string;
  /** Days of 24 hours beyond its due day. */
  readonly lateDays: number;
  /** No plan can end it before this. */
  readonly bound: string;
  readonly awaits: readonly Awaited[];
}

export interface DayPerson {
  readonly name: string;
  readonly does: readonly Trade[];
  /** Hours from Monday. */
  readonly hours: readonly number[];
  readonly off: readonly string[];
  readonly otherwise: readonly { readonly day: string; readonly hours: number }[];
}

/** Who does what when, from a moment on. */
export interface Day {
  readonly from: string;
  readonly now: string;
  readonly starts: string;
  readonly people: readonly DayPerson[];
  readonly steps: readonly PlannedStep[];
  readonly jobs: readonly PlannedJob[];
  /** Changes of cloth, thread or foot. */
  readonly setups: number;
  readonly lateness: number;
  /** Why there is no plan: nobody sews, say. */
  readonly problems: readonly Issue[];
}

/** States of jobs that are at work: taken, and not ready yet. */
const AT_WORK: ReadonlySet<JobToDo['state']> = new Set(['waiting-for-foam', 'cutting', 'sewing']);
/** Foam of which nobody has said when it comes is taken to come in so many days. */
const UNSAID_DAYS = 7;
/** A job without a day is due in so many, and never called late. */
const UNDATED_DAYS = 365;
/** Who works in a shop that has named nobody. */
export const ONE_PERSON = 'the shop';
/** How long the plan is improved, at the pace of an ordinary machine. */
const SECONDS = 0.5;

const DAY_MS = 86_400_000;
/** A day so many days later, YYYY-MM-DD. */
export const dayAfter = (day: string, days: number): string => new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
const minutesLater = (time: string, minutes: number): string => new Date(Date.parse(`${time}:00Z`) + minutes * 60_000).toISOString().slice(0, 16);

/** Whether a job is at work: one that is new was not taken yet, and one that is ready needs nobody any more. */
export const isAtWork = (state: JobToDo['state']): boolean => AT_WORK.has(state);

/** The people of a shop with their weeks. */
export function peopleOf({ people = [], day }: Pick<ShopDocument, 'people' | 'day'>): DayPerson[] {
  const usual: Worker = { hours: [...USUAL_WEEK], does: [...TRADES] };
  return (people.length ? people : [ONE_PERSON]).map((name) => {
    const { hours, does, off = [], otherwise = [] } = day?.workers?.[name] ?? usual;
    return { name, hours, does, off, otherwise };
  });
}

function awaitedOf({ awaits, state }: JobToDo, from: string): Awaited[] {
  const said = (['foam', 'cloth'] as const).flatMap((what): Awaited[] => {
    const on = awaits[what];
    return on !== undefined && on > from ? [{ what, on, assumed: false }] : [];
  });
  if (state !== 'waiting-for-foam' || awaits.foam !== undefined) return said;
  return [{ what: 'foam', on: dayAfter(from, UNSAID_DAYS), assumed: true }, ...said];
}

/** What is put by hand, of steps that are still there. */
const pinsOf = (shop: Pick<ShopDocument, 'day'>): ReadonlyMap<string, DayPin> => new Map((shop.day?.pins ?? []).map((pin) => [`${pin.job} ${pin.step}`, pin]));

/** The question to the engine. `over` is tried out on top of what the shop has. */
export function dayRequest(
  jobs: readonly JobToDo[],
  shop: Pick<ShopDocument, 'people' | 'day'>,
  { day: from, time: now, standing = [] }: Moment,
  over: WhatIf = {},
): ScheduleRequest {
  const people = peopleOf(shop);
  const names = new Set(people.map(({ name }) => name));
  const starts = shop.day?.starts ?? USUAL_START;
  const asked = people.map(({ name, hours, does, off, otherwise }) => ({
    name,
    hours: [...hours],
    does: [...does],
    off: [...off],
    otherwise: [...otherwise, ...(over.otherwise ?? []).filter(({ person }) => person === name).map(({ day, hours: long }) => ({ day, hours: long }))],
  }));
  const pins = pinsOf(shop);
  const standsAt = new Map(standing.map((one) => [`${one.job} ${one.step}`, one.person]));
  const stepOf = (
    job: JobToDo,
    { id, does, needs, minutes, waitMinutes, after, splits, setup, material, inHand, begunBy }: DayStep,
  ): ScheduleRequest['jobs'][number]['steps'][number] => {
    const pin = pins.get(`${job.id} ${id}`);
    const awaited = awaitedOf(job, from).find(({ what }) => what === material);
    const until = over.waits?.find((one) => one.job === job.id)?.until;
    const ready = [awaited?.on, until]
      .filter((one) => one !== undefined)
      .sort()
      .at(-1);
    // Somebody who has left, or does such work no more, does not hold a step for ever.
    const began = begunBy ?? (inHand ? standsAt.get(`${job.id} ${id}`) : undefined);
    const begun = asked.find((one) => one.name === began && canDo(one, { does, minutes, splits, person: null }, minutesOf(starts)))?.name;
    const person = pin?.person !== undefined && names.has(pin.person) ? pin.person : begun;
    const notBefore = pin?.notBefore ?? (inHand ? `${from}T${now}` : undefined);
    return {
      id,
      does,
      needs,
      minutes,
      waitMinutes,
      after: [...after],
      splits,
      setup: setup && JSON.stringify(Object.entries(setup).sort()),
      ...(ready === undefined ? {} : { ready }),
      ...(person === undefined ? {} : { person }),
      ...(notBefore === undefined ? {} : { notBefore }),
    };
  };
  return {
    format: 'yardland/schedule@1',
    from,
    now,
    dayStarts: starts,
    people: asked,
    machines: { table: shop.day?.tables ?? 1, machine: shop.day?.machines ?? Math.max(1, people.filter(({ does }) => does.includes('sew')).length) },
    jobs: jobs
      .filter(({ steps }) => steps.length > 0)
      .map((job) => ({
        id: job.id,
        due: job.due ?? dayAfter(from, UNDATED_DAYS),
        weight: job.due === null ? 0 : 1,
        steps: job.steps.map((step) => stepOf(job, step)),
      })),
    seconds: SECONDS,
    seed: 1,
    ...(standing.length ? { standing: [...standing] } : {}),
  };
}

function plannedSteps(jobs: readonly JobToDo[], shop: Pick<ShopDocument, 'day'>, planned: Schedule): PlannedStep[] {
  const steps = new Map(jobs.flatMap(({ id, steps: all }) => all.map((step) => [`${id} ${step.id}`, step] as const)));
  const pins = pinsOf(shop);
  return planned.steps.flatMap(({ job, step: id, person, parts }): PlannedStep[] => {
    const step = steps.get(`${job} ${id}`);
    const end = parts.at(-1)?.end;
    if (!step || end === undefined) return [];
    const { does, needs, minutes, work, of, operations, inHand, waitMinutes, setup, after } = step;
    const restsUntil = waitMinutes > 0 ? minutesLater(end, waitMinutes) : null;
    return [{ job, step: id, person, parts, does, needs, minutes, work, of, operations, inHand, restsUntil, pinned: pins.has(`${job} ${id}`), setup, after }];
  });
}

/** The plan as the next one goes on from it. */
export const standingOf = ({ steps }: Pick<Day, 'steps'>): StandingStep[] =>
  steps.map(({ job, step, person, parts }) => ({ job, step, person, start: parts[0]?.start ?? '' }));

/** The plan of the day: all that is left on jobs at work, by the people of the shop. */
export function dayOf(all: readonly JobToDo[], shop: Pick<ShopDocument, 'people' | 'day'>, at: Moment, over: WhatIf = {}): Day {
  const jobs = all.filter(({ state }) => isAtWork(state));
  const request = dayRequest(jobs, shop, at, over);
  const base = { from: at.day, now: at.time, starts: request.dayStarts, people: peopleOf(shop) };
  const problems = checkSchedule(request);
  if (problems.length) return { ...base, steps: [], jobs: [], setups: 0, lateness: 0, problems };
  const planned = schedule(request);
  return {
    ...base,
    steps: plannedSteps(jobs, shop, planned),
    jobs: jobs.flatMap((job): PlannedJob[] => {
      const { id, name, customer, due } = job;
      const [end, bound] = [planned.ends[id], planned.bound[id]];
      if (end === undefined || bound === undefined) return [];
      return [{ id, name, customer, due, end, lateDays: due === null ? 0 : (planned.late[id] ?? 0), bound, awaits: awaitedOf(job, at.day) }];
    }),
    setups: planned.setups,
    lateness: planned.lateness,
    problems: [],
  };
}
