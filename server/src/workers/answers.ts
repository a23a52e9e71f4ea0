import { solve, type HeavyAnswer, type HeavyRequest } from '@yardland/core';

/** Answers kept, the oldest let go. */
const KEPT_ANSWERS = 400;

/** Heavy questions answered here, each once. */
export class Answers {
  readonly #known = new Map<string, HeavyAnswer>();

  of(hash: string, request: HeavyRequest): HeavyAnswer {
    const known = this.#known.get(hash);
    if (known) return known;
    const answer = solve(request);
    if (this.#known.size >= KEPT_ANSWERS) this.#known.delete(this.#known.keys().next().value ?? '');
    this.#known.set(hash, answer);
    return answer;
  }
}
