import { readOutlineFile, type ReadOutlineFile } from '@yardland/core/format';

// Reads one file and says what came of it; whoever asked ends the worker, in time or not.
addEventListener('message', ({ data: [name, text, units] }: MessageEvent<Parameters<ReadOutlineFile>>) => {
  postMessage(readOutlineFile(name, text, units));
});
