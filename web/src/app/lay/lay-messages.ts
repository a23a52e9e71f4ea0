import type { LayAnswer, LayProgress, LayRequest } from '@yardland/core';

export type ToLayWorker = { readonly kind: 'solve'; readonly hash: string; readonly request: LayRequest } | { readonly kind: 'stop'; readonly hash: string };

export type FromLayWorker =
  | { readonly kind: 'progress'; readonly hash: string; readonly progress: LayProgress }
  | { readonly kind: 'done'; readonly hash: string; readonly answer: LayAnswer }
  | { readonly kind: 'failed'; readonly hash: string; readonly message: string };
