import fs from 'node:fs';
import path from 'node:path';
import Sqlite from 'better-sqlite3';
import { DatabaseRefused } from './migrate';

/** Holds a data folder for one process, until it lets go or dies, however it dies. */
export interface Lock {
  readonly release: () => void;
}

/**
 * Takes a data folder for this process: two servers on one database would each think its own plans of the shop are the newest. The operating system's lock on a file beside
 * the database is held, so none is left over after a kill. Throws DatabaseRefused when another process has it.
 */
export function lockFolder(dataDir: string): Lock {
  fs.mkdirSync(dataDir, { recursive: true });
  const lock = new Sqlite(path.join(dataDir, 'yardland.lock'), { timeout: 0 });
  try {
    lock.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    lock.close();
    if ((error as { code?: string }).code !== 'SQLITE_BUSY') throw error;
    throw new DatabaseRefused(`Another Yardland works on ${dataDir}. Stop that one first, or set YARDLAND_DATA to another folder.`);
  }
  return { release: () => lock.close() };
}
