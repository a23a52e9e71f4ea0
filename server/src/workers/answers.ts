import { solve, stillGood, type HeavyAnswer, type HeavyRequest, type LayAnswer } from '@yardland/core';

/** Answers remembered, the oldest let go. */
const REMEMBERED = 400;

/** Heavy questions answered here, each once. */
export class Answers {
  readonly #known = new Map<string, HeavyAnswer>();

  /** The answer to a question. A lay in `kept` that can be cut comes first: what somebody sees on a screen is what they get on paper. */
  of(hash: string, request: HeavyRequest, kept: ReadonlyMap<string, LayAnswer>): HeavyAnswer {
    return keptAnswer(request, kept.get(hash)) ?? this.#known.get(hash) ?? this.#solved(hash, request);
  }

  #solved(hash: string, request: HeavyRequest): HeavyAnswer {
    const answer = solve(request);
    if (this.#known.size >= REMEMBERED) this.#known.delete(this.#known.keys().next().value ?? '');
    this.#known.set(hash, answer);
    return answer;
  }
}

function keptAnswer(request: HeavyRequest, lay: LayAnswer | undefined): HeavyAnswer | null {
  return lay && request.format === 'yardland/lay-request@2' ? stillGood(request, lay) : null;
}
