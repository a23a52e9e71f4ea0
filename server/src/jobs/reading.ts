import { Piscina } from 'piscina';
import { tasksBeside } from '../workers/threads';
import * as tasks from './reading-tasks';

/** Text up to this many letters is read where it comes in; more of it in a thread, so that nobody waits for it. */
const READ_HERE = 64_000;

/** Reads the texts of jobs: small ones at once, large ones in a thread of their own, which nothing else keeps busy. */
export class JobReading {
  #pool: Piscina | null = null;

  body(text: string, kind: 'create' | 'write'): Promise<tasks.BodyRead> {
    return this.#run('body', { text, kind });
  }

  upToDate(text: string): Promise<ReturnType<typeof tasks.upToDate>> {
    return this.#run('upToDate', { text });
  }

  copy(text: string): Promise<ReturnType<typeof tasks.copy>> {
    return this.#run('copy', { text });
  }

  async close(): Promise<void> {
    await this.#pool?.destroy();
  }

  async #run<Name extends 'body' | 'upToDate' | 'copy'>(name: Name, value: Parameters<(typeof tasks)[Name]>[0]): Promise<ReturnType<(typeof tasks)[Name]>> {
    const task = tasks[name] as (value: unknown) => ReturnType<(typeof tasks)[Name]>;
    if (value.text.length <= READ_HERE) return task(value);
    return (await this.#thread().run(value, { name })) as ReturnType<(typeof tasks)[Name]>;
  }

  #thread(): Piscina {
    return (this.#pool ??= new Piscina({
      ...tasksBeside(import.meta.url, 'reading-tasks'),
      name: 'upToDate',
      minThreads: 0,
      maxThreads: 1,
      idleTimeout: 30_000,
    }));
  }
}
