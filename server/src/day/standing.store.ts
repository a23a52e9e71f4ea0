import { standingSchema } from '@yardland/core';
import type { StandingStep } from '@yardland/core/schedule';
import type { Database } from 'better-sqlite3';

/** The plan of the day that stands, one for the whole shop. */
export class StandingStore {
  readonly #read;
  readonly #write;
  readonly #drop;

  constructor(db: Database) {
    this.#read = db.prepare<[], { steps: string }>('SELECT steps FROM standing_plan WHERE id = 1');
    this.#write = db.prepare<[string, string]>(
      `INSERT INTO standing_plan (id, steps, made_at) VALUES (1, ?, ?)
       ON CONFLICT (id) DO UPDATE SET steps = excluded.steps, made_at = excluded.made_at WHERE steps <> excluded.steps`,
    );
    this.#drop = db.prepare('DELETE FROM standing_plan');
  }

  /** Empty where none stands, or where it was left by a form of it that is not known. */
  read(): readonly StandingStep[] {
    const kept = this.#read.get();
    const steps = kept && standingSchema.safeParse({ steps: JSON.parse(kept.steps) as unknown });
    return steps?.success ? steps.data.steps : [];
  }

  write(steps: readonly StandingStep[]): void {
    this.#write.run(JSON.stringify(steps), new Date().toISOString());
  }

  /** The next plan is made anew. */
  drop(): void {
    this.#drop.run();
  }
}
