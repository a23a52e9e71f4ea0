/// <reference lib="webworker" />
import type { ToCore } from './messages';
import { PlanWork } from './plan-work';
import { SolveWork } from './solve-work';

const solving = new SolveWork((message) => postMessage(message));
const planning = new PlanWork();

addEventListener('message', ({ data }: MessageEvent<ToCore>) => {
  if (data.kind === 'plan' || data.kind === 'read') postMessage(planning.answer(data));
  else void solving.hear(data);
});
