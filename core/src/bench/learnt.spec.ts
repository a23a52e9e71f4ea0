import { operation } from '../piece/operation';
import { minutesFor, type Work } from '../shop/minutes';
import { constantsOf, shipped } from '../shop/assumptions';
import { clockedOperations, learntFrom, ratesBy, type Clocked } from './learnt';

const clocked = (work: Work, clockedMinutes: number, reckonedMinutes: number): Clocked => ({ work, clockedMinutes, reckonedMinutes });

describe('what the clock says of the rates', () => {
  it('is taken from operations that were done, for the cushions they are done on, by where the work is', () => {
    const operations = [
      operation({ id: 'cut', phase: 'cut', text: '', minutes: 5, needs: 'table' }),
      operation({ id: 'sew', phase: 'sew', text: '', minutes: 10, needs: 'machine' }),
      operation({ id: 'close', phase: 'fill', text: '', minutes: 8, needs: 'hand' }),
      operation({ id: 'fix', phase: 'fix', text: '', minutes: 6, needs: 'bench' }),
      operation({ id: 'open', phase: 'sew', text: '', minutes: 10, needs: 'machine' }),
    ];
    const ticks = { cut: { count: 6 }, sew: { count: 2, on: [3, 4] }, close: { count: 1 }, fix: { count: 1 } };
    expect(clockedOperations(operations, ticks, { cut: 36, sew: 25, close: 8, fix: 3, open: 12, gone: 4 }, 6)).toEqual([
      clocked('cut', 36, 30),
      clocked('sew', 25, 20),
      clocked('hand', 8, 8),
      clocked('staple', 3, 6),
    ]);
  });

  it('is one factor for each sort of work, long operations counting for more; what cannot be believed is left out, and too few say nothing', () => {
    // 66 of 50 reckoned: 1.32. A clock left running over night, and one started by mistake, are left out.
    const sewn = [clocked('sew', 30, 20), clocked('sew', 12, 10), clocked('sew', 12, 10), clocked('sew', 6, 5), clocked('sew', 6, 5)];
    const all = [...sewn, clocked('sew', 700, 10), clocked('sew', 0.2, 10), clocked('cut', 4, 2)];
    expect(learntFrom(all)).toEqual([
      { work: 'cut', clocked: 1, leftOut: 0, clockedMinutes: 4, reckonedMinutes: 2, factor: null },
      { work: 'sew', clocked: 5, leftOut: 2, clockedMinutes: 66, reckonedMinutes: 50, factor: 1.32 },
    ]);
  });

  it('makes the same operation as long as it was clocked', () => {
    const own = ratesBy('sew', 1.5, shipped);
    const assume = constantsOf(own, 'metric');
    // 2 to set up, 1.2 a metre, 0.6 a corner: 3 m and 4 corners took 8; half as long again is 12.
    expect(minutesFor('sew', 3000, 4, shipped)).toBeCloseTo(8, 9);
    expect(minutesFor('sew', 3000, 4, assume)).toBeCloseTo(12, 9);
    expect(minutesFor('cut', 3000, 4, assume)).toBe(minutesFor('cut', 3000, 4, shipped));
  });
});
