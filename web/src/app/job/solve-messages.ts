import type { HeavyAnswer, HeavyRequest, LayProgress, TrialAnswer, TrialAsk, TrialProgress } from '@yardland/core';

/** `stop`: the best so far is wanted now. `cancel`: nobody waits any more. */
export type ToSolveWorker =
  | { readonly kind: 'solve'; readonly id: string; readonly request: HeavyRequest }
  | { readonly kind: 'trial'; readonly id: string; readonly ask: TrialAsk }
  | { readonly kind: 'stop'; readonly id: string }
  | { readonly kind: 'cancel'; readonly id: string };

export type Solving =
  | { readonly kind: 'progress'; readonly progress: LayProgress }
  | { readonly kind: 'done'; readonly answer: HeavyAnswer }
  | { readonly kind: 'failed'; readonly message: string };

export type Trying =
  | { readonly kind: 'trying'; readonly progress: TrialProgress }
  | { readonly kind: 'tried'; readonly answer: TrialAnswer }
  | { readonly kind: 'failed'; readonly message: string };

export interface FromSolveWorker {
  readonly id: string;
  readonly says: Solving | Trying;
}
