import { spawn, spawnSync } from 'node:child_process';
import { once } from 'node:events';
import fs from 'node:fs';
import path from 'node:path';
import Sqlite, { type Database } from 'better-sqlite3';
import { COMMAND_KEY, noteAddress } from '../src/db/address';
import { backUp, backupFolder, backupsIn, clearParts, dailyBackup, keptBackups } from '../src/db/backup';
import { lockFolder } from '../src/db/lock';
import { DatabaseRefused } from '../src/db/migrate';
import { APPLICATION_ID, databaseFile, openDatabase } from '../src/db/open';
import { restore } from '../src/db/restore';
import { prepared } from '../src/jobs/prepared';
import { JobStore } from '../src/jobs/jobs.store';
import { demoJob, root, running, temporaryFolder } from './support';

const names = (file: string): string[] => {
  const db = new Sqlite(file, { readonly: true });
  const rows = db.prepare<[], { name: string }>('SELECT name FROM job ORDER BY name').all();
  db.close();
  return rows.map(({ name }) => name);
};
const add = (db: Database, name: string): void => void new JobStore(db).create(prepared({ ...demoJob(), name }));

describe('a backup', () => {
  it('made while people write holds every job that was answered for before it began, in one file', async () => {
    const app = await running();
    const acknowledged: string[] = [];
    let on = true;
    const writer = async (n: number): Promise<void> => {
      for (let i = 0; on; i++) {
        const name = `writer ${n} line ${i}`;
        const { status } = await app.send('POST', '/api/jobs', { job: { ...demoJob(), name } });
        if (status === 201) acknowledged.push(name);
      }
    };
    const writers = [1, 2, 3].map(writer);
    while (acknowledged.length < 20) await new Promise((resolve) => setTimeout(resolve, 5));
    const before = [...acknowledged];
    const { status, body } = await app.send('POST', '/api/backups');
    on = false;
    await Promise.all(writers);
    expect(status).toBe(201);
    const folder = backupFolder(app.dataDir);
    expect(fs.readdirSync(folder)).toEqual([body.name]);
    expect((await app.get('/api/backups')).body.backups).toEqual([body.name]);
    const held = new Set(names(path.join(folder, body.name)));
    expect(before.filter((name) => !held.has(name))).toEqual([]);
    const copy = new Sqlite(path.join(folder, body.name), { readonly: true });
    expect([copy.pragma('integrity_check', { simple: true }), copy.pragma('application_id', { simple: true })]).toEqual(['ok', APPLICATION_ID]);
    copy.close();
    await app.stop();
  }, 60_000);

  it('asked for several times at once, by hand and by the day, is made as often, one after the other, each under a name of its own', async () => {
    const app = await running();
    const made = await Promise.all([1, 2, 3].map(() => app.send('POST', '/api/backups')));
    expect(made.map(({ status }) => status)).toEqual([201, 201, 201]);
    const named = made.map(({ body }) => body.name as string);
    expect(new Set(named).size).toBe(3);
    expect(backupsIn(app.dataDir)).toEqual([...named].sort().reverse());
    await app.stop();
  }, 60_000);

  it('that was killed half-way leaves nothing behind once the folder is opened again', () => {
    const dataDir = temporaryFolder();
    const folder = backupFolder(dataDir);
    fs.mkdirSync(folder, { recursive: true });
    const whole = 'yardland-2026-03-01T080000Z.db';
    for (const name of [whole, 'yardland-2026-03-02T080000Z.db.part', 'yardland-2026-03-02T080000Z.db.part-journal'])
      fs.writeFileSync(path.join(folder, name), 'x');
    clearParts(dataDir);
    expect(fs.readdirSync(folder)).toEqual([whole]);
    fs.rmSync(dataDir, { recursive: true });
  });

  it('by the command is made by the server that has the folder, while people write without a pause, also where one has to sign in', async () => {
    const app = await running({ passPhrase: 'plain linen and horsehair', key: 'k'.repeat(32) });
    noteAddress(app.dataDir, { url: app.url, key: 'k'.repeat(32) });
    const child = spawn(process.execPath, ['--import', 'tsx', 'server/src/db/command.ts', 'backup'], {
      cwd: root,
      env: { ...process.env, YARDLAND_DATA: app.dataDir },
    });
    let said = '';
    child.stdout.on('data', (data: Buffer) => (said += data.toString()));
    const [code] = (await once(child, 'exit')) as [number];
    const [name] = backupsIn(app.dataDir);
    expect([code, said]).toEqual([0, jasmine.stringContaining(name ?? 'none')]);
    // Nobody else is let in by a guess, and the key opens nothing but this.
    expect((await app.send('POST', '/api/backups', undefined, { [COMMAND_KEY]: 'j'.repeat(32) })).status).toBe(401);
    expect((await fetch(`${app.url}/api/jobs`, { headers: { [COMMAND_KEY]: 'k'.repeat(32) } })).status).toBe(401);
    await app.stop();
  }, 60_000);

  it('is made once a day, and kept by the rule', async () => {
    const dataDir = temporaryFolder();
    const db = openDatabase(dataDir);
    expect((await dailyBackup(db, dataDir, new Date('2026-03-01T08:00:00Z')))?.name).toBe('yardland-2026-03-01T080000Z.db');
    expect(await dailyBackup(db, dataDir, new Date('2026-03-01T17:00:00Z'))).toBeNull();
    expect(backupsIn(dataDir).length).toBe(1);
    db.close();
    const made = (day: string, time = '070000'): string => `yardland-${day}T${time}Z.db`;
    const all = [
      made('2026-03-03'),
      made('2026-03-03', '120000'),
      made('2026-03-02'),
      made('2026-02-27'),
      made('2026-02-10'),
      made('2026-01-31'),
      made('2025-12-05'),
    ];
    // Two days and three months: the newest of 3 and 2 March, and of March, February and January.
    expect(keptBackups(all, 2, 3)).toEqual([made('2026-03-03', '120000'), made('2026-03-02'), made('2026-02-27'), made('2026-01-31')]);
    expect(keptBackups([...all, 'before-restore-2026-03-03T070000Z.db'])).not.toContain('before-restore-2026-03-03T070000Z.db');
    fs.rmSync(dataDir, { recursive: true });
  });

  it('is put back by the command, what was there is kept; while a server has the folder it is refused', async () => {
    const dataDir = temporaryFolder();
    const db = openDatabase(dataDir);
    add(db, 'before');
    const { file } = await backUp(db, dataDir, new Date('2026-03-01T08:00:00Z'));
    add(db, 'after');
    db.close();
    const command = (...words: string[]) =>
      spawnSync(process.execPath, ['--import', 'tsx', 'server/src/db/command.ts', ...words], {
        cwd: root,
        encoding: 'utf8',
        env: { ...process.env, YARDLAND_DATA: dataDir },
      });
    const lock = lockFolder(dataDir);
    const refused = command('restore', file);
    expect([refused.status, refused.stderr]).toEqual([1, jasmine.stringContaining('Another Yardland works on')]);
    lock.release();
    expect(names(databaseFile(dataDir))).toEqual(['after', 'before']);
    const done = command('restore', file);
    expect([done.status, done.stdout]).toEqual([0, jasmine.stringContaining('What was there is kept as')]);
    expect(names(databaseFile(dataDir))).toEqual(['before']);
    const kept = fs.readdirSync(backupFolder(dataDir)).find((name) => name.startsWith('before-restore-'));
    expect(names(path.join(backupFolder(dataDir), kept ?? ''))).toEqual(['after', 'before']);
    expect(command('backup').stdout).toContain('Backed up to');
    fs.rmSync(dataDir, { recursive: true });
  }, 60_000);

  it('that is broken, newer or of something else is not put back, and the database stays as it is', () => {
    const dataDir = temporaryFolder();
    const db = openDatabase(dataDir);
    add(db, 'kept');
    db.close();
    const before = fs.readFileSync(databaseFile(dataDir));
    const file = path.join(dataDir, 'a.db');
    const tries: readonly (readonly [RegExp, () => void])[] = [
      [/There is no file/, () => undefined],
      [/is empty/, () => fs.writeFileSync(file, '')],
      [/not a Yardland database/, () => fs.writeFileSync(file, 'a letter about cushions, and long enough to be looked at '.repeat(200))],
      [/damaged|not a Yardland database/, () => fs.writeFileSync(file, before.subarray(0, Math.floor(before.length * 0.6)))],
      [
        /holds a job, “kept”, that cannot be read/,
        () => {
          fs.writeFileSync(file, before);
          const spoilt = new Sqlite(file);
          spoilt.prepare('UPDATE job_step SET document = replace(document, \'"cushions"\', \'"cushion"\')').run();
          spoilt.close();
        },
      ],
      [
        /newer/,
        () => {
          fs.writeFileSync(file, before);
          const newer = new Sqlite(file);
          newer.prepare("INSERT INTO migration VALUES (9999, 'later', 'x', '')").run();
          newer.close();
        },
      ],
    ];
    for (const [words, make] of tries) {
      make();
      expect(() => restore(file, dataDir, new Date())).toThrowError(DatabaseRefused, words);
      expect(fs.readFileSync(databaseFile(dataDir)).equals(before))
        .withContext(String(words))
        .toBeTrue();
      expect(fs.readdirSync(dataDir).filter((name) => name.includes('.part'))).toEqual([]);
      fs.rmSync(file, { force: true });
    }
    fs.rmSync(dataDir, { recursive: true });
  });
});

describe('a file in the place of the database', () => {
  it('that is empty or of something else is refused untouched, with the newest backup named', async () => {
    const dataDir = temporaryFolder();
    const first = openDatabase(dataDir);
    const { file } = await backUp(first, dataDir, new Date('2026-03-01T08:00:00Z'));
    first.close();
    fs.writeFileSync(databaseFile(dataDir), '');
    expect(() => openDatabase(dataDir)).toThrowError(DatabaseRefused, /is empty/);
    expect(() => openDatabase(dataDir)).toThrowError(DatabaseRefused, new RegExp(`npm run restore -- ${file.replaceAll(/[.\\]/g, '\\$&')}`));
    expect(fs.statSync(databaseFile(dataDir)).size).toBe(0);
    fs.rmSync(databaseFile(dataDir));
    const other = new Sqlite(databaseFile(dataDir));
    other.exec('CREATE TABLE recipe (name TEXT)');
    other.close();
    const before = fs.readFileSync(databaseFile(dataDir));
    expect(() => openDatabase(dataDir)).toThrowError(DatabaseRefused, /of something else/);
    expect(fs.readFileSync(databaseFile(dataDir)).equals(before)).toBeTrue();
    fs.rmSync(dataDir, { recursive: true });
  });
});
