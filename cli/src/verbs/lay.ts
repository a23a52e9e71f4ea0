import { bestAnswer, checkLayFile, layFileAnswer, layFileRequest, layFileSchema, type LayAnswer, type LayFile } from '@yardland/core';
import { Worker } from 'node:worker_threads';
import { layFor, type LayTask } from '../lay-worker';
import { documentVerb } from './document-verb';

/** One seed in a thread of its own. */
function inThread(task: LayTask): Promise<LayAnswer> {
  return new Promise((resolve, reject) => {
    // A thread does not take over the loader of TypeScript: it is registered before the worker's own file is read.
    const file = JSON.stringify(new URL('../lay-worker.ts', import.meta.url).href);
    const worker = new Worker(`import('tsx/esm/api').then(({ register }) => { register(); return import(${file}); })`, { eval: true, workerData: task });
    worker.once('message', (answer: LayAnswer) => resolve(answer));
    worker.once('error', reject);
  });
}

async function laid(file: LayFile): Promise<unknown> {
  const tasks = Array.from({ length: file.threads }, (_, i): LayTask => ({ request: layFileRequest(file, (file.seed + i) >>> 0), seconds: file.seconds }));
  return layFileAnswer(layFileRequest(file, file.seed), bestAnswer(tasks.length === 1 ? tasks.map(layFor) : await Promise.all(tasks.map(inThread))));
}

/** A lay of any pieces on a roll, sheets or a hide, as good as the time allows. */
export const layVerb = documentVerb(
  { name: 'lay', does: 'lays pieces on a roll, sheets or a hide, close to the optimum, in the seconds the file gives, a seed to each thread' },
  layFileSchema,
  checkLayFile,
  laid,
);
