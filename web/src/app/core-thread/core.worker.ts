/// <reference lib="webworker" />
import { CoreWork } from './core-work';
import type { ToCore } from './messages';

const work = new CoreWork((message) => postMessage(message));
addEventListener('message', ({ data }: MessageEvent<ToCore>) => work.hear(data));
