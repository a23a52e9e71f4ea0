import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { plan, type Job, type LayAnswer, type LayRequest, type Plan, type Shop } from '@yardland/core';
import { Piscina } from 'piscina';

/** Answers kept, so that a ticket printed twice is not laid twice. */
const KEPT_ANSWERS = 400;

/** Solves what a plan wants in worker threads, started when first needed. */
export class Solver {
  #pool: Piscina<LayRequest, LayAnswer> | null = null;
  readonly #answers = new Map<string, LayAnswer>();

  /** The plan with all its lays. */
  async plan(job: Job, shop: Shop): Promise<Plan> {
    const asked = plan(job, shop);
    const answers = await Promise.all(asked.wanted.map(async ({ hash, request }) => [hash, await this.#answer(hash, request)] as const));
    return plan(job, shop, Object.fromEntries(answers), asked);
  }

  async #answer(hash: string, request: LayRequest): Promise<LayAnswer> {
    const known = this.#answers.get(hash);
    if (known) return known;
    const answer = await this.#workers().run(request);
    if (this.#answers.size >= KEPT_ANSWERS) this.#answers.delete(this.#answers.keys().next().value ?? '');
    this.#answers.set(hash, answer);
    return answer;
  }

  #workers(): Piscina<LayRequest, LayAnswer> {
    const here = import.meta.url;
    const source = here.endsWith('.ts');
    return (this.#pool ??= new Piscina<LayRequest, LayAnswer>({
      filename: fileURLToPath(new URL(source ? './solve-worker.ts' : './solve-worker.js', here)),
      execArgv: source ? ['--import', 'tsx'] : [],
      minThreads: 1,
      maxThreads: Math.max(1, availableParallelism() - 1),
      idleTimeout: 30_000,
    }));
  }

  async close(): Promise<void> {
    await this.#pool?.close();
  }
}
