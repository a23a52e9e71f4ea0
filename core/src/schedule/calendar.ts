import { minutesOf, type ScheduleRequest } from './request';

const DAY = 24 * 60;
const DAY_MS = 86_400_000;
/** So far ahead work is looked for, days: somebody who never works again would be looked for without end. */
const HORIZON_DAYS = 3660;

/** Days from the first one, as the calendar counts them, without clocks that are put forward or back. */
export const daysFrom = (from: string, day: string): number => Math.round((Date.parse(`${day}T00:00:00Z`) - Date.parse(`${from}T00:00:00Z`)) / DAY_MS);

/** A time of the day, `2026-12-04T11:20`, as minutes from the first day's midnight; a time before it is the midnight. */
export const minutesFrom = (from: string, time: string): number => Math.max(0, (Date.parse(`${time}:00Z`) - Date.parse(`${from}T00:00:00Z`)) / 60_000);

/** Minutes from the first day's midnight as a time: `2026-12-04T11:20`. */
export function timeOf(from: string, minutes: number): string {
  return new Date(Date.parse(`${from}T00:00:00Z`) + Math.round(minutes) * 60_000).toISOString().slice(0, 16);
}

/** When somebody works. */
export interface Hours {
  /** The day's work as from and to, minutes from the first midnight; null where there is none. */
  readonly on: (day: number) => readonly [number, number] | null;
}

/** The working hours of a person. */
export function hoursOf({ from, dayStarts, now }: ScheduleRequest, { hours, off, otherwise }: ScheduleRequest['people'][number]): Hours {
  const opens = minutesOf(dayStarts);
  const late = now ? minutesOf(now) : 0;
  const other = new Map(otherwise.map((one) => [daysFrom(from, one.day), one.hours]));
  const free = new Set(off.map((day) => daysFrom(from, day)));
  // 1970-01-01 was a Thursday: its weekday from Monday is 3.
  const first = (Math.round(Date.parse(`${from}T00:00:00Z`) / DAY_MS) + 3) % 7;
  return {
    on: (day) => {
      const long = free.has(day) ? 0 : Math.min(DAY - opens, Math.round((other.get(day) ?? hours[(first + day) % 7] ?? 0) * 60));
      // Of the first day, what is left of it.
      const start = day === 0 ? Math.max(opens, late) : opens;
      return opens + long > start ? [day * DAY + start, day * DAY + opens + long] : null;
    },
  };
}

/** Work from one time to another, within one day. */
export interface Part {
  readonly start: number;
  readonly end: number;
}

/** The earliest work of so many minutes from a time on: in one piece, or left at closing time and taken up again. Null where there is none before the horizon. */
export function earliest({ on }: Hours, from: number, minutes: number, splits: boolean): Part[] | null {
  const parts: Part[] = [];
  let left = minutes;
  for (let day = Math.floor(from / DAY); day < HORIZON_DAYS; day++) {
    const window = on(day);
    if (!window) continue;
    const start = Math.max(window[0], from);
    const room = window[1] - start;
    if (room <= 1e-9) continue;
    if (left <= room + 1e-9) return [...parts, { start, end: start + left }];
    if (!splits) continue;
    parts.push({ start, end: window[1] });
    left -= room;
  }
  return null;
}
