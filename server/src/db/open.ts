import fs from 'node:fs';
import path from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import { DatabaseRefused, migrate } from './migrate';

/**
 * Opens the shop's database in a folder, makes it when it is not there, and brings it up to date. Every write that is answered is on the disk
 * (write-ahead log, synchronised on commit). Throws DatabaseRefused with a sentence when the file is broken or newer.
 */
export function openDatabase(dataDir: string): Database {
  fs.mkdirSync(dataDir, { recursive: true });
  const file = path.join(dataDir, 'yardland.db');
  const db = new Sqlite(file);
  try {
    db.pragma('journal_mode = WAL');
    db.pragma('synchronous = FULL');
    db.pragma('foreign_keys = ON');
    db.pragma('busy_timeout = 5000');
    const health = db.pragma('quick_check', { simple: true });
    if (health !== 'ok') throw new DatabaseRefused(`The database ${file} is damaged (${String(health)}). Restore a backup; it was left as it is.`);
    migrate(db);
  } catch (error) {
    db.close();
    const { code } = error as { code?: string };
    if (code === 'SQLITE_NOTADB' || code === 'SQLITE_CORRUPT') throw new DatabaseRefused(`The file ${file} is not a Yardland database. It was left as it is.`);
    throw error;
  }
  return db;
}
