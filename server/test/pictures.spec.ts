import sharp from 'sharp';
import { running, type Running } from './support';

let app: Running;
let job: string;
beforeAll(async () => {
  app = await running();
  job = (await app.get('/api/jobs')).body.jobs[0].id;
});
afterAll(() => app.stop());

const post = async (file: Buffer, type = 'image/jpeg') =>
  fetch(`${app.url}/api/jobs/${job}/pictures`, { method: 'POST', headers: { 'content-type': type }, body: new Uint8Array(file) });
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
});
