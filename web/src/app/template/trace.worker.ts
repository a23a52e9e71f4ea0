/// <reference lib="webworker" />
import { findSheet, grayOf, traceOutline } from '@yardland/core/trace';
import type { FromTraceWorker, ToTraceWorker } from './trace-messages';

const tell = (message: FromTraceWorker): void => postMessage(message);

addEventListener('message', ({ data }: MessageEvent<ToTraceWorker>) => {
  const picture = grayOf(data.rgba, data.width, data.height);
  if (data.kind === 'find') {
    tell({ kind: 'sheet', corners: findSheet(picture) });
    return;
  }
  const { corners, sheetWidthMm, sheetDepthMm, edge, toleranceMm } = data;
  const answer = traceOutline({ picture, corners, sheetWidthMm, sheetDepthMm, edge, toleranceMm }, (share) => {
    tell({ kind: 'progress', share });
    return true;
  });
  tell({ kind: 'traced', answer });
});
