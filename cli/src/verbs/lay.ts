import { bestAnswer, checkLayFile, layFileAnswer, layFileRequest, layFileSchema, type LayFile } from '@yardland/core';
import { layInThread } from '../lay-thread';
import { layFor, type LayTask } from '../lay-worker';
import { documentVerb } from './document-verb';

async function laid(file: LayFile): Promise<unknown> {
  const tasks = Array.from({ length: file.threads }, (_, i): LayTask => ({ request: layFileRequest(file, (file.seed + i) >>> 0), seconds: file.seconds }));
  return layFileAnswer(layFileRequest(file, file.seed), bestAnswer(tasks.length === 1 ? tasks.map(layFor) : await Promise.all(tasks.map(layInThread))));
}

/** A lay of any pieces on a roll, sheets or a hide, as good as the time allows. */
export const layVerb = documentVerb(
  { name: 'lay', does: 'lays pieces on a roll, sheets or a hide, close to the optimum, in the seconds the file gives, a seed to each thread' },
  layFileSchema,
  checkLayFile,
  laid,
);
