import { layEngine, type LayAnswer, type LayRequest } from '@yardland/core';
import { parentPort, workerData } from 'node:worker_threads';

/** One seed of a lay, until its time is up. */
export interface LayTask {
  readonly request: LayRequest;
  readonly seconds: number;
}

/** The best lay found in the time; the first valid one whatever the time. */
export function layFor({ request, seconds }: LayTask): LayAnswer {
  const end = performance.now() + seconds * 1000;
  const run = layEngine(request);
  for (let step = run.next(); ; step = run.next()) {
    if (step.done) return step.value;
    if (performance.now() >= end && Number.isFinite(step.value.best.lengthMm)) return { ...step.value.best, stopped: true };
  }
}

parentPort?.postMessage(layFor(workerData as LayTask));
