import type { HeavyAnswer, HeavyRequest, LayAnswer, LayProgress, TrialAnswer, TrialAsk, TrialProgress } from '@yardland/core';
import type { Delta } from './delta';
import type { Answer, AnswerKind } from './read-answer';

/** `kept`: the lay that an earlier search of this request found. `stop`: the best so far is wanted now. `cancel`: nobody waits any more. */
export type ToSolve =
  | { readonly kind: 'solve'; readonly id: string; readonly request: HeavyRequest; readonly kept?: LayAnswer }
  | { readonly kind: 'trial'; readonly id: string; readonly ask: TrialAsk }
  | { readonly kind: 'stop'; readonly id: string }
  | { readonly kind: 'cancel'; readonly id: string };

/** `plan`: a `PlanSource` against the one before. `read`: what the server said, to be checked against its contract. */
export type ToPlan =
  { readonly kind: 'plan'; readonly source: Delta } | { readonly kind: 'read'; readonly id: string; readonly answer: AnswerKind; readonly value: unknown };

export type ToCore = ToSolve | ToPlan;

export type Solving =
  | { readonly kind: 'progress'; readonly progress: LayProgress }
  | { readonly kind: 'done'; readonly answer: HeavyAnswer }
  | { readonly kind: 'failed'; readonly message: string };

export type Trying =
  | { readonly kind: 'trying'; readonly progress: TrialProgress }
  | { readonly kind: 'tried'; readonly answer: TrialAnswer }
  | { readonly kind: 'failed'; readonly message: string };

export interface FromSolving {
  readonly id: string;
  readonly says: Solving | Trying;
}

/** `planned`: a `DerivedPlan` against the one before. `unplanned`: the fault that kept it from being made. */
export type FromPlanning =
  | { readonly kind: 'planned'; readonly plan: Delta }
  | { readonly kind: 'unplanned'; readonly message: string }
  | { readonly kind: 'read'; readonly id: string; readonly value: Answer }
  | { readonly kind: 'unreadable'; readonly id: string; readonly message: string };

export type FromCore = FromSolving | FromPlanning;
