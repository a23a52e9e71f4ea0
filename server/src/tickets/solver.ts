import { planWith, type HeavyAnswer, type HeavyRequest, type Job, type Plan, type Shop } from '@yardland/core';
import type { Workers } from '../workers/workers';

/** Answers kept, so that a ticket printed twice is not laid twice. */
const KEPT_ANSWERS = 400;

/** Plans with everything they want solved, by worker threads. */
export class Solver {
  readonly #answers = new Map<string, HeavyAnswer>();

  constructor(private readonly workers: Workers) {}

  /** The plan with all its crowns and lays. */
  plan(job: Job, shop: Shop): Promise<Plan> {
    return planWith(job, shop, (hash, request) => this.#answer(hash, request));
  }

  /** The plan with its crowns, so that every piece has its shape; nothing of it is laid. */
  shaped(job: Job, shop: Shop): Promise<Plan> {
    return planWith(
      job,
      shop,
      (hash, request) => this.#answer(hash, request),
      ({ request }) => request.format !== 'yardland/lay-request@2',
    );
  }

  async #answer(hash: string, request: HeavyRequest): Promise<HeavyAnswer> {
    const known = this.#answers.get(hash);
    if (known) return known;
    const answer = await this.workers.solve(request);
    if (this.#answers.size >= KEPT_ANSWERS) this.#answers.delete(this.#answers.keys().next().value ?? '');
    this.#answers.set(hash, answer);
    return answer;
  }
}
