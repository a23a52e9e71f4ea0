import { boundsOf } from './bounds';
import { timeOf } from './calendar';
import { planned } from './improve';
import { modelOf } from './model';
import type { ScheduleRequest } from './request';

/** A step in its place: who does it, and when, each day's work by itself. Times are local. */
export interface ScheduledStep {
  readonly job: string;
  readonly step: string;
  readonly person: string;
  readonly parts: readonly { readonly start: string; readonly end: string }[];
}

/** A plan of the day. */
export interface Schedule {
  /** In the order in which they begin. */
  readonly steps: readonly ScheduledStep[];
  readonly ends: Readonly<Record<string, string>>;
  /** Days of 24 hours beyond the end of the due day; 0 for what is in time. */
  readonly late: Readonly<Record<string, number>>;
  /** Their sum by weight. */
  readonly lateness: number;
  /** Changes of cloth, thread or foot between steps that follow each other at one person. */
  readonly setups: number;
  /** No plan can end a job before this. */
  readonly bound: Readonly<Record<string, string>>;
  /** Steps that found no place within ten years, by job and step; empty as good as always. */
  readonly unplaced: readonly { readonly job: string; readonly step: string }[];
}

/** Plans a question that `checkSchedule` has nothing against. */
export function schedule(request: ScheduleRequest): Schedule {
  const model = modelOf(request);
  const { board } = planned(model);
  const { from } = request;
  const named = (index: number) => {
    const task = model.tasks[index];
    return { job: model.jobs[task?.job ?? -1]?.id ?? '', step: task?.step.id ?? '' };
  };
  const placed = board.placed.filter((one) => one !== null).sort((a, b) => a.start - b.start || a.task - b.task);
  const byJob = <T>(value: (job: number) => T): Record<string, T> => Object.fromEntries(model.jobs.map(({ id }, j) => [id, value(j)]));
  const bounds = boundsOf(model);
  const late = byJob((j) => Math.max(0, (board.endOf(j) - (model.jobs[j]?.due ?? 0)) / (24 * 60)));
  return {
    steps: placed.map(({ task, person, parts }) => ({
      ...named(task),
      person: request.people[person]?.name ?? '',
      parts: parts.map(({ start, end }) => ({ start: timeOf(from, start), end: timeOf(from, end) })),
    })),
    ends: byJob((j) => timeOf(from, board.endOf(j))),
    late,
    lateness: model.jobs.reduce((sum, { id, weight }) => sum + weight * (late[id] ?? 0), 0),
    setups: board.setups,
    bound: byJob((j) => timeOf(from, bounds[j] ?? 0)),
    unplaced: board.placed.flatMap((one, index) => (one === null ? [named(index)] : [])),
  };
}
