import { spawn } from 'node:child_process';
import { once } from 'node:events';
import fs from 'node:fs';
import path from 'node:path';
import Sqlite from 'better-sqlite3';
import { DatabaseRefused, migrate, MIGRATIONS } from '../src/db/migrate';
import { databaseFile, openDatabase } from '../src/db/open';
import { prepared } from '../src/jobs/prepared';
import { JobStore } from '../src/jobs/jobs.store';
import { ShopStore } from '../src/shop/shop.store';
import { bundledServer, demoJob, root, running, temporaryFolder } from './support';

describe('a database that another program holds', () => {
  it('is said in a sentence with 503, changes nothing, and is written again once it is let go', async () => {
    const app = await running();
    const other = new Sqlite(databaseFile(app.dataDir));
    other.exec('BEGIN IMMEDIATE');
    const held = await app.send('POST', '/api/jobs', { job: demoJob() });
    expect([held.status, held.body.code, held.headers.get('retry-after')]).toEqual([503, 'database-busy', '5']);
    expect(held.body.message).toContain('held by another program');
    other.exec('ROLLBACK');
    other.close();
    expect((await app.send('POST', '/api/jobs', { job: demoJob() })).status).toBe(201);
    await app.stop();
  }, 30_000);
});

describe('the database', () => {
  it('is refused, and left as it is, when it is newer, altered or no database', () => {
    const folder = temporaryFolder();
    openDatabase(folder).close();
    const file = path.join(folder, 'yardland.db');
    const db = new Sqlite(file);
    expect(() => migrate(db, [])).toThrowError(DatabaseRefused, /newer/);
    expect(() => migrate(db, [{ ...MIGRATIONS[0]!, sql: 'SELECT 1' }, ...MIGRATIONS.slice(1)])).toThrowError(DatabaseRefused, /not the one that ships/);
    db.close();
    fs.writeFileSync(file, 'this is not a database at all, but a long enough letter about cushions'.repeat(40));
    const before = fs.readFileSync(file);
    expect(() => openDatabase(folder)).toThrowError(DatabaseRefused, /not a Yardland database/);
    expect(fs.readFileSync(file).equals(before)).toBeTrue();
    fs.rmSync(folder, { recursive: true });
  });

  it('of every older form is brought up to date, with what it holds', () => {
    for (let form = 1; form < MIGRATIONS.length; form++) {
      const db = new Sqlite(':memory:');
      migrate(db, MIGRATIONS.slice(0, form));
      db.prepare("INSERT INTO job (id, revision, step, name, customer, state, created_at, updated_at) VALUES ('j', 1, 1, 'Kept', '', 'new', '', '')").run();
      migrate(db);
      expect(db.prepare('SELECT name FROM job').get()).toEqual({ name: 'Kept' });
      expect(db.prepare('SELECT count(*) AS n FROM migration').get()).toEqual({ n: MIGRATIONS.length });
      db.close();
    }
  });

  it('of every form that ever was opens from a kept one: its shop and job are read, found, changed, and the file stays whole', () => {
    const kept = path.join(root, 'server/test/fixtures');
    const files = fs.readdirSync(kept).filter((name) => /^form-\d+\.sql$/.test(name));
    // Whoever adds a migration keeps a database of the form it makes.
    expect(files.length).toBe(MIGRATIONS.length);
    for (const file of files) {
      const folder = temporaryFolder();
      const old = new Sqlite(databaseFile(folder));
      old.exec(fs.readFileSync(path.join(kept, file), 'utf8'));
      old.close();
      const db = openDatabase(folder);
      const [jobs, shops] = [new JobStore(db), new ShopStore(db)];
      const shop = shops.read().document;
      expect([shop.grades.length, shop.cloths.length, shop.waddings.length]).withContext(file).toEqual([3, 2, 2]);
      const { jobs: found } = jobs.list({ text: 'stalls', today: '2026-01-01', archived: false, limit: 10, from: 0 });
      expect(found.length).withContext(file).toBe(1);
      const { id, revision, job } = jobs.read(found[0]!.id);
      expect([job.format, job.cushions.length]).withContext(file).toEqual(['yardland/job@4', 3]);
      jobs.write(id, revision, 'Name', prepared({ ...job, name: 'Opened again' }));
      expect(jobs.read(id).job.name).withContext(file).toBe('Opened again');
      shops.write(shop, 9);
      expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
      expect(db.pragma('foreign_key_check')).toEqual([]);
      db.close();
      fs.rmSync(folder, { recursive: true });
    }
  });

  it('keeps jobs of an older form and an older document format readable, and finds them by a cushion’s name', () => {
    const document = fs.readFileSync(path.join(root, 'core/src/job/upgrades/fixtures/1-puppeteers-kneelers.json'), 'utf8');
    const db = new Sqlite(':memory:');
    migrate(db, MIGRATIONS.slice(0, 5));
    db.prepare("INSERT INTO job VALUES ('j', 1, 0, 'Old job', '', 'cutting', NULL, 0, '', '')").run();
    db.prepare("INSERT INTO job_step VALUES ('j', 0, '', ?, '')").run(document);
    db.prepare("INSERT INTO cushion VALUES ('j', 0, 'Bridge kneeler', 8, 'rectangle', 420, 300, 40, 'padded-to-the-line')").run();
    migrate(db);
    const store = new JobStore(db);
    const { jobs } = store.list({ text: 'kneel', today: '2026-01-01', archived: false, limit: 10, from: 0 });
    expect(jobs.map(({ name, outlines }) => [name, outlines.length])).toEqual([['Old job', 1]]);
    const { job } = store.read('j');
    expect(job.format).toBe('yardland/job@4');
    expect(Object.keys(job.cushions[0]!.bench!.done)).toContain('cut/cover');
    db.close();
  });

  it('takes a migration whole or not at all', () => {
    const db = new Sqlite(':memory:');
    migrate(db);
    expect(() =>
      migrate(db, [...MIGRATIONS, { name: 'broken', sql: 'CREATE TABLE half (a INTEGER) STRICT; CREATE TABLE job (again INTEGER) STRICT;' }]),
    ).toThrow();
    expect(db.prepare("SELECT count(*) AS n FROM sqlite_schema WHERE name = 'half'").get()).toEqual({ n: 0 });
    migrate(db);
    db.close();
  });
});

describe('a server killed in the middle of writes', () => {
  const start = async (dataDir: string) => {
    const child = spawn(process.execPath, [path.join(await bundledServer(), 'main.js')], {
      cwd: root,
      env: { ...process.env, PORT: '0', YARDLAND_DATA: dataDir, YARDLAND_WEB: 'none', YARDLAND_ROOT: root, LOG_LEVEL: 'silent' },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    let said = '';
    while (!said.includes('open at')) said += String((await once(child.stdout, 'data'))[0]);
    return { child, url: /http:\S+/.exec(said)![0] };
  };

  it('has lost nothing it answered for', async () => {
    const dataDir = temporaryFolder();
    const acknowledged = new Map<string, { revision: number; name: string }>();
    const job = demoJob();
    for (let round = 0; round < 3; round++) {
      const { child, url } = await start(dataDir);
      const gone = once(child, 'exit');
      let alive = true;
      const send = async (method: string, route: string, body: unknown) => {
        const response = await fetch(url + route, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });
        if (!response.ok) throw new Error(String(response.status));
        return (await response.json()) as { id: string; revision: number; job: { name: string } };
      };
      const writer = async (n: number) => {
        let { id, revision } = await send('POST', '/api/jobs', { job: { ...job, name: `writer ${n}` } });
        acknowledged.set(id, { revision, name: `writer ${n}` });
        for (let i = 0; alive; i++) {
          const name = `writer ${n} line ${round}.${i}`;
          ({ revision, id } = await send('PUT', `/api/jobs/${id}`, { revision, label: 'Renamed', job: { ...job, name } }));
          acknowledged.set(id, { revision, name });
        }
      };
      const writers = [1, 2, 3, 4].map((n) => writer(n).catch(() => undefined));
      // Killed once all four are in the middle of their writes, however slow the machine is.
      while (acknowledged.size < 4 * (round + 1)) await new Promise((resolve) => setTimeout(resolve, 20));
      await new Promise((resolve) => setTimeout(resolve, 150 + 150 * round));
      child.kill('SIGKILL');
      alive = false;
      await Promise.all([...writers, gone]);
    }

    const db = new Sqlite(path.join(dataDir, 'yardland.db'));
    expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
    expect(db.pragma('foreign_key_check')).toEqual([]);
    const halfMade = db.prepare('SELECT count(*) AS n FROM job j LEFT JOIN job_step s ON s.job_id = j.id AND s.step = j.step WHERE s.document IS NULL').get();
    expect(halfMade).toEqual({ n: 0 });
    expect(acknowledged.size).toBe(12);
    const read = db.prepare<[string], { revision: number; name: string; document: string }>(
      'SELECT j.revision, j.name, s.document FROM job j JOIN job_step s ON s.job_id = j.id AND s.step = j.step WHERE j.id = ?',
    );
    for (const [id, { revision, name }] of acknowledged) {
      const row = read.get(id)!;
      // A write may have landed whose answer was not read any more: later, never earlier.
      expect(row.revision).toBeGreaterThanOrEqual(revision);
      if (row.revision === revision) expect([row.name, JSON.parse(row.document).name]).toEqual([name, name]);
    }
    db.close();
    fs.rmSync(dataDir, { recursive: true });
  }, 60_000);
});
