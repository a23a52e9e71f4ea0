import fs from 'node:fs';
import path from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';

/** A backup is named by when it was made, UTC: yardland-2026-11-26T190503Z.db */
const NAME = /^yardland-(\d{4})-(\d{2})-(\d{2})T\d{6}Z\.db$/;

/** Kept: one of each of the last days on which there is one, and one of each of the last months. */
export const KEPT_DAYS = 14;
export const KEPT_MONTHS = 12;

export const backupFolder = (dataDir: string): string => path.join(dataDir, 'backups');

export const isBackupName = (name: string): boolean => NAME.test(name);

/** The names of the backups of a folder, the newest first. */
export function backupsIn(dataDir: string): string[] {
  const folder = backupFolder(dataDir);
  return fs.existsSync(folder) ? fs.readdirSync(folder).filter(isBackupName).sort().reverse() : [];
}

/** The path of the newest backup; null when there is none. */
export function newestBackup(dataDir: string): string | null {
  const [newest] = backupsIn(dataDir);
  return newest === undefined ? null : path.join(backupFolder(dataDir), newest);
}

export interface Backup {
  readonly name: string;
  readonly file: string;
  readonly bytes: number;
}

/**
 * Copies a database with its pictures to one file while people work on it (SQLite's online backup). A copy is checked and only then gets its name, so one that was stopped half-way
 * leaves no file. Backups are made one after the other, each under its own name. Throws an Error when the copy is not whole.
 */
export function backUp(db: Database, dataDir: string, now: Date): Promise<Backup> {
  const folder = backupFolder(dataDir);
  const made = (underWay.get(folder) ?? Promise.resolve()).then(() => copied(db, folder, now));
  underWay.set(
    folder,
    made.then(
      () => undefined,
      () => undefined,
    ),
  );
  return made;
}

/** Backups of a folder are made one after the other, whoever asks for them. */
const underWay = new Map<string, Promise<void>>();

const nameAt = (now: Date): string => `yardland-${now.toISOString().slice(0, 19).replace(/:/g, '')}Z.db`;

/** A name that no backup of the folder has: that of the next free second. */
function freeName(folder: string, now: Date): string {
  for (let s = 0; ; s++) {
    const name = nameAt(new Date(now.getTime() + s * 1000));
    if (!fs.existsSync(path.join(folder, name)) && !fs.existsSync(path.join(folder, `${name}.part`))) return name;
  }
}

/** Clears what a backup that was killed has left behind. Only for who has the folder to himself. */
export function clearParts(dataDir: string): void {
  const folder = backupFolder(dataDir);
  if (!fs.existsSync(folder)) return;
  for (const name of fs.readdirSync(folder)) if (/\.part(-journal|-wal|-shm)?$/.test(name)) fs.rmSync(path.join(folder, name), { force: true });
}

async function copied(db: Database, folder: string, now: Date): Promise<Backup> {
  fs.mkdirSync(folder, { recursive: true });
  const name = freeName(folder, now);
  const [file, part] = [path.join(folder, name), path.join(folder, `${name}.part`)];
  try {
    await db.backup(part);
    const copy = new Sqlite(part);
    // One file, with nothing beside it.
    copy.pragma('journal_mode = DELETE');
    const health = copy.pragma('quick_check', { simple: true });
    copy.close();
    if (health !== 'ok') throw new Error(`The backup is not whole (${String(health)}).`);
    fs.renameSync(part, file);
  } finally {
    for (const ending of ['', '-journal', '-wal', '-shm']) fs.rmSync(`${part}${ending}`, { force: true });
  }
  return { name, file, bytes: fs.statSync(file).size };
}

/** The backups that the rule keeps: the newest of each of the last days that have one, and of each of the last months. */
export function keptBackups(names: readonly string[], days = KEPT_DAYS, months = KEPT_MONTHS): string[] {
  const newest = [...names].filter(isBackupName).sort().reverse();
  const firstOf = (length: number, most: number): string[] => {
    const seen = new Set<string>();
    return newest.filter((name) => {
      const key = name.slice(0, 'yardland-'.length + length);
      if (seen.has(key) || seen.size >= most) return false;
      return Boolean(seen.add(key));
    });
  };
  return [...new Set([...firstOf('2026-11-26'.length, days), ...firstOf('2026-11'.length, months)])].sort().reverse();
}

/** Makes the day's backup where there is none yet, and lets those go that the rule does not keep. Returns it, or null. */
export async function dailyBackup(db: Database, dataDir: string, now: Date): Promise<Backup | null> {
  const today = now.toISOString().slice(0, 10);
  if (backupsIn(dataDir).some((name) => name.includes(today))) return null;
  const made = await backUp(db, dataDir, now);
  const names = backupsIn(dataDir);
  const kept = new Set(keptBackups(names));
  for (const name of names) if (!kept.has(name)) fs.rmSync(path.join(backupFolder(dataDir), name));
  return made;
}
