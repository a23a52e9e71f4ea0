import { dayAfter, setupWords, stepWords, type Day } from '@yardland/core/schedule';
import { createEvents, type DateArray, type EventAttributes } from 'ics';

const NAME = 'yardland';

/** `2026-12-04T11:20`, or a day, as the calendar's maker takes it. */
const dateOf = (time: string): DateArray => time.split(/[-T:]/).map(Number) as unknown as DateArray;

/** A whole day, with an identifier that stays. */
const wholeDay = (uid: string, day: string, title: string, description = ''): EventAttributes => ({
  uid: `${uid}@${NAME}`,
  productId: NAME,
  start: dateOf(day),
  // Whole days end before the next one.
  end: dateOf(dayAfter(day, 1)),
  title,
  ...(description ? { description } : {}),
});

/**
 * Due days, deliveries and the work of each person as an iCalendar file (RFC 5545). Times are those of the shop's clock, without a zone: a calendar shows them as they are on the
 * wall. An identifier stays with its step, so that a calendar that subscribes moves what has moved. Throws an Error where the file cannot be made.
 */
export function calendarOf({ jobs, steps }: Day, shopName: string): string {
  const named = new Map(jobs.map(({ id, name }) => [id, name]));
  const events: EventAttributes[] = [
    ...jobs.flatMap(({ id, name, customer, due, end, lateDays, awaits }): EventAttributes[] => [
      ...(due === null
        ? []
        : [wholeDay(`due-${id}`, due, `Due: ${name}`, `${customer}. By the plan ${lateDays > 0 ? 'late: ' : ''}done ${end.replace('T', ', ')}.`)]),
      ...awaits.map(({ what, on, assumed }) =>
        wholeDay(`${what}-${id}`, on, `${what === 'foam' ? 'Foam' : 'Cloth'} comes: ${name}`, assumed ? 'Nobody has said the day: taken as in a week.' : ''),
      ),
    ]),
    ...steps.flatMap((step): EventAttributes[] =>
      step.parts.map(({ start, end }, i) => ({
        uid: `${step.job}-${step.step.replace(/[^a-z0-9]+/gi, '-')}-${i}@${NAME}`,
        productId: NAME,
        start: dateOf(start),
        end: dateOf(end),
        startInputType: 'local',
        startOutputType: 'local',
        endInputType: 'local',
        endOutputType: 'local',
        title: `${step.person}: ${stepWords(step)}`,
        description: [named.get(step.job) ?? '', setupWords(step)].filter(Boolean).join('. '),
      })),
    ),
  ];
  const { error, value } = createEvents(events, { productId: NAME, calName: shopName });
  if (error) throw error;
  return value ?? '';
}
