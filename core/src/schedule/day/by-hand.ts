import { USUAL_START, USUAL_WEEK, TRADES, type DayPin, type ShopDay, type Worker } from '../../shop/day';
import { dayAfter, type Day, type PlannedStep, type WhatIf } from './day';

const keyOf = ({ job, step }: Pick<DayPin, 'job' | 'step'>): string => `${job} ${step}`;

/** How a shop works that has not said so yet. */
export const USUAL_DAY: ShopDay = { starts: USUAL_START };

/** The shop's day with a step put by hand: at a person, not before a time, or both; nothing of both takes it off again. */
export function withPin(day: ShopDay, { job, step }: Pick<PlannedStep, 'job' | 'step'>, put: Pick<DayPin, 'person' | 'notBefore'>): ShopDay {
  const { pins = [], ...rest } = day;
  const others = pins.filter((pin) => keyOf(pin) !== keyOf({ job, step }));
  const next = put.person !== undefined || put.notBefore !== undefined ? [...others, { job, step, ...put }] : others;
  return next.length ? { ...rest, pins: next } : rest;
}

/** The same for several steps that go together. */
export function withPins(day: ShopDay, steps: readonly Pick<PlannedStep, 'job' | 'step'>[], put: Pick<DayPin, 'person' | 'notBefore'>): ShopDay {
  return steps.reduce((next, step) => withPin(next, step, put), day);
}

/** Pins of steps that are still to be done; other pins are dropped. */
export function withoutDonePins(day: ShopDay, steps: readonly Pick<PlannedStep, 'job' | 'step'>[]): ShopDay {
  const there = new Set(steps.map(keyOf));
  const { pins = [], ...rest } = day;
  const left = pins.filter((pin) => there.has(keyOf(pin)));
  return left.length === pins.length ? day : left.length ? { ...rest, pins: left } : rest;
}

/** The usual week, for whoever the shop has said nothing of. */
const usualWorker = (): Worker => ({ hours: [...USUAL_WEEK], does: [...TRADES] });

/** The shop's day with other weeks, days off or trades of a person. */
export function withWorker(day: ShopDay, person: string, change: Partial<Worker>): ShopDay {
  return { ...day, workers: { ...day.workers, [person]: { ...(day.workers?.[person] ?? usualWorker()), ...change } } };
}

/** The shop's day with what was tried out kept: hours of a day, and jobs that wait, whose first steps are put to their day. */
export function kept(day: ShopDay, { otherwise = [], waits = [] }: WhatIf, steps: readonly PlannedStep[]): ShopDay {
  let next = day;
  for (const { person, day: on, hours } of otherwise) {
    const before = next.workers?.[person]?.otherwise ?? [];
    next = withWorker(next, person, { otherwise: [...before.filter((one) => one.day !== on), { day: on, hours }] });
  }
  for (const { job, until } of waits) {
    const own = steps.filter((step) => step.job === job);
    const there = new Set(own.map(({ step }) => step));
    for (const step of own) if (!step.after.some((id) => there.has(id))) next = withPin(next, step, { notBefore: `${until}T${next.starts}` });
  }
  return next;
}

/** The next day, forward or back, on which a person works at all; the day itself where there is none within two months. */
export function nextWorkDay({ people }: Pick<Day, 'people'>, person: string, from: string, by: 1 | -1): string {
  const one = people.find(({ name }) => name === person);
  for (let n = 1; one && n <= 60; n++) {
    const on = dayAfter(from, by * n);
    const weekday = (new Date(`${on}T00:00:00Z`).getUTCDay() + 6) % 7;
    if (!one.off.includes(on) && (one.otherwise.find(({ day }) => day === on)?.hours ?? one.hours[weekday] ?? 0) > 0) return on;
  }
  return from;
}

/** A job whose end differs between two plans, and by how many days. */
export interface Moved {
  readonly id: string;
  readonly name: string;
  readonly from: string;
  readonly to: string;
  readonly days: number;
  readonly lateDays: number;
}

/** Jobs that end at another time by the second plan, those that are moved furthest first. */
export function movedBetween(before: Pick<Day, 'jobs'>, after: Pick<Day, 'jobs'>): Moved[] {
  return after.jobs
    .flatMap(({ id, name, end, lateDays }): Moved[] => {
      const was = before.jobs.find((one) => one.id === id)?.end;
      if (was === undefined || was === end) return [];
      return [{ id, name, from: was, to: end, days: (Date.parse(`${end}:00Z`) - Date.parse(`${was}:00Z`)) / 86_400_000, lateDays }];
    })
    .sort((a, b) => Math.abs(b.days) - Math.abs(a.days));
}
