import { solveLay, type LayAnswer, type LayRequest } from '@yardland/core';

/** Runs in a worker thread. */
export function solve(request: LayRequest): LayAnswer {
  return solveLay(request);
}
