/// <reference lib="webworker" />
import type { ToSolveWorker } from './solve-messages';
import { SolveWork } from './solve-work';

const work = new SolveWork((message) => postMessage(message));
addEventListener('message', ({ data }: MessageEvent<ToSolveWorker>) => void work.hear(data));
