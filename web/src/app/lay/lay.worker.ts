/// <reference lib="webworker" />
import { layEngine, type LayProgress, type LayRequest } from '@yardland/core';
import type { FromLayWorker, ToLayWorker } from './lay-messages';

/** Progress is told at most this often; a stop is heard as often. */
const TELL_EVERY_MS = 80;

const stopped = new Set<string>();
const tell = (message: FromLayWorker): void => postMessage(message);

/** Lets messages in between stretches of work. */
const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

async function solve(hash: string, request: LayRequest): Promise<void> {
  const run = layEngine(request);
  let last: LayProgress | null = null;
  let told = performance.now();
  for (let step = run.next(); ; step = run.next()) {
    if (step.done) {
      tell({ kind: 'done', hash, answer: step.value });
      return;
    }
    last = step.value;
    if (performance.now() - told < TELL_EVERY_MS) continue;
    tell({ kind: 'progress', hash, progress: last });
    await breathe();
    told = performance.now();
    if (stopped.delete(hash)) {
      tell({ kind: 'done', hash, answer: { ...last.best, stopped: true } });
      return;
    }
  }
}

addEventListener('message', ({ data }: MessageEvent<ToLayWorker>) => {
  if (data.kind === 'stop') stopped.add(data.hash);
  else
    solve(data.hash, data.request).catch((error: unknown) => {
      tell({ kind: 'failed', hash: data.hash, message: String(error) });
    });
});
