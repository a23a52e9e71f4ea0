import type { Day, PlannedStep } from '@yardland/core/schedule';
import { barsOf, timeAt } from './bars';

const WEEK = [8, 8, 8, 8, 8, 0, 0];
const person = (name: string) => ({ name, does: ['sew' as const], hours: WEEK, off: [], otherwise: [] });
function step(job: string, id: string, who: string, ...parts: readonly (readonly [string, string])[]): PlannedStep {
  const base = {
    does: 'sew',
    needs: null,
    minutes: 60,
    work: 'sew',
    of: 'seat',
    operations: [],
    inHand: false,
    restsUntil: null,
    pinned: false,
    setup: null,
    after: [],
  } as const;
  return { ...base, job, step: id, person: who, parts: parts.map(([start, end]) => ({ start, end })) };
}
const job = (id: string, due: string, lateDays = 0) => ({
  id,
  name: id,
  customer: '',
  due,
  end: '2026-12-02T12:00',
  lateDays,
  bound: '2026-12-01T12:00',
  awaits: [],
});
// 2026-12-01 is a Tuesday.
const day: Day = {
  from: '2026-12-01',
  now: '12:00',
  starts: '08:00',
  people: [person('Ines'), person('Bram')],
  steps: [
    step('A', '1', 'Ines', ['2026-12-01T08:00', '2026-12-01T12:00']),
    step('A', '2', 'Bram', ['2026-12-01T10:00', '2026-12-01T16:00'], ['2026-12-02T08:00', '2026-12-02T09:00']),
  ],
  jobs: [job('A', '2026-12-04'), job('B', '2026-12-02', 2)],
  setups: 0,
  lateness: 0,
  problems: [],
};

describe('days as bars', () => {
  it('gives days on which nobody works little room, and others the same', () => {
    const { columns } = barsOf(day, 'person', '2026-12-01', 7);
    expect(columns.map(({ off }) => off)).toEqual([false, false, false, false, true, true, false]);
    expect(columns[0]!.width).toBeCloseTo(columns[6]!.width, 9);
    expect(columns[4]!.width).toBeLessThan(columns[0]!.width / 3);
    expect(columns.at(-1)!.left + columns.at(-1)!.width).toBeCloseTo(100, 9);
  });

  it('puts work where it is by the clock, a day’s part by itself', () => {
    const { bars, rows, now } = barsOf(day, 'person', '2026-12-01', 2);
    expect(rows.map(({ name }) => name)).toEqual(['Ines', 'Bram']);
    // Two days, each half of the width; eight hours a day.
    expect(bars.map(({ row, left, width }) => [row, left, width])).toEqual([
      [0, 0, 25],
      [1, 12.5, 37.5],
      [1, 50, 6.25],
    ]);
    expect(now).toBe(25);
  });

  it('puts together what one person goes on with for one job, and says what is in it', () => {
    const steps = [
      step('A', '1', 'Ines', ['2026-12-01T08:00', '2026-12-01T09:00']),
      { ...step('A', '2', 'Ines', ['2026-12-01T09:05', '2026-12-01T10:05']), work: 'fill' as const },
      step('B', '1', 'Ines', ['2026-12-01T10:05', '2026-12-01T11:00']),
      step('A', '3', 'Ines', ['2026-12-01T11:00', '2026-12-01T12:00']),
    ];
    const { bars } = barsOf({ ...day, steps }, 'person', '2026-12-01', 1);
    expect(bars.map(({ job: of, words, start, end }) => [of, words, start.slice(11), end.slice(11)])).toEqual([
      ['A', '2 steps', '08:00', '10:05'],
      ['B', 'Sew: seat', '10:05', '11:00'],
      ['A', 'Sew: seat', '11:00', '12:00'],
    ]);
    expect(bars[0]!.works.map(({ work, left, width }) => [work, left, width])).toEqual([
      ['sew', 0, 48],
      ['fill', 52, 48],
    ]);
  });

  it('gives what goes on at once in one job lanes of their own, and marks what is due', () => {
    const { bars, rows, marks, lanes } = barsOf(day, 'job', '2026-12-01', 5);
    // By due day: B first, which has nothing to do.
    expect(rows.map(({ name, lanes: own, top }) => [name, own, top])).toEqual([
      ['B', 1, 0],
      ['A', 2, 1],
    ]);
    expect(bars.map(({ lane }) => lane)).toEqual([1, 2, 1]);
    expect([lanes, marks.map(({ kind, row, late }) => [kind, row, late])]).toEqual([
      3,
      [
        ['due', 0, true],
        ['due', 1, false],
      ],
    ]);
  });

  it('tells the time at a place, to a quarter of an hour, within the day’s work', () => {
    const { columns } = barsOf(day, 'person', '2026-12-01', 2);
    expect(timeAt(day, columns, 0)).toBe('2026-12-01T08:00');
    expect(timeAt(day, columns, 25.2)).toBe('2026-12-01T12:00');
    expect(timeAt(day, columns, 99.99)).toBe('2026-12-02T15:45');
    expect([timeAt(day, columns, -4), timeAt(day, columns, 130)]).toEqual(['2026-12-01T08:00', '2026-12-02T15:45']);
  });
});
