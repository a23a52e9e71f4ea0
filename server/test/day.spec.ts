import type { ShownDay } from '@yardland/core';
import type { Promised, Saver } from '@yardland/core/schedule';
import ICAL from 'ical.js';
import { extractText, getDocumentProxy } from 'unpdf';
import { running, type Running } from './support';

let app: Running;
beforeAll(async () => {
  app = await running();
});
afterAll(() => app.stop());

const shown = async (): Promise<ShownDay> => (await app.get('/api/day')).body as ShownDay;

/** The plan, and what was read of it: read again where the plan moved meanwhile, for it begins at the present minute. */
async function whileItStands<T>(read: (before: ShownDay) => Promise<T>): Promise<[ShownDay, T]> {
  const before = await shown();
  const what = await read(before);
  const same = JSON.stringify((await shown()).day.steps) === JSON.stringify(before.day.steps);
  return same ? [before, what] : whileItStands(read);
}

describe('the plan of the day', () => {
  it('is made of the demo’s jobs at work, by its people, one late and two waiting for foam', async () => {
    const { day, open } = await shown();
    expect(day.problems).toEqual([]);
    expect(day.people.map(({ name }) => name)).toEqual(['Ines', 'Bram', 'Odile', 'Tove']);
    expect(day.jobs.filter(({ awaits }) => awaits.some(({ what }) => what === 'foam')).length).toBe(2);
    expect(day.jobs.filter(({ lateDays }) => lateDays > 0).map(({ name }) => name)).toContain('Puppeteers’ kneelers');
    // New jobs are not planned, but can be asked for.
    expect(open.map(({ name }) => name)).toContain('Gallery and box seats');
    expect(day.jobs.map(({ name }) => name)).not.toContain('Gallery and box seats');
    // Nobody does two things at once, and nobody does what they do not do.
    for (const { name, does } of day.people) {
      const own = day.steps.filter(({ person }) => person === name);
      expect(own.every((step) => does.includes(step.does))).toBeTrue();
      const parts = own.flatMap(({ parts }) => parts).sort((a, b) => (a.start < b.start ? -1 : 1));
      parts.slice(1).forEach((part, i) =>
        expect(part.start >= parts[i]!.end)
          .withContext(`${name} ${part.start}`)
          .toBeTrue(),
      );
    }
  });

  it('moves at once with a tick, and keeps a step where it was put by hand', async () => {
    const before = (await shown()).day;
    const step = before.steps.find(({ operations, does }) => does === 'sew' && operations.length === 1)!;
    const stored = (await app.get(`/api/jobs/${step.job}`)).body;
    const [{ cushion, id }] = step.operations as [{ cushion: number; id: string }];
    const cushions = stored.job.cushions.map((one: { quantity: number; bench?: object }, i: number) =>
      i === cushion ? { ...one, bench: { ...one.bench, done: { ...(one.bench as { done?: object })?.done, [id]: { count: one.quantity } } } } : one,
    );
    await app.send('PUT', `/api/jobs/${step.job}`, { revision: stored.revision, label: 'Ticked', job: { ...stored.job, cushions } });
    const after = (await shown()).day;
    expect(after.steps.some((one) => one.job === step.job && one.step === step.step)).toBeFalse();
    expect(after.steps.length).toBe(before.steps.length - 1);
    // Nobody gets another step by it than they had.
    const had = new Map(before.steps.map((one) => [`${one.job} ${one.step}`, one.person]));
    expect(after.steps.filter((one) => had.get(`${one.job} ${one.step}`) !== one.person)).toEqual([]);
    const other = after.steps.find(({ does, person }) => does === 'fill' && person !== 'Tove')!;
    const { revision, shop } = (await app.get('/api/shop')).body;
    const pins = [{ job: other.job, step: other.step, person: 'Tove' }];
    await app.send('PUT', '/api/shop', { revision, shop: { ...shop, day: { ...shop.day, pins } } });
    const pinned = (await shown()).day.steps.find((one) => one.job === other.job && one.step === other.step)!;
    expect([pinned.person, pinned.pinned]).toEqual(['Tove', true]);
  });

  it('goes on from the plan that stands, for whoever asks; made anew and put back', async () => {
    const standing = (await shown()).day;
    const where = ({ steps }: ShownDay['day']) => steps.map(({ job, step, person }) => ({ job, step, person }));
    // Everything at another person who does it too: that plan goes on as it is, but for what it makes late.
    const order = standing.people.map(({ name }) => name);
    const swapped = standing.steps.map(({ job, step, person, does, parts }) => {
      const others = standing.people.filter((one) => one.does.includes(does)).map(({ name }) => name);
      return { job, step, person: does === 'fill' ? others[(others.indexOf(person) + 1) % others.length]! : person, start: parts[0]!.start };
    });
    expect((await app.send('PUT', '/api/day/standing', { steps: swapped })).status).toBe(204);
    const next = (await shown()).day;
    const kept = next.steps.filter((one) => swapped.some((was) => was.job === one.job && was.step === one.step && was.person === one.person));
    expect(kept.length).toBeGreaterThan(0.9 * next.steps.length);
    expect(where((await shown()).day)).toEqual(where(next));
    expect((await app.send('DELETE', '/api/day/standing')).status).toBe(204);
    const anew = (await shown()).day;
    expect(where(anew)).not.toEqual(where(next));
    const wrong = await app.send('PUT', '/api/day/standing', { steps: [{ job: standing.jobs[0]!.id, step: 's', person: order[0]!, start: 'soon' }] });
    expect([wrong.status, wrong.body.path]).toEqual([400, 'steps.0.start']);
  });

  it('says what can be promised, what would save a late job, and what comes of something tried out, without keeping it', async () => {
    const { day, open } = await shown();
    const gallery = open.find(({ name }) => name === 'Gallery and box seats')!;
    const promised = (await app.get(`/api/day/promise/${gallery.id}`)).body as Promised;
    expect(promised.day >= promised.end.slice(0, 10)).toBeTrue();
    expect(promised.alone <= promised.end).toBeTrue();
    expect((await app.get('/api/day/promise/nobody')).status).toBe(404);
    const late = day.jobs.find(({ lateDays }) => lateDays > 0)!;
    const { savers } = (await app.get(`/api/day/savers/${late.id}`)).body as { savers: Saver[] };
    for (const { lateDays } of savers) expect(lateDays).toBeLessThan(late.lateDays);
    const whatIf = { waits: [{ job: day.jobs[0]!.id, until: '2031-01-06' }] };
    const tried = (await app.send('POST', '/api/day/what-if', whatIf)).body as ShownDay;
    expect(tried.day.jobs.find(({ id }) => id === day.jobs[0]!.id)!.end >= '2031-01-06').toBeTrue();
    expect((await shown()).day.jobs.find(({ id }) => id === day.jobs[0]!.id)!.end < '2031').toBeTrue();
    const wrong = await app.send('POST', '/api/day/what-if', { otherwise: [{ person: 'Ines', day: 'Saturday', hours: 6 }] });
    expect([wrong.status, wrong.body.path]).toEqual([400, 'otherwise.0.day']);
  });

  it('is a calendar at an address that only the shop knows, read back with every part in its place', async () => {
    const [{ day }, answer] = await whileItStands(({ calendar }) => app.get(calendar));
    expect([answer.status, answer.headers.get('content-type')]).toEqual([200, 'text/calendar; charset=utf-8']);
    const text = Buffer.isBuffer(answer.body) ? answer.body.toString('utf8') : String(answer.body);
    const read = new ICAL.Component(ICAL.parse(text) as ConstructorParameters<typeof ICAL.Component>[0]);
    const events = read.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
    const parts = day.steps.flatMap(({ parts: all }) => all);
    const timed = events.filter(({ startDate }) => !startDate.isDate);
    expect(timed.length).toBe(parts.length);
    expect(timed.map(({ startDate }) => startDate.toString().slice(0, 16)).sort()).toEqual(parts.map(({ start }) => start).sort());
    const due = events.filter(({ summary }) => summary.startsWith('Due: '));
    expect(due.map(({ startDate }) => startDate.toString()).sort()).toEqual(day.jobs.flatMap(({ due: on }) => on ?? []).sort());
    expect(events.filter(({ summary }) => summary.startsWith('Foam comes: ')).length).toBe(2);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
    expect((await app.get('/calendar/wrong.ics')).status).toBe(404);
  });

  it('is paper for the wall, with every step of the day and every name', async () => {
    const [{ day }, answer] = await whileItStands(() => app.get('/api/day/day.pdf'));
    const { text } = await extractText(await getDocumentProxy(new Uint8Array(answer.body as Buffer)), { mergePages: true });
    const [first] = day.steps.flatMap(({ parts }) => parts.map(({ start }) => start.slice(0, 10))).sort();
    for (const { name } of day.people) expect(text).toContain(name);
    const today = day.steps.filter(({ parts }) => parts.some(({ start }) => start.startsWith(first!)));
    for (const { parts } of today)
      for (const { start, end } of parts.filter((part) => part.start.startsWith(first!))) expect(text).toContain(`${start.slice(11)}–${end.slice(11)}`);
    for (const { of } of today) expect(text.replace(/\s+/g, ' ')).toContain(of.split(',')[0]!);
    expect(text).toContain('late');
  });
});
