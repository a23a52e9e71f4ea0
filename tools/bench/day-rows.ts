import fs from 'node:fs';
import path from 'node:path';
import { shopSchema } from '@yardland/core';
import { standingOf, type StandingStep } from '@yardland/core/schedule';
import { dayPlan, type DayTask } from '../../server/src/workers/day-tasks';
import { rowOf, timed, type Reference, type Row } from './measure';

const JOBS = 40;
const FIRST_DAY = '2026-12-01';

/** Forty jobs at work, the demo's own over and over with due days over four weeks: as the worker of the server gets them. */
function jobsOf(root: string): DayTask['jobs'] {
  const folder = path.join(root, 'demo/jobs');
  const demo = fs
    .readdirSync(folder)
    .sort()
    .map((file) => JSON.parse(fs.readFileSync(path.join(folder, file), 'utf8')) as object);
  return Array.from({ length: JOBS }, (_, i) => ({
    id: `00000000-0000-4000-8000-${String(i).padStart(12, '0')}`,
    revision: 1,
    document: JSON.stringify({
      ...demo[i % demo.length],
      name: `Job ${i}`,
      state: 'cutting',
      dueDate: new Date(Date.parse(FIRST_DAY) + (3 + ((i * 7) % 28)) * 86_400_000).toISOString().slice(0, 10),
    }),
  }));
}

/** The plan of the day of a full shop, as the server's worker makes it: first with every job's work order, then made anew, then gone on with after a tick. */
export function dayRows(root: string, reference: Reference): Row[] {
  const shop = shopSchema.parse(JSON.parse(fs.readFileSync(path.join(root, 'demo/shop.json'), 'utf8')));
  const task: DayTask = { jobs: jobsOf(root), shop, at: { day: FIRST_DAY, time: '08:00' } };
  const begun = performance.now();
  const { day } = dayPlan(task);
  const first = performance.now() - begun;
  const standing: readonly StandingStep[] = standingOf(day);
  const what = `the day of ${day.jobs.length} jobs with ${day.steps.length} steps`;
  const ticked = timed(10, (i) => {
    // Another job each time has changed since: it is read and planned again.
    dayPlan({ ...task, jobs: task.jobs.map((job, j) => (j === i % JOBS ? { ...job, revision: 2 + i } : job)), at: { ...task.at, standing } });
  });
  return [
    rowOf(`${what}, every job planned first`, '—', [first], { reference }),
    rowOf(
      `${what}, made anew`,
      'under 1 000 ms',
      timed(10, () => void dayPlan(task)),
      { reference },
    ),
    rowOf(`${what}, gone on with after a change of one job`, 'under 1 000 ms', ticked, { reference }),
  ];
}
