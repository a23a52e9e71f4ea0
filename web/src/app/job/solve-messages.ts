import type { HeavyAnswer, HeavyRequest, LayProgress } from '@yardland/core';

export type ToSolveWorker =
  { readonly kind: 'solve'; readonly hash: string; readonly request: HeavyRequest } | { readonly kind: 'stop'; readonly hash: string };

export type FromSolveWorker =
  | { readonly kind: 'progress'; readonly hash: string; readonly progress: LayProgress }
  | { readonly kind: 'done'; readonly hash: string; readonly answer: HeavyAnswer }
  | { readonly kind: 'failed'; readonly hash: string; readonly message: string };
