import type { LayAnswer } from '@yardland/core';
import { Worker } from 'node:worker_threads';
import type { LayTask } from './lay-worker';

/** One seed in a thread of its own. */
export function layInThread(task: LayTask): Promise<LayAnswer> {
  return new Promise((resolve, reject) => {
    // A thread does not take over the loader of TypeScript: it is registered before the worker's own file is read.
    const file = JSON.stringify(new URL('./lay-worker.ts', import.meta.url).href);
    const worker = new Worker(`import('tsx/esm/api').then(({ register }) => { register(); return import(${file}); })`, { eval: true, workerData: task });
    worker.once('message', (answer: LayAnswer) => resolve(answer));
    worker.once('error', reject);
  });
}
