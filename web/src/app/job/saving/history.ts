import type { Job, JobSteps } from '@yardland/core';

interface Step {
  readonly label: string;
  readonly job: Job;
}

/** The way back and forth of this window: what each change was made from. Older steps only the server knows. */
export class History {
  readonly #past: Step[] = [];
  readonly #future: Step[] = [];
  #changed = false;

  /** What the next undo takes back, or null where only the server can say. */
  get undo(): string | null {
    return this.#past.at(-1)?.label ?? null;
  }

  get redo(): string | null {
    return this.#future.at(-1)?.label ?? null;
  }

  /** Whether changes were made here since the server's own steps: then its redo is gone. */
  get changed(): boolean {
    return this.#changed;
  }

  made(label: string, from: Job): void {
    this.#past.push({ label, job: from });
    this.#future.length = 0;
    this.#changed = true;
  }

  /** The server's steps on both sides of where the job stands, this window's own among them: everything it has made must be answered. */
  learn({ past, future }: JobSteps): void {
    this.#past.splice(0, Infinity, ...past.toReversed());
    this.#future.splice(0, Infinity, ...future.toReversed());
  }

  /** The job one step back or forth from `now`; null where this window does not know it. */
  step(direction: 'undo' | 'redo', now: Job): Job | null {
    const [from, to] = direction === 'undo' ? [this.#past, this.#future] : [this.#future, this.#past];
    const step = from.pop();
    if (!step) return null;
    to.push({ label: step.label, job: now });
    return step.job;
  }

  forget(): void {
    this.#past.length = 0;
    this.#future.length = 0;
    this.#changed = false;
  }
}
