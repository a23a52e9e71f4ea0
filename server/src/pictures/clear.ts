import { setImmediate as breathe } from 'node:timers/promises';
import type { Database } from 'better-sqlite3';

/** A picture is kept for this long although nothing names it yet: its job may still be on its way, or wait in a browser. */
const KEPT_MS = 30 * 86_400_000;
const ID = /"([0-9a-f]{8}-(?:[0-9a-f]{4}-){3}[0-9a-f]{12})"/g;

/**
 * Deletes pictures that neither a state of their job, undo and redo included, nor the log nor a cloth names, and that have been here for a month. Returns how many. Goes job by job and lets requests in between.
 */
export async function clearPictures(db: Database, now: Date): Promise<number> {
  const before = new Date(now.getTime() - KEPT_MS).toISOString();
  const jobs = db.prepare<[string], { job_id: string | null }>('SELECT DISTINCT job_id FROM picture WHERE created_at < ?').all(before);
  // Named by any state of their job, by an entry of the log, or by a cloth.
  const naming = db.prepare<[string | null], { document: string }>(
    `SELECT document FROM job_step WHERE job_id = ? UNION ALL SELECT document FROM log WHERE instr(document, '"pictures"') > 0
      UNION ALL SELECT document FROM material WHERE kind = 'cloth' AND instr(document, '"picture"') > 0`,
  );
  const old = db.prepare<[string | null, string], { id: string }>('SELECT id FROM picture WHERE job_id IS ? AND created_at < ?');
  const drop = db.prepare<[string]>('DELETE FROM picture WHERE id = ?');
  let cleared = 0;
  for (const { job_id: job } of jobs) {
    db.transaction(() => {
      const named = new Set<string>();
      for (const { document } of naming.iterate(job)) for (const [, id] of document.matchAll(ID)) named.add(id ?? '');
      for (const { id } of old.all(job, before)) if (!named.has(id)) cleared += drop.run(id).changes;
    }).immediate();
    await breathe();
  }
  return cleared;
}
