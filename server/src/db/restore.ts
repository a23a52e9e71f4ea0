import fs from 'node:fs';
import path from 'node:path';
import Sqlite from 'better-sqlite3';
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

/** Brings what is only in the log into the database itself. A database too broken for that is kept as it is. */
function settle(file: string): void {
  try {
    const db = new Sqlite(file);
    db.pragma('wal_checkpoint(TRUNCATE)');
    db.close();
  } catch {
    // It is about to be replaced because it is broken: its bytes are kept all the same.
  }
}
