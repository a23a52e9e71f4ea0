import type { Sentences } from '../kernel/sentences';

/** What is said of a question for the plan of the day. */
export const SCHEDULE_SENTENCES = {
  'schedule-name-twice': (n) => [`“${n('what')}” is there twice.`, 'Give each a name of its own.'],
  'schedule-after-unknown': (n) => [`It comes after “${n('what')}”, which is no step of its job.`, 'Name a step of the same job.'],
  'schedule-circle': (n) => [`“${n('what')}” comes after itself, by way of others.`, 'Take one of them out of the circle.'],
  'schedule-nobody': (n) => [`Nobody with working hours does “${n('what')}”.`, 'Say of somebody that they do it.'],
  'schedule-no-person': (n) => [`There is nobody called “${n('what')}”.`, 'Name somebody who is there.'],
  'schedule-no-machine': (n) => [`There is no “${n('what')}”.`, 'Say how many of it there are, or that the step needs none.'],
  'schedule-too-long': (n) => [`“${n('what')}” is longer than any day of those who do it.`, 'Say that it may be left at closing time, or make the day longer.'],
} satisfies Sentences;

declare module '../kernel/issue' {
  interface IssueCodes extends Record<keyof typeof SCHEDULE_SENTENCES, true> {}
}
