import { checkSchedule, schedule, scheduleRequestSchema } from '@yardland/core/schedule';
import { documentVerb } from './document-verb';

/** Who does what when. */
export const scheduleVerb = documentVerb(
  { name: 'schedule', does: 'plans the steps of jobs on people and machines: lateness least, then changes of cloth, thread and foot, then the last end' },
  scheduleRequestSchema,
  checkSchedule,
  schedule,
);
