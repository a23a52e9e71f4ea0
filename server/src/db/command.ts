import path from 'node:path';
import Sqlite from 'better-sqlite3';
import { readConfig } from '../config';
import { COMMAND_KEY, notedAddress } from './address';
import { backUp, backupsIn, backupFolder, type Backup } from './backup';
import { databaseFile, inspect, troubleWords } from './open';
import { restore } from './restore';

// `npm run backup` and `npm run restore -- FILE`.

const USAGE = 'npm run backup, or npm run restore -- FILE (one of data/backups, or any other)';

const words = ({ file, bytes }: Pick<Backup, 'file' | 'bytes'>): string => `Backed up to ${file}, ${Math.ceil(bytes / 1000)} kB.`;

/** A backup by the server that has the folder, which is the quickest while people write; by this command itself where none runs. */
async function backedUp(dataDir: string): Promise<string> {
  const address = notedAddress(dataDir);
  const answer = address && (await fetch(`${address.url}/api/backups`, { method: 'POST', headers: { [COMMAND_KEY]: address.key } }).catch(() => null));
  if (answer?.ok) {
    const { name, bytes } = (await answer.json()) as { readonly name: string; readonly bytes: number };
    return words({ file: path.join(backupFolder(dataDir), name), bytes });
  }
  inspect(databaseFile(dataDir), dataDir);
  const db = new Sqlite(databaseFile(dataDir), { fileMustExist: true });
  try {
    return words(await backUp(db, dataDir, new Date()));
  } finally {
    db.close();
  }
}

async function run([verb, file]: readonly string[], dataDir: string): Promise<string> {
  if (verb === 'backup') return backedUp(dataDir);
  if (verb !== 'restore') throw new Error(USAGE);
  if (!file)
    throw new Error(
      `${USAGE}\n${
        backupsIn(dataDir)
          .map((name) => path.join(backupFolder(dataDir), name))
          .join('\n') || 'There is no backup yet.'
      }`,
    );
  const kept = restore(path.resolve(file), dataDir, new Date());
  return `Restored from ${file}.${kept ? ` What was there is kept as ${kept}.` : ''}`;
}

const { dataDir } = readConfig(process.env, process.env['YARDLAND_ROOT'] ?? process.cwd());
try {
  process.stdout.write(`${await run(process.argv.slice(2), dataDir)}\n`);
} catch (error) {
  process.stderr.write(`${troubleWords(error, dataDir) ?? (error as Error).message}\n`);
  process.exitCode = 1;
}
