import { daysFrom, hoursOf, minutesFrom, type Hours } from './calendar';
import { canDo, minutesOf, type ScheduleRequest, type ScheduleStep } from './request';

/** A step made ready for planning: numbers in place of names. */
export interface Task {
  readonly index: number;
  readonly job: number;
  readonly step: ScheduleStep;
  /** Tasks it comes after. */
  readonly after: readonly number[];
  /** People who can do it, by their place. */
  readonly able: readonly number[];
  /** Not before this, minutes from the first midnight. */
  readonly ready: number;
}

export interface ModelJob {
  readonly id: string;
  readonly weight: number;
  /** The end of its due day, minutes from the first midnight. */
  readonly due: number;
  readonly tasks: readonly number[];
}

/** Where a task stands on the plan so far: at whom, and when it was to begin, minutes from the first midnight (below 0 for what was to begin earlier). */
export interface Standing {
  readonly person: number;
  readonly start: number;
}

/** A question with everything looked up once. */
export interface Model {
  readonly request: ScheduleRequest;
  readonly tasks: readonly Task[];
  readonly jobs: readonly ModelJob[];
  readonly people: readonly Hours[];
  readonly machines: Readonly<Record<string, number>>;
  /** By task; null for one that is new, or that whoever had it can do no longer. */
  readonly standing: readonly (Standing | null)[];
}

const DAY = 24 * 60;

/** Where each task stands on the plan so far. */
function standingOf({ standing, people, from, jobs }: ScheduleRequest, tasks: readonly Task[]): (Standing | null)[] {
  const known = new Map((standing ?? []).map((one) => [JSON.stringify([one.job, one.step]), one]));
  return tasks.map(({ job, step, able }) => {
    const before = known.get(JSON.stringify([jobs[job]?.id, step.id]));
    const person = people.findIndex(({ name }) => name === before?.person);
    return before && able.includes(person) ? { person, start: minutesFrom(from, before.start) } : null;
  });
}

/** The model of a question that `checkSchedule` has nothing against. */
export function modelOf(request: ScheduleRequest): Model {
  const opens = minutesOf(request.dayStarts);
  const tasks: Task[] = [];
  const jobs = request.jobs.map((job, j): ModelJob => {
    const first = tasks.length;
    const place = new Map(job.steps.map((step, i) => [step.id, first + i]));
    const ready = Math.max(0, job.ready ? daysFrom(request.from, job.ready) : 0);
    for (const asked of job.steps) {
      // The clock goes by minutes: what takes part of one takes all of it.
      const step = { ...asked, minutes: Math.ceil(asked.minutes), waitMinutes: Math.ceil(asked.waitMinutes) };
      tasks.push({
        index: tasks.length,
        job: j,
        step,
        after: step.after.flatMap((before) => place.get(before) ?? []),
        able: request.people.flatMap((person, p) => (canDo(person, step, opens) ? [p] : [])),
        ready: Math.max(
          DAY * Math.max(ready, step.ready ? daysFrom(request.from, step.ready) : 0),
          step.notBefore ? minutesFrom(request.from, step.notBefore) : 0,
        ),
      });
    }
    return { id: job.id, weight: job.weight, due: DAY * (daysFrom(request.from, job.due) + 1), tasks: job.steps.map((_, i) => first + i) };
  });
  const people = request.people.map((person) => hoursOf(request, person));
  return { request, tasks, jobs, people, machines: request.machines, standing: standingOf(request, tasks) };
}
