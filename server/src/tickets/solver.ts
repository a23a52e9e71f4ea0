import { plan, type Job, type LayAnswer, type LayRequest, type Plan, type Shop } from '@yardland/core';
import type { Workers } from '../workers/workers';

/** Answers kept, so that a ticket printed twice is not laid twice. */
const KEPT_ANSWERS = 400;

/** Plans with everything they want solved, by worker threads. */
export class Solver {
  readonly #answers = new Map<string, LayAnswer>();

  constructor(private readonly workers: Workers) {}

  /** The plan with all its lays. */
  async plan(job: Job, shop: Shop): Promise<Plan> {
    const asked = plan(job, shop);
    const answers = await Promise.all(asked.wanted.map(async ({ hash, request }) => [hash, await this.#answer(hash, request)] as const));
    return plan(job, shop, Object.fromEntries(answers), asked);
  }

  async #answer(hash: string, request: LayRequest): Promise<LayAnswer> {
    const known = this.#answers.get(hash);
    if (known) return known;
    const answer = await this.workers.lay(request);
    if (this.#answers.size >= KEPT_ANSWERS) this.#answers.delete(this.#answers.keys().next().value ?? '');
    this.#answers.set(hash, answer);
    return answer;
  }
}
