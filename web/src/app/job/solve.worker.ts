/// <reference lib="webworker" />
import { layEngine, solveCrown, type HeavyRequest, type LayProgress } from '@yardland/core';
import type { FromSolveWorker, ToSolveWorker } from './solve-messages';

/** Progress is told at most this often; a stop is heard as often. */
const TELL_EVERY_MS = 80;

const stopped = new Set<string>();
const tell = (message: FromSolveWorker): void => postMessage(message);

/** Lets messages in between stretches of work. */
const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

async function solve(hash: string, request: HeavyRequest): Promise<void> {
  if (request.format === 'yardland/crown-ask@1') {
    tell({ kind: 'done', hash, answer: solveCrown(request) });
    return;
  }
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

addEventListener('message', ({ data }: MessageEvent<ToSolveWorker>) => {
  if (data.kind === 'stop') stopped.add(data.hash);
  else
    solve(data.hash, data.request).catch((error: unknown) => {
      tell({ kind: 'failed', hash: data.hash, message: String(error) });
    });
});
