import { demoShop, sampleCushion, sampleJob } from '../../testing/samples';
import { delivered, inState } from '../again';
import { logEntrySchema } from './entry';
import { writtenBy, writtenByShop } from './written';

const check = { date: '2026-03-04', widthMm: 597, depthMm: 546, edgeMm: 92, middleMm: 118.4, corners: 'soft' as const, welt: 'on-the-edge' as const };

describe('what a job writes into the log', () => {
  it('is nothing while nothing was done', () => {
    expect(writtenBy(sampleJob([sampleCushion({ bench: { done: { cut: { count: 1 } } } })]))).toEqual([]);
  });

  it('tells of checks, pieces cut again, lots, time and the delivery, each on its day', () => {
    const bench = {
      done: {},
      minutes: { cut: 70, sew: 55.4 },
      recuts: [{ piece: 'plate', cushions: [1, 2], each: 2, why: 'Scissors slipped.', date: '2026-02-20' }],
    };
    const cushion = sampleCushion({ quantity: 3, checks: [check, { ...check, date: '2026-03-05', remark: 'Packed.' }], bench });
    const lots = [
      { material: 'heron-40', lot: 'H7', day: '2026-02-11' },
      { material: 'wren-28', lot: 'W1', before: true },
    ];
    const job = delivered(sampleJob([cushion], { lots }), demoShop(), '2026-03-06');
    expect(writtenBy(job).map(({ key, day, kind, text }) => [key, day, kind, text])).toEqual([
      ['lot:heron-40:H7', '2026-02-11', 'bought', 'Lot H7 came for it.'],
      ['check:0:0', '2026-03-04', 'measured', '597 × 546 mm, 92 mm at the edge, 118 mm in the middle, corners soft.'],
      ['check:0:1', '2026-03-05', 'measured', '597 × 546 mm, 92 mm at the edge, 118 mm in the middle, corners soft. Packed.'],
      ['recut:0:0', '2026-02-20', 'changed', 'Cut again: plate, 4 of it. Scissors slipped.'],
      ['clocked', '2026-03-06', 'made', 'Clocked at the bench: 2 h 05.'],
      ['delivered', '2026-03-06', 'made', 'Delivered: 3 cushions.'],
    ]);
  });

  it('does not tell of a delivery that was taken back', () => {
    const job = inState(delivered(sampleJob(), demoShop(), '2026-03-06'), 'ready', demoShop(), '2026-03-07');
    expect([writtenBy(job), job.delivered]).toEqual([[], undefined]);
  });
});

describe('what the shop writes into the log', () => {
  it('is what was taken from checks, and what was taken back', () => {
    const note = { id: '0d2f6d3a-3b7e-4c39-9a58-5f2f6c2d7e11', day: '2026-11-02', what: 'constant' as const, key: 'waddingLoftShare', name: 'Loft' };
    const learnt = [{ ...note, from: null, to: 0.8414, checks: 24, takenBack: '2026-11-09' }];
    expect(writtenByShop({ learnt }).map(({ day, text }) => [day, text])).toEqual([
      ['2026-11-02', 'Loft: 0.841 in place of the shipped value, by 24 checks.'],
      ['2026-11-09', 'Taken back: Loft: 0.841 in place of the shipped value, by 24 checks.'],
    ]);
  });
});

describe('an entry by hand', () => {
  it('has words or a picture, and only a complaint says what it is about', () => {
    const entry = { day: '2026-11-02', kind: 'remark', about: { on: 'shop' }, text: '' };
    expect(logEntrySchema.safeParse(entry).success).toBeFalse();
    expect(logEntrySchema.safeParse({ ...entry, pictures: ['0d2f6d3a-3b7e-4c39-9a58-5f2f6c2d7e11'] }).success).toBeTrue();
    expect(logEntrySchema.safeParse({ ...entry, text: 'x', complaint: 'wrinkles' }).success).toBeFalse();
    expect(logEntrySchema.safeParse({ ...entry, kind: 'complaint', text: 'x', complaint: 'wrinkles' }).success).toBeTrue();
  });
});
