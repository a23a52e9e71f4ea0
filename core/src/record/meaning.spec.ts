import type { Check } from '../job/document';
import { allButLays, planSolved } from '../plan/solve';
import { demoShop, sampleCushion, sampleJob } from '../testing/samples';
import { promised } from './check';
import { meaningOf } from './meaning';

describe('what a check means', () => {
  const one = planSolved(sampleJob([sampleCushion({ crown: { mm: 20, way: 'bow', faces: 2 } })]), demoShop(), allButLays).cushions[0]!;
  const target = promised(one)!;
  const read = (off: Partial<Record<'widthMm' | 'depthMm' | 'edgeMm' | 'middleMm', number>>, judged: Partial<Check> = {}) =>
    meaningOf(one, {
      date: '2026-11-20',
      ...Object.fromEntries(Object.entries(off).map(([place, mm]) => [place, target[place as keyof typeof target] + mm])),
      ...judged,
    });

  it('is nothing before anything is measured, and all well within what soft goods can be measured to', () => {
    expect(read({})).toEqual([]);
    expect(read({ widthMm: 6, depthMm: -6, edgeMm: 3, middleMm: 10 }, { twistMm: 5, corners: 'full' })).toEqual([{ code: 'as-promised' }]);
    expect(read({}, { thumb: 'taut' })).toEqual([{ code: 'as-promised' }]);
  });

  it('tells seams or cloth, which change both ways alike, from one plate cut or sewn wrong', () => {
    expect(read({ widthMm: 10, depthMm: 8 })).toEqual([{ code: 'larger', mm: 9 }]);
    expect(read({ widthMm: -12, depthMm: -8 })).toEqual([{ code: 'smaller', mm: 10 }]);
    expect(read({ widthMm: 2, depthMm: -9 })).toEqual([{ code: 'one-way', place: 'depthMm', mm: 9, over: false }]);
    expect(read({ widthMm: 9, depthMm: -9 }).map(({ code }) => code)).toEqual(['one-way', 'one-way']);
  });

  it('puts a middle that is high with its edge down to the edge, and the rest to the crown', () => {
    expect(read({ edgeMm: 12, middleMm: 12 })).toEqual([{ code: 'edge-high', mm: 12 }]);
    expect(read({ edgeMm: 0, middleMm: -14 })).toEqual([{ code: 'flatter', mm: 14 }]);
    expect(read({ edgeMm: -8, middleMm: 11 })).toEqual([
      { code: 'edge-low', mm: 8 },
      { code: 'prouder', mm: 19 },
    ]);
  });

  it('takes hand and eye at their word', () => {
    const judged = { twistMm: 6, corners: 'empty', welt: 'wavy', thumb: 'hard', seat: 'gap' } as const;
    expect(read({ widthMm: 0 }, judged).map(({ code }) => code)).toEqual(['twisted', 'corners-empty', 'welt-wavy', 'hard', 'gap-in-seat']);
    expect(read({}, { corners: 'soft', welt: 'rolls-over', thumb: 'slack', seat: 'tight' }).map(({ code }) => code)).toEqual([
      'corners-soft',
      'welt-rolls',
      'slack',
      'tight-in-seat',
    ]);
  });
});
