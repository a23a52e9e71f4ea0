import { shopSchema, type Job } from '@yardland/core';
import fs from 'node:fs';
import { once } from 'node:events';
import os, { availableParallelism } from 'node:os';
import path from 'node:path';
import { Worker } from 'node:worker_threads';
import { Refusal } from '../src/http/refusal';
import { NO_REQUIRED_MODULES } from '../src/workers/threads';
import { Workers, type Asker } from '../src/workers/workers';
import { demoDir, demoJob, running } from './support';

const shop = shopSchema.parse(JSON.parse(fs.readFileSync(path.join(demoDir, 'shop.json'), 'utf8')));
const task = (job: Job) => ({ kind: 'ticket', job: JSON.stringify(job), shop, ask: { index: 0, query: {}, stamp: { revision: 1, printedAt: new Date(0) } } });
const problem = (error: unknown): readonly [number, string] => (error instanceof Refusal ? [error.status, error.problem.code] : [0, String(error)]);

const asker = (name: string): Asker => ({ name, left: new AbortController().signal });

describe('the threads', () => {
  /** What a thread with these options says when it requires an ES module. */
  async function requiring(execArgv: readonly string[]): Promise<string> {
    const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'yardland-thread-'));
    const file = path.join(folder, 'tasks.mjs');
    fs.writeFileSync(file, 'export const print = () => 1;');
    const script = `const { parentPort } = require('node:worker_threads'); try { parentPort.postMessage(typeof require(${JSON.stringify(file)}).print); } catch ({ code }) { parentPort.postMessage(code); }`;
    const [said] = (await once(new Worker(script, { eval: true, execArgv: [...execArgv] }), 'message')) as [string];
    fs.rmSync(folder, { recursive: true });
    return said;
  }

  it('never require the tasks, which would take the server down when an asker leaves at that moment', async () => {
    expect(await requiring(NO_REQUIRED_MODULES)).toBe('ERR_REQUIRE_ESM');
    if ((process.features as { require_module?: boolean }).require_module) expect(await requiring([])).toBe('function');
  });
});

describe('work that takes long', () => {
  it('is ended at the limit, refused when too much waits, and dropped when nobody waits for it', async () => {
    const thorough: Job = { ...demoJob('gallery-and-boxes'), lays: 'thorough' };
    const workers = new Workers({ limitMs: 4000, queue: 1 });
    const stay = asker('one');
    const leaving = new AbortController();
    const all = [1, 2, 3, 4, 5].map((n) =>
      workers.print(task(thorough), n === 2 ? { ...stay, left: leaving.signal } : stay).then(() => [200, ''] as const, problem),
    );
    setTimeout(() => leaving.abort(), 500);
    const answers = await Promise.all(all);
    expect(answers.filter(([, code]) => code === 'busy').length).toBe(Math.max(0, 5 - Math.max(2, availableParallelism() - 1) - 1));
    expect(answers[0]).toEqual([503, 'took-too-long']);
    expect(answers[1]).toEqual([499, 'left']);
    // The threads that were ended are replaced: the next one is answered.
    const after = new Workers({ limitMs: 60_000 });
    expect((await after.print(task(demoJob('storage-chest')), stay)).made.kind).toBe('file');
    await Promise.all([workers.close(), after.close()]);
  }, 90_000);

  it('is begun for each asker in turn: who asks for much waits behind who asks for little, and does not fill the queue', async () => {
    const workers = new Workers({ queue: 20 });
    const done: string[] = [];
    const { job, shop } = task(demoJob('storage-chest'));
    const ask = (name: string): Promise<void> => workers.times({ jobs: [job], shop }, asker(name)).then(() => void done.push(name));
    const running = Math.max(2, availableParallelism() - 1);
    // Every thread is there: how long one takes to start is not what is looked at.
    await Promise.all(Array.from({ length: running }, (_, i) => ask(`first ${i}`)));
    done.length = 0;
    const much = Array.from({ length: running + 8 }, () => ask('much'));
    const little = ask('little');
    const another = ask('another');
    await Promise.all([...much, little, another]);
    // What ran already went first, and one of each line after that.
    expect(done.indexOf('little')).toBeLessThanOrEqual(running + 2);
    expect(done.indexOf('another')).toBeLessThanOrEqual(running + 3);
    const full = await Promise.all(Array.from({ length: running + 11 }, () => ask('much').then(() => '', problem)));
    expect(full.filter((one) => String(one) === '503,busy').length).toBe(1);
    await workers.close();
  }, 90_000);

  it('does not hold up anybody else, and says so when it was too much', async () => {
    const app = await running();
    const { body } = await app.send('POST', '/api/jobs', { job: { ...demoJob('gallery-and-boxes'), lays: 'thorough' } });
    let printed = false;
    const ticket = app
      .get(`/api/jobs/${body.id}/tickets/1.pdf`)
      .catch(() => null)
      .then(() => (printed = true));
    // Forty others are answered before it, one after the other.
    for (let i = 0; i < 40; i++) expect((await app.get('/api/health')).status).toBe(200);
    expect(printed).toBeFalse();
    const tooMany = { ...demoJob(), cushions: Array.from({ length: 100 }, () => ({ ...demoJob().cushions[0], quantity: 500 })) };
    const refused = await app.send('POST', '/api/jobs', { job: tooMany });
    expect([refused.status, refused.body.path]).toEqual([400, 'job.cushions']);
    expect(refused.body.message).toContain('at most 2000 cushions');
    await app.stop();
    await ticket;
  }, 90_000);
});

describe('the clock at the bench', () => {
  it('says of each sort of work how it stands to the shop’s rates, over the jobs that were clocked', async () => {
    const app = await running();
    const sewIn = (body: { works: { work: string; clocked: number; clockedMinutes: number; reckonedMinutes: number; factor: number | null }[] }) =>
      body.works.find(({ work }) => work === 'sew');
    const before = (await app.get('/api/times')).body;
    const [seat] = demoJob().cushions;
    const job = { ...demoJob(), cushions: [seat!] };
    const { body } = await app.send('POST', '/api/jobs', { job });
    const { operations } = (await app.get(`/api/jobs/${body.id}/plan`)).body.cushions[0];
    const sewn = operations.filter(
      (one: { phase: string; needs: string; minutes: number }) => one.phase === 'sew' && one.needs === 'machine' && one.minutes > 0,
    );
    expect(sewn.length).toBeGreaterThanOrEqual(5);
    // All of one kind done on one cushion, each clocked at one and a half times what it is reckoned at.
    const bench = {
      done: Object.fromEntries(sewn.map(({ id }: { id: string }) => [id, { count: 1 }])),
      minutes: Object.fromEntries(sewn.map(({ id, minutes }: { id: string; minutes: number }) => [id, minutes * 1.5])),
    };
    const [first, ...rest] = job.cushions;
    await app.send('PUT', `/api/jobs/${body.id}`, { revision: 1, label: 'Clocked', job: { ...job, cushions: [{ ...first, bench }, ...rest] } });
    const after = (await app.get('/api/times')).body;
    expect(after.jobs).toBe(before.jobs + 1);
    const reckoned = sewn.reduce((sum: number, { minutes }: { minutes: number }) => sum + minutes, 0);
    const [was, is] = [sewIn(before), sewIn(after)];
    expect(is?.clocked).toBe((was?.clocked ?? 0) + sewn.length);
    expect(is?.factor).toBeCloseTo(((was?.clockedMinutes ?? 0) + 1.5 * reckoned) / ((was?.reckonedMinutes ?? 0) + reckoned), 6);
    await app.stop();
  }, 60_000);
});
