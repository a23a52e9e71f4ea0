import fs from 'node:fs';
import path from 'node:path';
import { root, run } from './support';

describe('yardland record and day', () => {
  const job = (name: string): Record<string, unknown> =>
    JSON.parse(fs.readFileSync(path.join(root, `demo/jobs/${name}.json`), 'utf8')) as Record<string, unknown>;

  it('tell what a job writes into the log, its points, and whether it can be matched', () => {
    const { code, out } = run(['record', path.join(root, 'demo/jobs/storage-chest.json')]);
    const { entries, points, again } = JSON.parse(out) as {
      entries: { key: string }[];
      points: { place: string; measuredMm: number }[];
      again: { match: string }[];
    };
    expect([code, entries.map(({ key }) => key)]).toEqual([0, ['check:0:0', 'delivered']]);
    expect(points.find(({ place }) => place === 'widthMm')!.measuredMm).toBe(1117.6);
    expect(again.map(({ match }) => match)).toEqual(['nearly']);
  });

  it('plan a job by the people of the shop, from a day on', () => {
    const id = '0d2f6d3a-3b7e-4c39-9a58-5f2f6c2d7e11';
    const ask = { format: 'yardland/day@1', from: '2026-12-01', now: '10:00', jobs: [{ id, job: { ...job('puppeteers-kneelers'), dueDate: '2026-12-18' } }] };
    const { code, out } = run(['day', '-'], JSON.stringify(ask));
    const { steps, jobs } = JSON.parse(out) as { steps: { person: string; parts: { start: string }[] }[]; jobs: { id: string; lateDays: number }[] };
    expect([code, jobs.map((one) => [one.id, one.lateDays])]).toEqual([0, [[id, 0]]]);
    expect(steps.every(({ parts }) => parts[0]!.start >= '2026-12-01T10:00')).toBeTrue();
    const bad = run(['day', '-'], JSON.stringify({ ...ask, from: 'Tuesday' }));
    expect([bad.code, JSON.parse(bad.error).problems[0].path]).toEqual([2, 'from']);
  });
});
