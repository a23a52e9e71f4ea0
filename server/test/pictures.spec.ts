import path from 'node:path';
import Sqlite from 'better-sqlite3';
import sharp from 'sharp';
import { clearPictures } from '../src/pictures/clear';
import { running, type Running } from './support';

let app: Running;
let job: string;
beforeAll(async () => {
  app = await running();
  job = (await app.get('/api/jobs')).body.jobs[0].id;
});
afterAll(() => app.stop());

const post = async (file: Buffer, type = 'image/jpeg', to = job) =>
  fetch(`${app.url}/api/jobs/${to}/pictures`, { method: 'POST', headers: { 'content-type': type }, body: new Uint8Array(file) });
const plain = (width: number, height: number) => sharp({ create: { width, height, channels: 3, background: '#c8a860' } });

describe('pictures', () => {
  it('are kept upright, resized, and without what else was in the file', async () => {
    const place = { IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' }, IFD0: { Artist: 'nobody', Orientation: '6' } };
    const file = await plain(3200, 2000).withExif(place).withMetadata({ orientation: 6 }).jpeg().toBuffer();
    expect((await sharp(file).metadata()).exif).toBeDefined();
    const answer = await post(file);
    expect(answer.status).toBe(201);
    const picture = (await answer.json()) as { id: string; width: number; height: number };
    // Lying on its side in the file: upright it is taller than wide.
    expect([picture.width, picture.height]).toEqual([1000, 1600]);
    const kept = await app.get(`/api/pictures/${picture.id}`);
    expect(kept.headers.get('content-type')).toBe('image/jpeg');
    const meta = await sharp(kept.body as Buffer).metadata();
    expect([meta.width, meta.height, meta.exif, meta.xmp, meta.iptc, meta.orientation]).toEqual([1000, 1600, undefined, undefined, undefined, undefined]);
  });

  it('are refused when they are none, carry script, or are too large, and nothing is kept', async () => {
    const drawing = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="10" height="10"><script>alert(1)</script></svg>');
    const torn = (await plain(400, 400).jpeg().toBuffer()).subarray(0, 300);
    for (const [file, type] of [
      [drawing, 'image/svg+xml'],
      [drawing, 'image/png'],
      [torn, 'image/jpeg'],
      [Buffer.from('hello'), 'image/jpeg'],
      [Buffer.alloc(0), 'image/jpeg'],
      [await plain(9000, 7000).png().toBuffer(), 'image/png'],
    ] as const) {
      const answer = await post(file, type);
      expect(answer.status).withContext(type).toBe(400);
      expect(((await answer.json()) as { code: string }).code).toBe('not-a-picture');
    }
    expect((await post(Buffer.alloc(21 * 1024 * 1024))).status).toBe(413);
    expect((await app.get('/api/pictures/none')).status).toBe(404);
    const elsewhere = await fetch(`${app.url}/api/jobs/nowhere/pictures`, {
      method: 'POST',
      headers: { 'content-type': 'image/png' },
      body: new Uint8Array(8),
    });
    expect(elsewhere.status).toBe(404);
  });

  it('of one job are no more than its limit, also when they come at once', async () => {
    const db = new Sqlite(path.join(app.dataDir, 'yardland.db'));
    const { jobs } = (await app.get('/api/jobs')).body;
    const full = jobs[1].id;
    const put = db.prepare("INSERT INTO picture (id, job_id, width, height, jpeg, created_at) VALUES (?, ?, 1, 1, x'00', '2026-01-01T00:00:00.000Z')");
    for (let i = 0; i < 198; i++) put.run(`full-${i}`, full);
    const file = await plain(20, 20).jpeg().toBuffer();
    const answers = await Promise.all(Array.from({ length: 6 }, () => post(file, 'image/jpeg', full)));
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 201, 409, 409, 409, 409]);
    db.prepare('DELETE FROM picture WHERE job_id = ?').run(full);
    db.close();
  });

  it('that no state of their job names go after a month, with undo and redo asked first', async () => {
    const db = new Sqlite(path.join(app.dataDir, 'yardland.db'));
    const { jobs } = (await app.get('/api/jobs')).body;
    const stored = (await app.get(`/api/jobs/${jobs[2].id}`)).body;
    const [undone, named, gone, fresh] = ['a', 'b', 'c', 'd'].map((sign) => `${sign.repeat(8)}-1111-4111-8111-${sign.repeat(12)}`);
    const put = db.prepare("INSERT INTO picture (id, job_id, width, height, jpeg, created_at) VALUES (?, ?, 1, 1, x'00', ?)");
    for (const id of [undone, named, gone]) put.run(id, stored.id, '2026-01-01T00:00:00.000Z');
    put.run(fresh, stored.id, '2026-02-20T00:00:00.000Z');
    const withPictures = (pictures: (string | undefined)[]) => ({
      ...stored.job,
      cushions: stored.job.cushions.map((one: object, i: number) => (i === 0 ? { ...one, checks: [{ date: '2026-01-02', pictures }] } : one)),
    });
    const first = await app.send('PUT', `/api/jobs/${stored.id}`, { revision: stored.revision, label: 'Picture', job: withPictures([undone]) });
    expect(first.status).toBe(200);
    await app.send('PUT', `/api/jobs/${stored.id}`, { revision: first.body.revision, label: 'Picture', job: withPictures([named]) });
    const before = db.prepare('SELECT COUNT(*) AS many FROM picture WHERE job_id = ?').get(stored.id) as { many: number };
    expect(await clearPictures(db, new Date('2026-03-01T00:00:00.000Z'))).toBe(1);
    const left = db.prepare('SELECT id FROM picture WHERE job_id = ?').all(stored.id) as { id: string }[];
    expect([before.many, left.map(({ id }) => id).sort()]).toEqual([4, [undone, named, fresh].sort() as string[]]);
    expect(await clearPictures(db, new Date('2026-03-01T00:00:00.000Z'))).toBe(0);
    db.close();
  });

  it('of a cloth stay while the cloth has them', async () => {
    const db = new Sqlite(path.join(app.dataDir, 'yardland.db'));
    const made = await fetch(`${app.url}/api/pictures`, {
      method: 'POST',
      headers: { 'content-type': 'image/jpeg' },
      body: new Uint8Array(await plain(40, 50).jpeg().toBuffer()),
    });
    const { id } = (await made.json()) as { id: string };
    const withPicture = async (picture: object | undefined): Promise<number> => {
      const { revision, shop } = (await app.get('/api/shop')).body;
      const [first, ...rest] = shop.cloths;
      return (await app.send('PUT', '/api/shop', { revision, shop: { ...shop, cloths: [{ ...first, picture }, ...rest] } })).status;
    };
    const yearsOn = new Date(Date.now() + 1000 * 86_400_000);
    expect(await withPicture({ id, acrossMm: 4, alongMm: 200 })).toBe(400);
    expect(await withPicture({ id, acrossMm: 160, alongMm: 200 })).toBe(200);
    await clearPictures(db, yearsOn);
    expect((await app.get(`/api/pictures/${id}`)).status).toBe(200);
    expect(await withPicture(undefined)).toBe(200);
    await clearPictures(db, yearsOn);
    expect((await app.get(`/api/pictures/${id}`)).status).toBe(404);
    db.close();
  });

  it('are no longer taken when the database is full, while jobs still are, and the shop is warned long before', async () => {
    const full = await running({ limitBytes: 1000 });
    const { jobs } = (await full.get('/api/jobs')).body;
    const refused = await fetch(`${full.url}/api/jobs/${jobs[0].id}/pictures`, {
      method: 'POST',
      headers: { 'content-type': 'image/jpeg' },
      body: new Uint8Array(await plain(20, 20).jpeg().toBuffer()),
    });
    expect([refused.status, ((await refused.json()) as { code: string }).code]).toEqual([507, 'database-full']);
    const stored = (await full.get(`/api/jobs/${jobs[0].id}`)).body;
    expect(
      (await full.send('PUT', `/api/jobs/${stored.id}`, { revision: stored.revision, label: 'Name', job: { ...stored.job, name: 'Still kept' } })).status,
    ).toBe(200);
    expect((await full.get('/api/health')).body.space).toEqual(jasmine.objectContaining({ limitBytes: 1000, nearlyFull: true, full: true }));
    expect((await app.get('/api/health')).body.space.nearlyFull).toBeFalse();
    await full.stop();
  });
});
