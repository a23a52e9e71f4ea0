import { randomUUID } from 'node:crypto';
import { SHIPPED_SCHOOLS, shopSchema } from '@yardland/core';
import fc from 'fast-check';
import type { Job, JobSummary } from '@yardland/core';
import { demoJob, running, type Running } from './support';

let app: Running;
beforeAll(async () => {
  app = await running();
});
afterAll(() => app.stop());

async function fresh(job: Job = demoJob()): Promise<{ id: string; revision: number; job: Job }> {
  const { status, body } = await app.send('POST', '/api/jobs', { job });
  expect(status).toBe(201);
  return body;
}

describe('the demo jobs', () => {
  it('come with the demo shop: listed by due date, searched by cushion, filtered by state and lateness', async () => {
    const app = await running();
    const { body } = await app.get('/api/jobs');
    expect(body.total).toBeGreaterThanOrEqual(4);
    const dates = body.jobs.filter((job: JobSummary) => job.state !== 'delivered' && job.dueDate).map((job: JobSummary) => job.dueDate);
    expect(dates).toEqual([...dates].sort());
    expect((await app.get('/api/jobs?search=kneel')).body.jobs.map((job: JobSummary) => job.name)).toEqual(['Puppeteers’ kneelers']);
    expect((await app.get('/api/jobs?search=50%25')).body.total).toBe(0);
    expect((await app.get('/api/jobs?state=late')).body.jobs.map((job: JobSummary) => job.name)).toEqual(['Puppeteers’ kneelers']);
    expect((await app.get('/api/jobs?state=odd')).status).toBe(400);
    await app.stop();
  });
});

describe('a long list', () => {
  it('comes in pages that together are the whole, each job once, and says how many there are past its end too', async () => {
    const app = await running();
    // All alike in state, date and name: only their ids tell them apart.
    for (let i = 0; i < 30; i++) await app.send('POST', '/api/jobs', { job: { ...demoJob('storage-chest'), name: 'One of thirty' } });
    for (const query of ['', 'search=thirty&', 'search=ty&']) {
      const { total } = (await app.get(`/api/jobs?${query}limit=1`)).body;
      const ids: string[] = [];
      for (let from = 0; from < total; from += 7)
        ids.push(...(await app.get(`/api/jobs?${query}limit=7&from=${from}`)).body.jobs.map((job: JobSummary) => job.id));
      expect([ids.length, new Set(ids).size])
        .withContext(query)
        .toEqual([total, total]);
      expect((await app.get(`/api/jobs?${query}from=5000`)).body)
        .withContext(query)
        .toEqual({ jobs: [], total });
    }
    expect((await app.get('/api/jobs?from=-1')).status).toBe(400);
    await app.stop();
  });
});

describe('jobs', () => {
  it('are given back as they were written, whatever fields they use', async () => {
    for (const name of ['prompt-side-boxes', 'storage-chest', 'puppeteers-kneelers']) {
      const job = demoJob(name);
      const { id } = await fresh(job);
      expect((await app.get(`/api/jobs/${id}`)).body.job).toEqual(job);
      const exported = await app.get(`/api/jobs/${id}/export`);
      expect(exported.body).toEqual(job);
      expect(exported.headers.get('content-disposition')).toMatch(/^attachment; filename="?[a-z-]+\.job\.json"?$/);
    }
  });

  it('take a write that names the revision it saw, and refuse a stale one with the current job', async () => {
    const { id, job } = await fresh();
    const first = await app.send('PUT', `/api/jobs/${id}`, { revision: 1, label: 'Renamed', job: { ...job, name: 'One' } });
    expect([first.status, first.body.revision, first.body.undo]).toEqual([200, 2, 'Renamed']);
    const stale = await app.send('PUT', `/api/jobs/${id}`, { revision: 1, label: 'Renamed', job: { ...job, name: 'Two' } });
    expect([stale.status, stale.body.code, stale.body.path]).toEqual([409, 'stale-revision', 'revision']);
    expect(stale.body.current.job.name).toBe('One');
    expect((await app.get(`/api/jobs/${id}`)).body.job.name).toBe('One');
  });

  it('give the steps on both sides of where they stand, the nearest first, so that a window can go there without the server', async () => {
    const { id, job } = await fresh();
    let revision = 1;
    for (let i = 1; i <= 24; i++)
      revision = (await app.send('PUT', `/api/jobs/${id}`, { revision, label: `Step ${i}`, job: { ...job, name: `Name ${i}` } })).body.revision;
    for (let i = 0; i < 2; i++) revision = (await app.send('POST', `/api/jobs/${id}/undo`, { revision })).body.revision;
    const { body } = await app.get(`/api/jobs/${id}/steps`);
    const said = (steps: { label: string; job: Job }[]): string[] => steps.map((step) => `${step.label}: ${step.job.name}`);
    expect(body.revision).toBe(revision);
    expect(said(body.future)).toEqual(['Step 23: Name 23', 'Step 24: Name 24']);
    expect([body.past.length, ...said(body.past).slice(0, 2)]).toEqual([20, 'Step 22: Name 21', 'Step 21: Name 20']);
    const { body: first } = await app.get(`/api/jobs/${(await fresh()).id}/steps`);
    expect([first.past, first.future]).toEqual([[], []]);
  });

  it('undo and redo over two hundred steps, and a new change ends the redo', async () => {
    const { id, job } = await fresh();
    let revision = 1;
    for (let i = 1; i <= 200; i++)
      revision = (await app.send('PUT', `/api/jobs/${id}`, { revision, label: `Step ${i}`, job: { ...job, name: `Name ${i}` } })).body.revision;
    let last;
    for (let i = 0; i < 200; i++) {
      last = (await app.send('POST', `/api/jobs/${id}/undo`, { revision })).body;
      revision = last.revision;
    }
    expect(last.job).toEqual(job);
    expect([last.undo, last.redo]).toEqual([null, 'Step 1']);
    const none = await app.send('POST', `/api/jobs/${id}/undo`, { revision });
    expect([none.status, none.body.code]).toEqual([409, 'nothing-to-undo']);
    last = (await app.send('POST', `/api/jobs/${id}/redo`, { revision })).body;
    expect(last.job.name).toBe('Name 1');
    last = (await app.send('PUT', `/api/jobs/${id}`, { revision: last.revision, label: 'Else', job: { ...job, name: 'Else' } })).body;
    expect([last.undo, last.redo]).toEqual(['Else', null]);
    expect((await app.get('/api/jobs?search=Else')).body.total).toBe(1);
  });

  it('are copied without what was done on the bench and what can be cut once only, archived and brought back', async () => {
    const chest = demoJob('storage-chest');
    const zip = { id: 'zip-1', lengthMm: 545, colour: 'black', kind: 'closed-end' as const, from: 'an old cover' };
    const cushions = chest.cushions.map((cushion) => ({ ...cushion, madeForZip: zip }));
    const { id } = await fresh({ ...chest, cushions, zips: ['zip-1'], remnants: ['end-of-velvet'], lots: [{ material: 'wren-28', lot: 'K7' }] });
    const copy = (await app.send('POST', `/api/jobs/${id}/duplicate`)).body;
    expect([copy.job.cushions[0].checks, copy.job.remnants]).toEqual([undefined, undefined]);
    expect([copy.job.cushions[0].madeForZip, copy.job.zips]).toEqual([undefined, undefined]);
    // What was cut from which lot is told to whoever makes it again.
    expect(copy.job.lots).toEqual([{ material: 'wren-28', lot: 'K7', before: true }]);
    expect([copy.job.state, copy.job.name]).toEqual(['new', 'Storage chest top, again']);
    const archived = await app.send('POST', `/api/jobs/${copy.id}/archive`, { revision: 1, archived: true });
    expect(archived.body.archived).toBeTrue();
    expect((await app.get('/api/jobs?search=Storage%20chest%20top,%20again')).body.total).toBe(0);
    expect((await app.get('/api/jobs?search=Storage%20chest%20top,%20again&archived=yes')).body.total).toBe(1);
    expect((await app.send('POST', `/api/jobs/${copy.id}/archive`, { revision: 2, archived: false })).body.archived).toBeFalse();
  });
});

describe('what is not as it should be', () => {
  it('is refused with code, path and sentence, and changes nothing', async () => {
    const { id, job } = await fresh();
    const bad = { ...job, cushions: [{ ...job.cushions[0], heightMm: 0 }] };
    const refused = await app.send('PUT', `/api/jobs/${id}`, { revision: 1, label: 'x', job: bad });
    expect([refused.status, refused.body.path]).toEqual([400, 'job.cushions.0.heightMm']);
    expect(refused.body.message.length).toBeGreaterThan(10);
    expect((await app.get(`/api/jobs/${id}`)).body.revision).toBe(1);
    expect((await app.send('POST', '/api/jobs', '{"half')).body.code).toBe('body-not-json');
    expect((await app.send('POST', '/api/jobs', JSON.stringify({ job: 'x'.repeat(3e6) }))).body.code).toBe('body-too-large');
    expect((await app.get('/api/jobs/none')).body.code).toBe('not-found');
    expect((await app.get('/api/nowhere')).body.code).toBe('no-such-route');
  });

  it('never makes the server stumble, however it is shaped', async () => {
    const { id } = await fresh();
    await fc.assert(
      fc.asyncProperty(
        fc.constantFrom('POST /api/jobs', `PUT /api/jobs/${id}`, `POST /api/jobs/${id}/undo`, `POST /api/jobs/${id}/archive`),
        fc.jsonValue(),
        async (route, body) => {
          const [method = '', path = ''] = route.split(' ');
          const answer = await app.send(method, path, JSON.stringify(body));
          expect(answer.status).withContext(JSON.stringify(body)).toBe(400);
          expect(Object.keys(answer.body)).toEqual(jasmine.arrayContaining(['code', 'path', 'message']));
        },
      ),
      { seed: 91, numRuns: 120 },
    );
  });
});

describe('remnants that jobs have set aside', () => {
  it('are told with the job, until it is delivered or put away', async () => {
    const held = async (): Promise<string[]> =>
      (await app.get('/api/jobs/held-remnants')).body.held
        .filter(({ remnant }: { remnant: string }) => remnant === 'end-of-velvet')
        .map(({ name }: { name: string }) => name);
    const one = await fresh({ ...demoJob(), name: 'One', remnants: ['end-of-velvet'] });
    const two = await fresh({ ...demoJob(), name: 'Two', remnants: ['other'] });
    expect(await held()).toEqual(['One']);
    // A remnant can be cut once only: a second job is refused it, with who has it and who is due first.
    const both = { ...two.job, remnants: ['other', 'end-of-velvet'] };
    const asked = async (revision: number, job: object) => app.send('PUT', `/api/jobs/${two.id}`, { revision, label: 'Remnant', job });
    const refused = await asked(1, both);
    expect([refused.status, refused.body.code, refused.body.path]).toEqual([422, 'remnant-taken', 'job.remnants']);
    expect(refused.body.message).toContain('set aside for “One” already. That one is due first');
    expect((await asked(1, { ...both, dueDate: '2020-01-01' })).body.message).toContain('This job is due first: take it off “One”');
    expect((await app.send('POST', '/api/jobs', { job: { ...demoJob(), remnants: ['end-of-velvet'] } })).body.code).toBe('remnant-taken');
    // What it has itself stands in no change's way.
    expect((await app.send('PUT', `/api/jobs/${one.id}`, { revision: 1, label: 'Name', job: { ...one.job, name: 'One more' } })).status).toBe(200);
    await app.send('PUT', `/api/jobs/${one.id}`, { revision: 2, label: 'Delivered', job: { ...one.job, state: 'delivered' } });
    expect(await held()).toEqual([]);
    expect((await asked(1, both)).status).toBe(200);
    expect(await held()).toEqual(['Two']);
    await app.send('POST', `/api/jobs/${two.id}/archive`, { revision: 2, archived: true });
    expect(await held()).toEqual([]);
    // Brought back it has it again; not where somebody else has taken it meanwhile.
    const three = await fresh({ ...demoJob(), name: 'Three', remnants: ['end-of-velvet'] });
    const back = async (revision: number) => app.send('POST', `/api/jobs/${two.id}/archive`, { revision, archived: false });
    expect([(await back(3)).body.code, await held()]).toEqual(['remnant-taken', ['Three']]);
    await app.send('POST', `/api/jobs/${three.id}/archive`, { revision: 1, archived: true });
    expect([(await back(3)).status, await held()]).toEqual([200, ['Two']]);
  });
});

describe('the shop', () => {
  it('says which jobs name a thing of it, those put away too', async () => {
    const own = { ...demoJob('storage-chest'), cloth: { material: 'gauze-linen', widthMm: 1500 }, name: 'In gauze' };
    const { body } = await app.send('POST', '/api/jobs', { job: own });
    const uses = async (id: string) => (await app.get(`/api/shop/uses/${id}`)).body as unknown;
    expect(await uses('gauze-linen')).toEqual({ count: 1, jobs: ['In gauze'] });
    expect(await uses('gauze')).toEqual({ count: 0, jobs: [] });
    await app.send('POST', `/api/jobs/${body.id}/archive`, { revision: body.revision, archived: true });
    expect(await uses('gauze-linen')).toEqual({ count: 1, jobs: ['In gauze'] });
  });

  it('is written whole with the revision that was seen; a stale write gets the current one', async () => {
    const { body } = await app.get('/api/shop');
    expect(body.revision).toBe(1);
    const ours = { ...SHIPPED_SCHOOLS[0]!, id: 'ours', name: 'Ours' };
    const changed = {
      ...body.shop,
      machine: 'home',
      fill: 'bag-left',
      wrapFix: 'staples',
      rawEdges: 'overlocked',
      rawEdgesSynthetic: 'sealed',
      usual: { boxed: { edge: 'welt', cordMm: 6 } },
      people: ['Alma', 'Bo'],
      learnt: [{ id: randomUUID(), day: '2026-11-02', what: 'constant', key: 'waddingLoftShare', name: 'Loft', from: null, to: 0.84, checks: 24 }],
      calibration: { trimOffMm: 40 },
      schools: [ours],
      zips: [{ id: 'zip', lengthMm: 640, colour: 'black', kind: 'continuous', from: 'an old cover' }],
      remnants: [{ id: 'wren-28-75', grade: 'wren-28', thicknessMm: 75, widthMm: 600, lengthMm: 1190 }],
    };
    // Nothing of the document may be left out on the way to the disk: it has every field there is.
    expect(Object.keys(changed).sort()).toEqual(Object.keys(shopSchema.shape).sort());
    const written = await app.send('PUT', '/api/shop', { revision: 1, shop: changed });
    expect([written.status, written.body.revision]).toEqual([200, 2]);
    expect((await app.get('/api/shop')).body).toEqual({ revision: 2, shop: changed });
    const stale = await app.send('PUT', '/api/shop', { revision: 1, shop: body.shop });
    expect([stale.status, stale.body.code, stale.body.currentShop.revision]).toEqual([409, 'stale-revision', 2]);
    expect((await app.send('PUT', '/api/shop', { revision: 2, shop: { ...changed, grades: [{ id: 'x' }] } })).body.path).toBe('shop.grades.0.name');
    expect((await app.send('PUT', '/api/shop', { revision: 2, shop: { ...changed, schools: [SHIPPED_SCHOOLS[0]] } })).body.path).toBe('shop.schools');
    expect((await app.send('PUT', '/api/shop', { revision: 2, shop: { ...changed, people: ['Bo', 'Bo'] } })).body.path).toBe('shop.people');
    expect((await app.send('PUT', '/api/shop', { revision: 2, shop: { ...changed, calibration: { noSuch: 1 } } })).status).toBe(400);
  });
});
