import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import type { HeavyAnswer, HeavyRequest } from '@yardland/core';
import { Piscina } from 'piscina';
import type * as tasks from './tasks';

/** Long computing in worker threads, started when first needed. */
export class Workers {
  #pool: Piscina | null = null;

  solve(request: HeavyRequest): Promise<HeavyAnswer> {
    return this.#run('solve', request);
  }

  photograph(shot: number): Promise<Uint8Array> {
    return this.#run('photograph', shot);
  }

  async close(): Promise<void> {
    await this.#pool?.close();
  }

  #run<Answer>(task: keyof typeof tasks, value: unknown): Promise<Answer> {
    const here = import.meta.url;
    const source = here.endsWith('.ts');
    this.#pool ??= new Piscina({
      filename: fileURLToPath(new URL(source ? './tasks.ts' : './tasks.js', here)),
      execArgv: source ? ['--import', 'tsx'] : [],
      // Loaded as a thread starts; the others come from the same file.
      name: 'solve',
      minThreads: 1,
      maxThreads: Math.max(1, availableParallelism() - 1),
      idleTimeout: 30_000,
    });
    return this.#pool.run(value, { name: task }) as Promise<Answer>;
  }
}
