import path from 'node:path';
import Sqlite from 'better-sqlite3';
import { readConfig } from '../config';
import { backUp, backupsIn, backupFolder } from './backup';
import { databaseFile, inspect, troubleWords } from './open';
import { restore } from './restore';

// `npm run backup` and `npm run restore -- FILE`.

const USAGE = 'npm run backup, or npm run restore -- FILE (one of data/backups, or any other)';

async function run([verb, file]: readonly string[], dataDir: string): Promise<string> {
  if (verb === 'backup') {
    inspect(databaseFile(dataDir), dataDir);
    const db = new Sqlite(databaseFile(dataDir), { fileMustExist: true });
    try {
      const made = await backUp(db, dataDir, new Date());
      return `Backed up to ${made.file}, ${Math.ceil(made.bytes / 1000)} kB.`;
    } finally {
      db.close();
    }
  }
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
