import { earliest } from './calendar';
import type { Model, Task } from './model';

/** The earliest end of each task were nobody and nothing in its way but what it comes after: its longest chain, through the hours of those who can do it. */
export function chainEnds({ tasks, people }: Model): number[] {
  const ends = new Array<number>(tasks.length).fill(-1);
  const endOf = (index: number): number => {
    if ((ends[index] as number) >= 0) return ends[index] as number;
    const { after, ready, able, step } = tasks[index] as Task;
    const from = after.reduce((most, before) => Math.max(most, endOf(before) + (tasks[before] as Task).step.waitMinutes), ready);
    const found = able.map((person) => {
      const hours = people[person];
      return (hours && earliest(hours, from, step.minutes, step.splits)?.at(-1)?.end) ?? Infinity;
    });
    return (ends[index] = Math.min(...found));
  };
  tasks.forEach((_, index) => endOf(index));
  return ends;
}

/** No plan can end a job before this: its longest chain, and the load it puts on anybody who alone can do some of it. */
export function boundsOf(model: Model): number[] {
  const ends = chainEnds(model);
  return model.jobs.map(({ tasks }) => {
    const chain = Math.max(...tasks.map((task) => ends[task] as number));
    const loads = model.people.map((hours, person) => {
      const alone = tasks.map((task) => model.tasks[task] as Task).filter(({ able }) => able.length === 1 && able[0] === person);
      if (!alone.length) return 0;
      const from = Math.min(...alone.map(({ ready }) => ready));
      const minutes = alone.reduce((sum, { step }) => sum + step.minutes, 0);
      return earliest(hours, from, minutes, true)?.at(-1)?.end ?? 0;
    });
    return Math.max(chain, ...loads);
  });
}
