import { sampleCushion, sampleJob } from '../testing/samples';
import type { Cushion } from '../job/document';
import { mergeBench } from './merge-bench';

const job = (bench?: Cushion['bench'], over: Partial<Cushion> = {}) => sampleJob([sampleCushion({ quantity: 6, ...over, ...(bench ? { bench } : {}) })]);

describe('two windows at one bench', () => {
  it('keep what each ticked and took back', () => {
    const base = job({ done: { cut: { count: 2, on: [1, 2] }, welt: { count: 1, on: [6] } } });
    const mine = job({ done: { cut: { count: 2, on: [2, 3] }, band: { count: 1, on: [4] } }, minutes: { cut: 12 } });
    const theirs = job({ done: { cut: { count: 3, on: [1, 2, 5] }, welt: { count: 1, on: [6] } }, minutes: { cut: 5 } });
    // This window did 3 and took 1 back of the cutting, did 4 of the band, took the welt of 6 back; the other did 5.
    expect(mergeBench(base, mine, theirs)?.cushions[0]?.bench).toEqual({
      done: { cut: { count: 3, on: [2, 3, 5] }, band: { count: 1, on: [4] } },
      minutes: { cut: 17 },
    });
  });

  it('keep whose each tick is', () => {
    const mine = job({ done: { cut: { count: 2, on: [1, 2], by: { 1: 'Alma', 2: 'Alma' } } } });
    const theirs = job({ done: { cut: { count: 2, on: [2, 3], by: { 2: 'Bo', 3: 'Bo' } } } });
    const merged = mergeBench(job(), mine, theirs)?.cushions[0]?.bench?.done['cut'];
    expect([merged?.on, merged?.by]).toEqual([[1, 2, 3], { 1: 'Alma', 2: 'Alma', 3: 'Bo' }]);
  });

  it('keep what the other changed besides, and every recut once', () => {
    const recut = { piece: 'plate', cushions: [2], each: 1, date: '2026-01-05' };
    const made = mergeBench(job(), job({ done: {}, recuts: [recut] }), job({ done: {}, recuts: [{ ...recut, cushions: [4] }] }, { note: 'soft' }));
    expect(made?.cushions[0]?.note).toBe('soft');
    expect(made?.cushions[0]?.bench?.recuts?.map(({ cushions }) => cushions)).toEqual([[4], [2]]);
  });

  it('leave it to a person where this window changed a size, or the other the number of cushions', () => {
    expect(mergeBench(job(), job(undefined, { heightMm: 60 }), job({ done: { cut: { count: 1 } } }))).toBeNull();
    expect(mergeBench(job(), job({ done: { cut: { count: 1 } } }), job(undefined, { quantity: 5 }))).toBeNull();
  });
});
