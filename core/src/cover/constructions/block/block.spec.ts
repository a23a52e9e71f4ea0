import type { Cushion } from '../../../job/document';
import { plan } from '../../../plan/plan';
import type { Planned } from '../../../plan/cushion/cushion-plan';
import { unequalSeams } from '../../../piece/seam';
import { demoShop, sampleCushion, sampleJob } from '../../../testing/samples';
import type { Block } from './choices';

const IN = 25.4;
const shop = demoShop();
const made = (choices: Partial<Block>, over: Partial<Cushion>, units: 'metric' | 'inch' = 'metric'): Planned => {
  const cushion = sampleCushion({
    given: 'finished',
    construction: { kind: 'block', ...choices },
    core: { layers: [{ grade: 'wren-28', thicknessMm: 100 }] },
    ...over,
  });
  const [one] = plan(sampleJob([cushion], { units }), shop).cushions;
  if (one?.state !== 'planned') throw new Error(one?.problems.map(({ code }) => code).join());
  return one;
};
const size = (one: Planned, id: string, unit = 1): number[] => {
  const piece = one.pieces.find((each) => each.id === id);
  if (!piece) throw new Error(one.pieces.map((each) => each.id).join());
  return [piece.width.value, piece.height.value].map((mm) => Math.round((mm / unit) * 100) / 100);
};
const tape = (one: Planned): number => {
  const [zip] = one.cover.closings;
  return zip?.kind === 'zip' ? zip.tape.value : NaN;
};

describe('a block stool', () => {
  it('has a panel a side, its side and two allowances by the height and two, and a base as large as the top', () => {
    const one = made({ edge: 'welt' }, { template: { shape: 'rectangle', widthMm: 500, depthMm: 420 }, heightMm: 400 });
    expect(['panel-front', 'panel-back', 'panel-right', 'panel-left', 'plate', 'base'].map((id) => size(one, id))).toEqual([
      [526, 426],
      [526, 426],
      [446, 426],
      [446, 426],
      [526, 446],
      [526, 446],
    ]);
    expect(one.pieces.find(({ id }) => id === 'base')?.material).toEqual({ kind: 'cloth', slot: 'lining' });
    expect(one.pieces.find(({ role }) => role === 'welt')?.countPerCushion).toBe(1);
    expect(unequalSeams(one.cover.seams)).toEqual([]);
  });

  it('has a zip on three sides of its base: 2 (D − 100) + (W − 100) − 0.858 R + 2 × 25', () => {
    const one = made({}, { template: { shape: 'rectangle', widthMm: 500, depthMm: 420 }, heightMm: 400 });
    // 2 × 320 + 400 − 0.858 × 25 + 50.
    expect(tape(one)).toBeCloseTo(1068.54, 2);
    expect(tape(made({ zipInsetMm: 40, zipRadiusMm: 60 }, { template: { shape: 'rectangle', widthMm: 500, depthMm: 420 }, heightMm: 400 }))).toBeCloseTo(
      2 * 340 + 420 - 0.858407 * 60 + 50,
      2,
    );
    const inches = made({}, { template: { shape: 'rectangle', widthMm: 20 * IN, depthMm: 16 * IN }, heightMm: 16 * IN }, 'inch');
    // 2 × 12 + 16 − 0.858 + 2.
    expect(tape(inches) / IN).toBeCloseTo(41.1416, 3);
    expect(size(inches, 'panel-front', IN)).toEqual([21, 17]);
  });

  it('is loaded through its base, soft side down, the zip open before the base is closed in', () => {
    const layers = [
      { grade: 'wren-22-soft', thicknessMm: 50 },
      { grade: 'wren-28', thicknessMm: 50 },
    ];
    const steps = made({}, { template: { shape: 'rectangle', widthMm: 400, depthMm: 400 }, heightMm: 100, core: { layers } }).operations;
    const insert = steps.find(({ id }) => id === 'fill/insert');
    expect([insert?.cautions.includes('Soft side down while loading.'), insert?.cautions.includes('Soft side up.')]).toEqual([true, false]);
    const at = (id: string): number => steps.findIndex((step) => step.id === id);
    expect([at('sew/base-zip') < at('sew/open-zip'), at('sew/open-zip') < at('sew/panels-to-base')]).toEqual([true, true]);
  });

  it('stands on any outline: a round one in quarters, an L with a panel for each of its sides', () => {
    const round = made({}, { template: { shape: 'round', diameterMm: 400 }, heightMm: 350 });
    expect(round.pieces.filter(({ role }) => role === 'panel').length).toBe(4);
    const l = made({}, { template: { shape: 'l', widthMm: 600, depthMm: 560, backWidthMm: 480, earDepthMm: 150, arm: 'left' }, heightMm: 350 });
    expect(l.pieces.filter(({ role }) => role === 'panel').length).toBe(6);
    expect([...unequalSeams(round.cover.seams), ...unequalSeams(l.cover.seams)]).toEqual([]);
  });
});
