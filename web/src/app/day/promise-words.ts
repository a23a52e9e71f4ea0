import type { Moved, Promised, Saver } from '@yardland/core/schedule';
import { dayWords } from '../shared/words/days';

const whenWords = (time: string): string => `${dayWords(time.slice(0, 10))}, ${time.slice(11)}`;
const daysWords = (days: number): string =>
  Math.abs(days) < 1 ? `${Math.max(1, Math.round(Math.abs(days) * 24))} h` : `${Math.round(Math.abs(days) * 10) / 10} days`;

/** Why a job cannot be promised sooner, a sentence each. */
export function promiseReasons({ end, alone, awaits, heldUp, pushes }: Promised): string[] {
  return [
    `By the plan it is done ${whenWords(end)}; half a day of slack is kept for every week until then.`,
    ...awaits.map(({ what, on, assumed }) => `Its ${what} comes ${dayWords(on)}${assumed ? ', as nobody has said the day' : ''}.`),
    ...heldUp.map(({ by, until }) => `${by === 'machine' ? 'The machine' : by === 'table' ? 'The cutting table' : by} is full until ${whenWords(until)}.`),
    ...(alone < end ? [`If there were nothing else to do, it would be done ${whenWords(alone)}.`] : []),
    ...pushes.map(({ name, days }) => `${name} would be ${daysWords(days)} later by it.`),
  ];
}

/** Something that would bring a late job in, in a sentence. */
export function saverWords({ whatIf, lateDays, end, pushes }: Saver, named: (job: string) => string): string {
  const tried = [
    ...(whatIf.otherwise ?? []).map(({ person, day, hours }) => `${person} works ${hours} h on ${dayWords(day)}`),
    ...(whatIf.waits ?? []).map(({ job, until }) => `${named(job)} waits until ${dayWords(until)}`),
  ].join(' and ');
  const comes = lateDays > 0 ? `it is done ${whenWords(end)}, still ${daysWords(lateDays)} late` : `it is in time, done ${whenWords(end)}`;
  return `If ${tried}, ${comes}${pushes.length ? `; ${pushes.map(({ name, days }) => `${name} is ${daysWords(days)} later`).join(', ')}` : '; nothing else is later'}.`;
}

/** A job that ends at another time, in a sentence. */
export function movedWords({ name, from, to, days, lateDays }: Moved): string {
  return `${name} ends ${daysWords(days)} ${days > 0 ? 'later' : 'sooner'}: ${whenWords(to)} in place of ${whenWords(from)}${lateDays > 0 ? `, ${daysWords(lateDays)} late` : ''}.`;
}
