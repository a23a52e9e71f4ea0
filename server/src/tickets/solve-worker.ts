import { solveLay, type LayAnswer, type LayRequest } from '@yardland/core';

/** Runs in a worker thread; the pool calls the default export. */
// eslint-disable-next-line no-restricted-syntax -- the pool asks for it
export default function solve(request: LayRequest): LayAnswer {
  return solveLay(request);
}
