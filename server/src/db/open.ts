import fs from 'node:fs';
import path from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import { newestBackup } from './backup';
import { DatabaseRefused, migrate } from './migrate';

/** Stands in the head of every Yardland database (SQLite's application id): the letters YARD. */
export const APPLICATION_ID = 0x59_41_52_44;

export const databaseFile = (dataDir: string): string => path.join(dataDir, 'yardland.db');

/** How long to wait for a lock of another program, ms. */
const BUSY_MS = 1000;

const codeOf = (error: unknown): string => (error as { code?: string }).code ?? '';

/** What to do about a database that is damaged: the newest backup, by name. */
function restoreWords(dataDir: string): string {
  const newest = newestBackup(dataDir);
  return newest
    ? `The newest backup is ${newest}. To go on from it: npm run restore -- ${newest}`
    : 'There is no backup in its folder. Copy the file before anything else is tried on it.';
}

/**
 * Looks at a file before anything is written to it. Throws DatabaseRefused when it is empty, damaged, or a database of something else; one written before
 * the application id is known by its table of migrations.
 */
export function inspect(file: string, dataDir: string): void {
  if (fs.statSync(file).isDirectory())
    throw new DatabaseRefused(
      `There is a folder where the database ${file} should be. It was left as it is: move it away, or set YARDLAND_DATA to another folder.`,
    );
  if (fs.statSync(file).size === 0)
    throw new DatabaseRefused(`The file ${file} is empty: the database that should be there is lost. It was left as it is. ${restoreWords(dataDir)}`);
  let db: Database | null = null;
  try {
    db = new Sqlite(file, { readonly: true, fileMustExist: true });
    const id = db.pragma('application_id', { simple: true });
    const known = db.prepare("SELECT count(*) AS n FROM sqlite_schema WHERE name = 'migration'").get() as { n: number };
    if (id !== APPLICATION_ID && (id !== 0 || known.n === 0))
      throw new DatabaseRefused(`The file ${file} is a database of something else, not of Yardland. It was left as it is.`);
    const health = db.pragma('quick_check', { simple: true });
    if (health !== 'ok') throw new DatabaseRefused(`The database ${file} is damaged (${String(health)}). It was left as it is. ${restoreWords(dataDir)}`);
  } catch (error) {
    if (codeOf(error) === 'SQLITE_NOTADB') throw new DatabaseRefused(`The file ${file} is not a Yardland database. It was left as it is.`);
    if (codeOf(error).startsWith('SQLITE_CORRUPT'))
      throw new DatabaseRefused(`The database ${file} is damaged. It was left as it is. ${restoreWords(dataDir)}`);
    throw error;
  } finally {
    db?.close();
  }
}

/**
 * Opens the shop's database in a folder, makes it when it is not there, and brings it up to date. Every write that is answered is on the disk
 * (write-ahead log, synchronised on commit). Throws DatabaseRefused with a sentence when the file is empty, broken, newer, or not ours.
 */
export function openDatabase(dataDir: string): Database {
  fs.mkdirSync(dataDir, { recursive: true });
  const file = databaseFile(dataDir);
  if (fs.existsSync(file)) inspect(file, dataDir);
  const db = new Sqlite(file);
  try {
    db.pragma('journal_mode = WAL');
    db.pragma('synchronous = FULL');
    db.pragma('foreign_keys = ON');
    // Waiting holds up everybody: a database that another program holds for longer is said.
    db.pragma(`busy_timeout = ${BUSY_MS}`);
    migrate(db);
    db.pragma(`application_id = ${APPLICATION_ID}`);
  } catch (error) {
    db.close();
    throw error;
  }
  return db;
}

/** Why the database of a folder could not be opened or written, in a sentence with what to do; null for anything that is no such case. */
export function troubleWords(error: unknown, dataDir: string): string | null {
  if (error instanceof DatabaseRefused) return error.message;
  switch (codeOf(error)) {
    case 'EACCES':
    case 'EPERM':
    case 'EROFS':
    case 'SQLITE_READONLY':
    case 'SQLITE_READONLY_DIRECTORY':
      return `The folder ${dataDir} cannot be written. Let this user write there, or set YARDLAND_DATA to a folder that can be.`;
    case 'ENOENT':
      return `The folder ${dataDir} cannot be made. Set YARDLAND_DATA to a folder that can be.`;
    case 'ENOTDIR':
    case 'EEXIST':
      return `There is a file where the folder ${dataDir} should be. Set YARDLAND_DATA to a folder.`;
    case 'SQLITE_CANTOPEN':
      return `The database in ${dataDir} cannot be opened. Look whether the folder is there and may be read and written.`;
    case 'ENOSPC':
    case 'SQLITE_FULL':
      return `The disk of ${dataDir} is full. Nothing was lost; make room and start again.`;
    case 'SQLITE_BUSY':
      return `The database in ${dataDir} is held by another program. Close that first.`;
    default:
      return null;
  }
}
