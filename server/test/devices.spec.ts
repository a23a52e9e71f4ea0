import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import type { Reading } from '@yardland/core';
import { running, type Answer, type Running } from './support';

let app: Running;
beforeAll(async () => {
  app = await running();
});
afterAll(() => app.stop());

/** The events of a stream, read to its end. */
async function events(route: string, from: Running = app): Promise<{ event: string; data: Reading & { code?: string } }[]> {
  const text = await (await fetch(from.url + route)).text();
  return text
    .split('\n\n')
    .filter(Boolean)
    .map((block) => ({ event: /^event: (.*)$/m.exec(block)![1]!, data: JSON.parse(/^data: (.*)$/m.exec(block)![1]!) as Reading }));
}

describe('the simulated devices', () => {
  it('say that they are simulated', async () => {
    const { devices } = (await app.get('/api/devices')).body;
    expect(devices.map((device: { id: string; simulated: boolean }) => [device.id, device.simulated])).toEqual([
      ['press-gauge', true],
      ['scale', true],
    ]);
  });

  it('stream a minute of creep from the press gauge, trembling, and end with done', async () => {
    const all = await events('/api/devices/press-gauge/stream?massKg=15&plateAreaCm2=323&thicknessMm=100');
    expect(all.length).toBe(241);
    expect(all.at(-1)!.event).toBe('done');
    expect(all.at(-1)!.data.second).toBe(60);
    const mean = (part: typeof all) => part.reduce((sum, { data }) => sum + data.value, 0) / part.length;
    expect(mean(all.slice(0, 8)) - mean(all.slice(-40))).toBeGreaterThan(0.3);
    expect(new Set(all.map(({ data }) => data.value)).size).toBeGreaterThan(200);
    expect(await events('/api/devices/press-gauge/stream?massKg=15&plateAreaCm2=323&thicknessMm=100')).toEqual(all);
  });

  it('say so when unplugged half-way, and refuse a query they cannot follow', async () => {
    const all = await events('/api/devices/scale/stream?litres=16&unplug=yes');
    expect(all.at(-1)).toEqual({ event: 'unplugged', data: jasmine.objectContaining({ code: 'device-unplugged' }) as never });
    expect(all.length).toBeLessThan(20);
    expect((await app.get('/api/devices/press-gauge/stream?massKg=0&plateAreaCm2=323&thicknessMm=100')).body.path).toBe('massKg');
    expect((await app.get('/api/devices/plotter/stream')).status).toBe(404);
  });
});

describe('the simulated label printer', () => {
  it('prints each label of a cushion, ends with the roll, and goes on from the next one on a new one', async () => {
    expect((await app.get('/api/devices/label-printer')).body).toEqual({ name: 'Label printer', simulated: true });
    const kneelers = (await app.get('/api/jobs?search=kneelers')).body.jobs[0].id as string;
    type Heard = { event: string; data: { printed: number; of: number } }[];
    const ask = async (from: number): Promise<Answer> => app.send('POST', '/api/devices/label-printer/print', { job: kneelers, cushion: 1, from });
    const hear = (print: string): Promise<Heard> => events(`/api/devices/label-printer/print/${print}`) as unknown as Promise<Heard>;
    const send = async (from: number): Promise<Heard> => hear((await ask(from)).body.print as string);
    const first = await send(1);
    const { of } = first[0]!.data;
    // Eight kneelers of two plates, band, plaque, foam, two faces and a border of wadding at the least.
    expect(of).toBeGreaterThanOrEqual(8 * 8);
    // Each label is told once, in its order.
    const told = first.filter(({ event }) => event !== 'waiting').map(({ data }) => data.printed);
    expect(told).toEqual(Array.from({ length: told.length }, (_, i) => of - told.length + 1 + i));
    expect(told.length).toBeGreaterThan(of / 2);
    expect(first.at(-1)!.event).toBe('done');
    // A roll of a hundred: what was left of it, and no label more.
    const second = await send(1);
    expect(second.at(-1)).toEqual({ event: 'out-of-labels', data: { printed: 100 - of, of } });
    expect((await app.send('POST', '/api/devices/label-printer/new-roll', {})).status).toBe(204);
    const third = await send(100 - of + 1);
    expect(third[0]!.data.printed).toBeGreaterThanOrEqual(100 - of);
    expect(third.at(-1)).toEqual({ event: 'done', data: { printed: of, of } });
    expect((await app.send('POST', '/api/devices/label-printer/print', { job: 'none' })).body.path).toBe('job');
    expect((await app.send('POST', '/api/devices/label-printer/print', { job: kneelers, cushion: 99 })).status).toBe(404);
    // Nothing is printed by reading an address.
    expect((await app.get(`/api/devices/label-printer/print?job=${kneelers}&cushion=1`)).status).toBe(404);
  }, 60_000);

  it('lets a second set of labels wait until the first is out, and says so', async () => {
    // Some seconds for the first: the second is asked for while it is being printed, on a busy machine too.
    const slow = await running({ simulationSpeed: 40 });
    const kneelers = (await slow.get('/api/jobs?search=kneelers')).body.jobs[0].id as string;
    const ask = (from: number): Promise<Answer> => slow.send('POST', '/api/devices/label-printer/print', { job: kneelers, cushion: 1, from });
    const hear = (print: string) => events(`/api/devices/label-printer/print/${print}`, slow);
    const one = (await ask(1)).body;
    // The last few only: the roll has a hundred.
    const two = (await ask(75)).body;
    expect([one.before, two.before]).toEqual([0, 1]);
    const [heardOne, heardTwo] = await Promise.all([hear(one.print), hear(two.print)]);
    expect([heardOne.at(-1)!.event, heardTwo.at(-1)!.event]).toEqual(['done', 'done']);
    const { of } = heardOne.at(-1)!.data as unknown as { of: number };
    expect(heardTwo.at(-1)!.data).toEqual({ printed: of, of } as never);
    await slow.stop();
  }, 120_000);
});

describe('samples', () => {
  it('are kept, renewed and dropped; bad ones are refused', async () => {
    const before = (await app.get('/api/samples')).body.samples.length;
    expect(before).toBe(5);
    const sample = { format: 'yardland/sample@1', name: 'Offcut', date: '2026-11-20', thicknessMm: 100 };
    const place = `/api/samples/${randomUUID()}`;
    const made = await app.send('PUT', place, { revision: 0, sample });
    expect([made.status, made.body.revision]).toEqual([201, 1]);
    expect((await app.send('PUT', place, { revision: 1, sample: { ...sample, lot: 'A1' } })).body.sample.lot).toBe('A1');
    expect((await app.get('/api/samples')).body.samples[0].sample.lot).toBe('A1');
    expect((await app.send('PUT', place, { revision: 2, sample: { ...sample, massKg: -1 } })).body.path).toBe('sample.massKg');
    // Another window has not seen that: it is told what stands now, and nothing is written over.
    for (const revision of [0, 1]) {
      const stale = await app.send('PUT', place, { revision, sample: { ...sample, note: 'from elsewhere' } });
      expect([stale.status, stale.body.code, stale.body.currentSample.revision, stale.body.currentSample.sample.lot]).toEqual([409, 'stale-revision', 2, 'A1']);
    }
    // It is taken away as it was seen, or not at all.
    expect((await app.send('DELETE', place)).body.path).toBe('revision');
    const unseen = await app.send('DELETE', `${place}?revision=1`);
    expect([unseen.status, unseen.body.currentSample.revision]).toEqual([409, 2]);
    expect((await app.send('DELETE', `${place}?revision=2`)).status).toBe(204);
    expect((await app.send('DELETE', `${place}?revision=2`)).status).toBe(404);
    expect((await app.send('PUT', place, { revision: 2, sample })).status).toBe(404);
    expect((await app.send('PUT', '/api/samples/one', { revision: 0, sample })).body.path).toBe('id');
  });
});

describe('the simulated camera', () => {
  it('takes another made picture each time, says that it is simulated, and refuses a shot that is none', async () => {
    const shots = await Promise.all([0, 1, 3].map((shot) => app.get(`/api/devices/camera/picture?shot=${shot}`)));
    expect(shots.map((shot) => [shot.status, shot.headers.get('content-type'), shot.headers.get('x-simulated')])).toEqual(
      [0, 1, 3].map(() => [200, 'image/jpeg', 'yes']),
    );
    const [first, second, fourth] = shots.map((shot) => shot.body as Buffer);
    expect(first!.equals(second!)).toBeFalse();
    expect(first!.equals(fourth!)).toBeTrue();
    expect((await app.get('/api/devices/camera/picture?shot=-1')).body.path).toBe('shot');
    const cloth = await app.get('/api/devices/camera/picture?of=cloth');
    const { channels, width, height } = await sharp(cloth.body as Buffer).metadata();
    expect([cloth.status, channels, width! > height!]).toEqual([200, 3, true]);
    expect((await app.get('/api/devices/camera/picture?of=hides')).body.path).toBe('of');
  }, 30_000);
});
