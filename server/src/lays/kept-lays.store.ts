import { LAY_ENGINE, MOST_KEPT_LAYS, type KeptLay } from '@yardland/core';
import type { Database } from 'better-sqlite3';

interface Row {
  readonly hash: string;
  readonly answer: string;
}

/** Lays of jobs that were worked out already, of each job the newest. What another engine found is never given out. */
export class KeptLayStore {
  readonly #read;
  readonly #write;
  readonly #letGo;
  readonly #clear;
  readonly #transaction: <T>(work: () => T) => T;

  constructor(db: Database) {
    this.#read = db.prepare<[string, number], Row>('SELECT hash, answer FROM kept_lay WHERE job_id = ? AND engine = ? ORDER BY hash');
    // A lay that was stopped by hand never takes the place of one that was searched for to the end.
    this.#write = db.prepare<{ job: string; hash: string; engine: number; stopped: number; answer: string; at: number }>(
      `INSERT INTO kept_lay (job_id, hash, engine, stopped, answer, kept_at) VALUES (@job, @hash, @engine, @stopped, @answer, @at)
       ON CONFLICT (job_id, hash) DO UPDATE
         SET engine = excluded.engine, stopped = excluded.stopped, answer = excluded.answer, kept_at = excluded.kept_at
         WHERE kept_lay.engine <> excluded.engine OR excluded.stopped <= kept_lay.stopped`,
    );
    this.#letGo = db.prepare<[string, string, number]>(
      'DELETE FROM kept_lay WHERE job_id = ? AND hash NOT IN (SELECT hash FROM kept_lay WHERE job_id = ? ORDER BY kept_at DESC, hash LIMIT ?)',
    );
    this.#clear = db.prepare<[number]>('DELETE FROM kept_lay WHERE engine <> ? OR job_id IN (SELECT id FROM job WHERE archived = 1)');
    this.#transaction = (work) => db.transaction(work).immediate();
  }

  /** The lays of a job that this engine found. They are believed only after they are checked against their requests. */
  of(job: string): KeptLay[] {
    return this.#read.all(job, LAY_ENGINE).map(({ hash, answer }) => ({ hash, answer: JSON.parse(answer) as KeptLay['answer'] }));
  }

  /** Keeps lays of a job; of all its lays the newest stay. */
  keep(job: string, lays: readonly KeptLay[]): void {
    if (lays.length === 0) return;
    this.#transaction(() => {
      const at = Date.now();
      for (const { hash, answer } of lays)
        this.#write.run({ job, hash, engine: LAY_ENGINE, stopped: answer.stopped ? 1 : 0, answer: JSON.stringify(answer), at });
      this.#letGo.run(job, job, MOST_KEPT_LAYS);
    });
  }

  /** Lets go of what another engine found, and of the lays of archived jobs. Returns how many went. */
  clear(): number {
    return this.#clear.run(LAY_ENGINE).changes;
  }
}
