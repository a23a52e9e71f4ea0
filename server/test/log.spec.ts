import { randomUUID } from 'node:crypto';
import type { Job, StoredEntry } from '@yardland/core';
import Papa from 'papaparse';
import { demoJob, running, type Running } from './support';

let app: Running;
beforeAll(async () => {
  app = await running();
});
afterAll(() => app.stop());

const found = async (query: string): Promise<StoredEntry[]> => (await app.get(`/api/log?${query}`)).body.entries as StoredEntry[];
const texts = async (query: string): Promise<string[]> => (await found(query)).map(({ text }) => text);

async function made(job: Job): Promise<{ id: string; revision: number; job: Job }> {
  return (await app.send('POST', '/api/jobs', { job })).body as { id: string; revision: number; job: Job };
}

/** The chest with no check, of a name and a size of its own. */
function chest(name: string): Job {
  const { cushions, ...job } = demoJob('storage-chest');
  const [{ checks: _checks, ...cushion }] = cushions as [Job['cushions'][number]];
  return {
    ...job,
    state: 'sewing',
    name,
    customer: `${name}’s owner`,
    cushions: [{ ...cushion, template: { shape: 'rectangle', widthMm: 777, depthMm: 333 } }],
  };
}

describe('what a job writes into the log itself', () => {
  it('follows the job: written once, corrected, taken back by undo, kept when the job is put away', async () => {
    const { id, job } = await made(chest('Quince'));
    const of = () => found(`job=${id}`);
    expect(await of()).toEqual([]);
    const check = { date: '2026-03-04', widthMm: 770, depthMm: 330, middleMm: 91 };
    const checked = { ...job, state: 'delivered' as const, cushions: [{ ...job.cushions[0]!, checks: [check] }] };
    let at = (await app.send('PUT', `/api/jobs/${id}`, { revision: 1, label: 'Measured', job: checked })).body;
    const [delivered, measured] = await of();
    expect([delivered!.kind, delivered!.text, delivered!.about]).toEqual(['made', 'Delivered: one cushion.', { on: 'job', job: id }]);
    expect([measured!.kind, measured!.day, measured!.about]).toEqual(['measured', '2026-03-04', { on: 'cushion', job: id, index: 0, name: 'Chest top' }]);
    // In the job's units, which are inches.
    expect(measured!.text).toBe('30 3/8 × 13″, 3 5/8″ in the middle.'.replaceAll('″', ' in'));
    const corrected = { ...checked, cushions: [{ ...checked.cushions[0]!, checks: [{ ...check, middleMm: 101.6, remark: 'Full.' }] }] };
    at = (await app.send('PUT', `/api/jobs/${id}`, { revision: at.revision, label: 'Measured', job: corrected })).body;
    const again = (await of()).find(({ kind }) => kind === 'measured')!;
    expect([again.id, again.text.endsWith('4 in in the middle. Full.')]).toEqual([measured!.id, true]);
    at = (await app.send('POST', `/api/jobs/${id}/archive`, { revision: at.revision, archived: true })).body;
    expect((await of()).map(({ of: whose }) => [whose?.name, whose?.archived])).toEqual([
      ['Quince', true],
      ['Quince', true],
    ]);
    at = (await app.send('POST', `/api/jobs/${id}/undo`, { revision: at.revision })).body;
    await app.send('POST', `/api/jobs/${id}/undo`, { revision: at.revision });
    expect(await of()).toEqual([]);
    const refused = await app.send('PUT', `/api/log/${again.id}`, {
      revision: 1,
      entry: { day: '2026-03-04', kind: 'remark', about: { on: 'shop' }, text: 'x' },
    });
    expect(refused.status).toBe(404);
  });

  it('is changed where it stands, never in the log', async () => {
    const [measured] = await found('kind=measured');
    const entry = { day: '2026-03-04', kind: 'remark', about: { on: 'shop' }, text: 'Otherwise' };
    const refused = await app.send('PUT', `/api/log/${measured!.id}`, { revision: 1, entry });
    expect([refused.status, refused.body.code]).toEqual([409, 'entry-written']);
    expect((await app.send('DELETE', `/api/log/${measured!.id}?revision=1`)).status).toBe(409);
  });
});

describe('an entry by hand', () => {
  it('is written, changed with the revision that was seen, and taken out; a stale write gets the current one', async () => {
    const id = randomUUID();
    const entry = { day: '2026-11-30', kind: 'remark', about: { on: 'shop' }, who: 'Ines', text: 'Thread of another maker tried.' };
    const first = await app.send('PUT', `/api/log/${id}`, { revision: 0, entry });
    expect([first.status, first.body.revision, first.body.who, first.body.written]).toEqual([201, 1, 'Ines', null]);
    const second = await app.send('PUT', `/api/log/${id}`, { revision: 1, entry: { ...entry, text: 'Thread of another maker: it frays.' } });
    expect(second.body.text).toContain('it frays');
    const stale = await app.send('PUT', `/api/log/${id}`, { revision: 1, entry });
    expect([stale.status, stale.body.code, stale.body.currentEntry.revision]).toEqual([409, 'stale-revision', 2]);
    expect(await texts('words=frays')).toEqual(['Thread of another maker: it frays.']);
    expect(await texts('words=tried')).toEqual([]);
    expect((await app.send('DELETE', `/api/log/${id}?revision=2`)).status).toBe(204);
    expect(await texts('words=frays')).toEqual([]);
  });

  it('is refused with its path where it says nothing, or is about a job that is not there', async () => {
    const bare = { day: '2026-11-30', kind: 'remark', about: { on: 'shop' }, text: '  ' };
    const empty = await app.send('PUT', `/api/log/${randomUUID()}`, { revision: 0, entry: bare });
    expect([empty.status, empty.body.path]).toEqual([400, 'entry.text']);
    const nowhere = { ...bare, text: 'A word', about: { on: 'job', job: randomUUID() } };
    expect((await app.send('PUT', `/api/log/${randomUUID()}`, { revision: 0, entry: nowhere })).status).toBe(404);
    const odd = await app.send('PUT', `/api/log/${randomUUID()}`, { revision: 0, entry: { ...bare, text: 'A word', complaint: 'wrinkles' } });
    expect([odd.status, odd.body.path]).toEqual([400, 'entry.complaint']);
  });
});

describe('the log is found again', () => {
  const names = async (query: string): Promise<Set<string>> => new Set((await found(`${query}&limit=500`)).flatMap(({ of }) => of?.name ?? []));

  it('by words of the entry, the job, the customer or a cushion', async () => {
    expect(await texts('words=shutter')).toEqual(['Rubs on the shutter when it is opened.']);
    expect([...(await names('words=box%20office'))]).toEqual(['Cashier’s stool']);
    expect(await names('words=Settee%20back')).toContain('Patrons’ settee');
    // Fewer than three letters are looked for as they stand.
    expect((await texts('words=3m')).length).toBe(0);
    expect((await texts('words=8%20')).length).toBeGreaterThan(0);
    expect((await texts('words=%25')).length).toBe(0);
  });

  it('by cloth, filling, school, construction, customer and year, all of which have to hold', async () => {
    expect([...(await names('cloth=foyer-vinyl'))]).toEqual(['Ticket hall bench']);
    expect([...(await names('filling=wren-22-soft'))]).toEqual(['Patrons’ settee']);
    expect([...(await names('school=measured-over-the-wrap'))]).toEqual(['Wardrobe bench']);
    expect([...(await names('construction=boxed&cloth=meadow-jacquard'))].sort()).toEqual(['Directors’ box chairs', 'Library window seat']);
    expect((await names('construction=bolster&cloth=meadow-jacquard')).size).toBe(0);
    const { customers, years } = (await app.get('/api/log/facets')).body as { customers: string[]; years: number[] };
    expect(customers).toContain('Lantern House, library');
    const year = years.at(-1)!;
    const ofYear = await found(`year=${year}&limit=500`);
    expect(ofYear.length).toBeGreaterThan(0);
    expect(ofYear.every(({ day }) => day.startsWith(`${year}-`))).toBeTrue();
  });

  it('by size within a tenth, either way round; a cushion’s own entries are not found by its neighbour’s size', async () => {
    // The settee's seats are 640 × 620, its backs 620 × 460.
    const backs = await found('widthMm=460&depthMm=600&limit=500');
    expect(new Set(backs.filter(({ about }) => about.on === 'cushion').map(({ about }) => (about as { name: string }).name))).toEqual(new Set(['Settee back']));
    expect([...(await names('cloth=foyer-vinyl&widthMm=1650&depthMm=460'))]).toEqual(['Ticket hall bench']);
    expect((await names('cloth=foyer-vinyl&widthMm=1800&depthMm=460')).size).toBe(0);
    expect((await names('cloth=foyer-vinyl&widthMm=1650&depthMm=460&heightMm=120')).size).toBe(0);
  });

  it('page by page, newest first, none twice and none left out', async () => {
    const all = await found('limit=500');
    const { total } = (await app.get('/api/log?limit=7')).body as { total: number };
    expect(total).toBe(all.length);
    const paged: string[] = [];
    for (let from = 0; from < total; from += 7) paged.push(...(await found(`limit=7&from=${from}`)).map(({ id }) => id));
    expect(paged).toEqual(all.map(({ id }) => id));
    expect(all.map(({ day }) => day)).toEqual([...all.map(({ day }) => day)].sort().reverse());
  });

  it('and taken away as CSV, all of what was asked for, with the names of materials', async () => {
    const { body } = await app.get('/api/log/log.csv?kind=bought');
    const { data } = Papa.parse<Record<string, string>>(String(body).replace(/^\uFEFF/, ''), { header: true, skipEmptyLines: true });
    expect(data.length).toBe((await found('kind=bought&limit=500')).length);
    expect(data.find(({ text }) => text === 'Lot H40-0288 came for it.')?.['material']).toBe('Heron 40');
  });
});

describe('the demo shop’s past', () => {
  it('is twelve delivered jobs put away, about sixty entries over two years, thirty checks, two complaints and one made again', async () => {
    const away = (await app.get('/api/jobs?archived=yes&state=delivered')).body as { total: number };
    expect(away.total).toBe(12);
    const entries = await found('limit=500');
    expect([entries.filter(({ kind }) => kind === 'complaint').length, (await found('words=To%20be%20made%20again')).length]).toEqual([2, 1]);
    // The thirty, and the one of the chest that is delivered but not put away.
    expect(entries.filter(({ kind, of }) => kind === 'measured' && of?.archived).length).toBe(30);
    const { jobs } = (await app.get('/api/log/checked')).body as { jobs: { job: Job }[] };
    expect(jobs.flatMap(({ job }) => job.cushions.flatMap(({ checks = [] }) => checks)).length).toBe(31);
  });
});
