import fs from 'node:fs';
import path from 'node:path';
import { readStoredJob, sampleSchema } from '@yardland/core';
import Sqlite, { type Database } from 'better-sqlite3';
import { ShopStore } from '../shop/shop.store';
import { backupFolder } from './backup';
import { lockFolder } from './lock';
import { DatabaseRefused, migrate } from './migrate';
import { databaseFile, inspect } from './open';

/** Writes a copy through to the disk before anything relies on it. */
function copyThrough(from: string, to: string): void {
  fs.copyFileSync(from, to);
  const handle = fs.openSync(to, 'r+');
  fs.fsyncSync(handle);
  fs.closeSync(handle);
}

/**
 * Replaces a folder's database by a backup. The backup is checked first: one that is broken, newer than this Yardland, or no backup is refused, and nothing changes. The old
 * database is kept beside the backups. A kill at any moment leaves one of the two whole. Returns where the old one is kept, or null. Throws DatabaseRefused.
 */
export function restore(backup: string, dataDir: string, now: Date): string | null {
  if (!fs.existsSync(backup)) throw new DatabaseRefused(`There is no file ${backup}. Nothing was changed.`);
  const lock = lockFolder(dataDir);
  const target = databaseFile(dataDir);
  const part = `${target}.part`;
  try {
    inspect(backup, dataDir);
    copyThrough(backup, part);
    // Brought up to date in the copy: a newer one, or one whose migrations are not ours, is refused here.
    const copy = new Sqlite(part);
    try {
      copy.pragma('journal_mode = DELETE');
      migrate(copy);
      readable(copy, backup);
    } finally {
      copy.close();
    }
    let kept: string | null = null;
    if (fs.existsSync(target)) {
      settle(target);
      fs.mkdirSync(backupFolder(dataDir), { recursive: true });
      kept = path.join(backupFolder(dataDir), `before-restore-${now.toISOString().slice(0, 19).replace(/:/g, '')}Z.db`);
      copyThrough(target, kept);
    }
    for (const ending of ['-wal', '-shm']) fs.rmSync(`${target}${ending}`, { force: true });
    fs.renameSync(part, target);
    return kept;
  } finally {
    for (const ending of ['', '-journal', '-wal', '-shm']) fs.rmSync(`${part}${ending}`, { force: true });
    lock.release();
  }
}

/** Looks whether every document of a database can be read. Throws DatabaseRefused with the first that cannot. */
function readable(db: Database, backup: string): void {
  const spoiled = (what: string): DatabaseRefused =>
    new DatabaseRefused(`The backup ${backup} holds ${what} that cannot be read. Nothing was changed; take an older one.`);
  const jobs = db.prepare<[], { name: string; document: string }>(
    'SELECT j.name, s.document FROM job j JOIN job_step s ON s.job_id = j.id AND s.step = j.step',
  );
  for (const { name, document } of jobs.iterate()) if (!readStoredJob(document).ok) throw spoiled(`a job, “${name}”,`);
  const without = db.prepare<[], { n: number }>(
    'SELECT count(*) AS n FROM job j WHERE NOT EXISTS (SELECT 1 FROM job_step s WHERE s.job_id = j.id AND s.step = j.step)',
  );
  if ((without.get()?.n ?? 0) > 0) throw spoiled('a job without its document,');
  try {
    const shops = new ShopStore(db);
    if (!shops.isEmpty()) shops.read();
  } catch {
    throw spoiled('a shop');
  }
  for (const { document } of db.prepare<[], { document: string }>('SELECT document FROM sample').iterate()) {
    let value: unknown = null;
    try {
      value = JSON.parse(document);
    } catch {
      // Said below.
    }
    if (!sampleSchema.safeParse(value).success) throw spoiled('a sample');
  }
}

/** Brings what is only in the log into the database itself. A database too broken for that is kept as it is. */
function settle(file: string): void {
  try {
    const db = new Sqlite(file);
    db.pragma('wal_checkpoint(TRUNCATE)');
    db.close();
  } catch {
    // It is about to be replaced because it is broken: its bytes are kept nevertheless.
  }
}
