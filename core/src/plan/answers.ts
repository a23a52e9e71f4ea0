import type { CrownAnswer, CrownAsk } from '../crown/domed';
import type { LongCoreAnswer, LongCoreAsk } from '../filling/long-core';
import type { CheckedLay, LayRequest } from '../lay/contract';

/** The heavy questions of a plan, told apart by their format. */
export type HeavyRequest = LayRequest | CrownAsk | LongCoreAsk;
export type HeavyAnswer = CheckedLay | CrownAnswer | LongCoreAnswer;

/** Answers of the heavy computations, by the hash of their request. */
export type Solved = Readonly<Record<string, HeavyAnswer>>;

/** The answers that one cushion may need, by the hash of its own request and no other. */
export interface Answers {
  readonly crown: (hash: string) => CrownAnswer | null;
  readonly longCore: (hash: string) => LongCoreAnswer | null;
}

/** The answers among what has been solved. */
export function answersIn(solved: Solved): Answers {
  const of =
    <F extends HeavyAnswer['format']>(format: F) =>
    (hash: string) => {
      const answer = solved[hash];
      return answer?.format === format ? (answer as Extract<HeavyAnswer, { readonly format: F }>) : null;
    };
  return { crown: of('yardland/crown-answer@1'), longCore: of('yardland/long-core-answer@1') };
}
