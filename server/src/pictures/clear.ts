import { setImmediate as breathe } from 'node:timers/promises';
import type { Database } from 'better-sqlite3';

/** A picture is kept for this long although nothing names it yet: its job may still be on its way, or wait in a browser. */
const KEPT_MS = 30 * 86_400_000;
const ID = /"([0-9a-f]{8}-(?:[0-9a-f]{4}-){3}[0-9a-f]{12})"/g;

/**
 * Deletes pictures that no state of their job names, undo and redo included, and that have been here for a month. Returns how many. Goes job by job and lets requests in between.
 */
export async function clearPictures(db: Database, now: Date): Promise<number> {
  const before = new Date(now.getTime() - KEPT_MS).toISOString();
  const jobs = db.prepare<[string], { job_id: string }>('SELECT DISTINCT job_id FROM picture WHERE created_at < ?').all(before);
  const steps = db.prepare<[string], { document: string }>('SELECT document FROM job_step WHERE job_id = ?');
  const old = db.prepare<[string, string], { id: string }>('SELECT id FROM picture WHERE job_id = ? AND created_at < ?');
  const drop = db.prepare<[string]>('DELETE FROM picture WHERE id = ?');
  let cleared = 0;
  for (const { job_id: job } of jobs) {
    db.transaction(() => {
      const named = new Set<string>();
      for (const { document } of steps.iterate(job)) for (const [, id] of document.matchAll(ID)) named.add(id ?? '');
      for (const { id } of old.all(job, before)) if (!named.has(id)) cleared += drop.run(id).changes;
    }).immediate();
    await breathe();
  }
  return cleared;
}
