import fs from 'node:fs';
import path from 'node:path';
import {
  jobSchema,
  LAY_ENGINE,
  MOST_KEPT_LAYS,
  openShop,
  planSolved,
  shopSchema,
  validateLay,
  type HeavyAnswer,
  type KeptLay,
  type LayAnswer,
} from '@yardland/core';
import { openDatabase } from '../src/db/open';
import { JobStore } from '../src/jobs/jobs.store';
import { prepared } from '../src/jobs/prepared';
import { KeptLayStore } from '../src/lays/kept-lays.store';
import { demoDir, demoJob, running, temporaryFolder, type Running } from './support';

interface PlanRead {
  readonly lays: readonly { readonly answer: LayAnswer }[];
}

let app: Running;
let job = '';
beforeAll(async () => {
  app = await running();
});
// Each with a job of its own: they come in any order.
beforeEach(async () => {
  job = (await app.send('POST', '/api/jobs', { job: demoJob('storage-chest') })).body.id as string;
});
afterAll(() => app.stop());

const kept = async (): Promise<KeptLay[]> => (await app.get(`/api/jobs/${job}/lays`)).body.lays as KeptLay[];
const keep = (lays: readonly KeptLay[], engine = LAY_ENGINE) => app.send('PUT', `/api/jobs/${job}/lays`, { engine, lays });
const lengths = async (): Promise<number[]> =>
  ((await app.get(`/api/jobs/${job}/plan`)).body as PlanRead).lays.map(({ answer }) => answer.lengthMm).sort((a, b) => a - b);

/** The same lay 100 mm further along its roll, as nobody would search for it. */
const further = (answer: LayAnswer): LayAnswer => ({
  ...answer,
  placements: answer.placements.map((one) => ({ ...one, x: one.x + 100 })),
  lengthMm: answer.lengthMm + 100,
});

describe('lays that are kept with a job', () => {
  it('are those that its plan had to search for, and serve for the next one; one that cannot be cut is searched for anew', async () => {
    expect(await kept()).toEqual([]);
    const found = await lengths();
    const lays = await kept();
    expect(lays.map(({ answer }) => answer.lengthMm).sort((a, b) => a - b)).toEqual(found);
    const roll = lays.find(({ answer }) => answer.placements.length > 1 && answer.sheets === 1)!;

    expect((await keep([{ ...roll, answer: further(roll.answer) }])).status).toBe(204);
    const there = found.map((mm) => (mm === roll.answer.lengthMm ? mm + 100 : mm)).sort((a, b) => a - b);
    expect(await lengths()).toEqual(there);

    // All its pieces on one place: it is not believed.
    const [first] = roll.answer.placements;
    const heap = { ...roll.answer, placements: roll.answer.placements.map((one) => ({ ...one, x: first!.x, y: first!.y })) };
    expect((await keep([{ ...roll, answer: heap }])).status).toBe(204);
    expect(await lengths()).toEqual(found);
    // And what was found in its place is kept instead.
    expect((await kept()).find(({ hash }) => hash === roll.hash)?.answer).toEqual(roll.answer);
  }, 60_000);

  it('are refused from another engine, with less than a lay in them, and for a job that is not there', async () => {
    await lengths();
    const lays = await kept();
    const older = await keep(lays, LAY_ENGINE + 1);
    expect([older.status, older.body.path]).toEqual([400, 'engine']);
    const { placements: _gone, ...less } = lays[0]!.answer;
    const broken = await keep([{ hash: 'x', answer: less as LayAnswer }]);
    expect([broken.status, broken.body.path]).toEqual([400, 'lays.0.answer.placements']);
    expect((await app.get('/api/jobs/00000000-0000-4000-8000-000000000000/lays')).status).toBe(404);
    expect(await kept()).toEqual(lays);
  });
});

describe('the store of kept lays', () => {
  const answer = (over: Partial<LayAnswer> = {}): LayAnswer => ({
    format: 'yardland/lay-answer@2',
    placements: [],
    sheets: 1,
    lengthMm: 10,
    unplaced: [],
    bound: 0,
    use: 1,
    moves: 1,
    stopped: false,
    ...over,
  });

  it('never puts a stopped lay in the place of a finished one, keeps the newest, and lets those of archived jobs and other engines go', () => {
    const db = openDatabase(temporaryFolder());
    const jobs = new JobStore(db);
    const { id } = jobs.create(prepared(demoJob('storage-chest')));
    const store = new KeptLayStore(db);
    const length = (hash: string): number | undefined => store.of(id).find((one) => one.hash === hash)?.answer.lengthMm;

    store.keep(id, [{ hash: 'a', answer: answer({ stopped: true, lengthMm: 12 }) }]);
    expect(length('a')).toBe(12);
    store.keep(id, [{ hash: 'a', answer: answer() }]);
    store.keep(id, [{ hash: 'a', answer: answer({ stopped: true, lengthMm: 11 }) }]);
    expect(length('a')).toBe(10);

    db.prepare('UPDATE kept_lay SET engine = engine + 1').run();
    expect(store.of(id)).toEqual([]);
    store.keep(id, [{ hash: 'b', answer: answer() }]);
    expect(store.clear()).toBe(1);
    expect(store.of(id).map(({ hash }) => hash)).toEqual(['b']);

    db.prepare('UPDATE kept_lay SET kept_at = 0').run();
    for (let i = 0; i < MOST_KEPT_LAYS; i++) store.keep(id, [{ hash: `c${i}`, answer: answer() }]);
    expect(store.of(id).length).toBe(MOST_KEPT_LAYS);
    expect(length('b')).toBeUndefined();

    jobs.archive(id, 1, true);
    expect(store.clear()).toBe(MOST_KEPT_LAYS);
    db.close();
  });
});

describe('the lays that come with the demo', () => {
  it('are those that its jobs ask for, and can be cut; where they are not: npm run demo-lays', () => {
    const read = (file: string): unknown => JSON.parse(fs.readFileSync(path.join(demoDir, file), 'utf8'));
    const shop = openShop(shopSchema.parse(read('shop.json')));
    const { engine, jobs } = read('lays.json') as { readonly engine: number; readonly jobs: Readonly<Record<string, readonly KeptLay[]>> };
    expect(engine).toBe(LAY_ENGINE);
    const files = (read('manifest.json') as { readonly file: string }[]).map(({ file }) => file);
    expect(Object.keys(jobs).sort()).toEqual([...files].sort());
    for (const file of files) {
      const given = (jobs[file] ?? []).map(({ hash, answer }): [string, HeavyAnswer] => [hash, { format: 'yardland/checked-lay@2', answer, problems: [] }]);
      const missing: string[] = [];
      const made = planSolved(
        jobSchema.parse(read(file)),
        shop,
        ({ hash, request }) => {
          if (request.format !== 'yardland/lay-request@2') return true;
          missing.push(hash);
          return false;
        },
        Object.fromEntries(given),
      );
      expect(missing).withContext(file).toEqual([]);
      expect(made.lays.length).withContext(file).toBe(given.length);
      for (const { request, answer, key } of made.lays)
        expect(answer && validateLay(request, answer))
          .withContext(`${file} ${key}`)
          .toEqual([]);
    }
  }, 120_000);
});
