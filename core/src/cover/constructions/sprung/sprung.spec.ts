import type { Cushion } from '../../../job/document';
import type { Planned } from '../../../plan/cushion/cushion-plan';
import { unequalSeams } from '../../../piece/seam';
import { IN, madeAlone, sizeOf } from '../../../testing/covers';
import { demoShop, sampleCushion } from '../../../testing/samples';
import type { Sprung } from './choices';

const spring = demoShop().document.fillings.find(({ kind }) => kind === 'spring');
const layers = [
  { grade: 'wren-28', thicknessMm: 25 },
  { grade: spring?.id ?? '', thicknessMm: spring?.thicknessesMm[0] ?? 0 },
];
const made = (choices: Partial<Sprung>, over: Partial<Cushion>, units: 'metric' | 'inch' = 'metric'): Planned =>
  madeAlone(
    sampleCushion({
      given: 'finished',
      construction: { kind: 'sprung', ...choices },
      template: { shape: 'rectangle', widthMm: 500, depthMm: 450 },
      heightMm: 150,
      core: { layers },
      ...over,
    }),
    units,
  );
const at = (one: Planned, id: string): number => one.operations.findIndex((step) => step.id === id);

describe('a sprung inner and its cover', () => {
  it('has an inner case 6 larger on every side than the cover, of lining, in one band closed by hand', () => {
    const one = made({}, {});
    expect(sizeOf(one, 'plate')).toEqual([526, 476]);
    // 500 + 12 + 26 by 450 + 12 + 26; the band 2 × (512 + 462) + 26 by 150 + 26.
    expect(sizeOf(one, 'inner-plate')).toEqual([538, 488]);
    const band = one.pieces.filter(({ role }) => role === 'inner-band');
    const cut = band.reduce((mm, { width }) => mm + width.value, 0);
    expect([cut, band[0]?.height.value]).toEqual([1948 + 26 * band.length, 176]);
    expect(one.pieces.filter(({ id }) => id.startsWith('inner-')).map(({ material }) => material)).toEqual(
      [...Array(1 + band.length)].map(() => ({ kind: 'cloth', slot: 'lining' }) as const),
    );
    expect(one.cover.closings.map(({ kind }) => kind)).toEqual(['zip', 'hand']);
    expect(unequalSeams(one.cover.seams)).toEqual([]);
    const inches = made({ edge: 'welt' }, { template: { shape: 'rectangle', widthMm: 20 * IN, depthMm: 18 * IN }, heightMm: 6 * IN }, 'inch');
    expect(sizeOf(inches, 'inner-plate', IN)).toEqual([21.5, 19.5]);
    expect(unequalSeams(inches.cover.seams)).toEqual([]);
  });

  it('wraps felt round the unit both ways: 2 (W + H) + 25 by D, then 2 (D + H) + 4 felts + 25 by W', () => {
    // A core given as 500 × 450 × 150, all of it taken as the unit.
    const whole = made({ feltMm: 10 }, { given: 'core', core: { layers: [{ grade: 'wren-28', thicknessMm: 150 }] } });
    expect(sizeOf(whole, 'felt-1-first')).toEqual([1325, 450]);
    expect(sizeOf(whole, 'felt-1-second')).toEqual([1265, 500]);
    expect(whole.problems.map(({ code }) => code)).toContain('no-springs-in-filling');
    const unit = made({}, { given: 'core' });
    const high = layers[1]?.thicknessMm ?? NaN;
    expect(sizeOf(unit, 'felt-2-first')).toEqual([2 * (500 + high) + 25, 450]);
    const inches = made(
      { feltMm: IN / 4 },
      {
        given: 'core',
        template: { shape: 'rectangle', widthMm: 20 * IN, depthMm: 18 * IN },
        heightMm: 6 * IN,
        core: { layers: [{ grade: 'wren-28', thicknessMm: 6 * IN }] },
      },
      'inch',
    );
    expect([sizeOf(inches, 'felt-1-first', IN), sizeOf(inches, 'felt-1-second', IN)]).toEqual([
      [53, 18],
      [50, 20],
    ]);
  });

  it('lays muslin between springs and foam, and closes the inner before the cover goes over it', () => {
    const one = made({}, {});
    expect(one.pieces.find(({ role }) => role === 'muslin')?.countPerCushion).toBe(1);
    const order = ['prepare/felt', 'fill/inner-insert', 'fill/inner-close', 'fill/insert', 'fill/dress'].map((id) => at(one, id));
    expect(order.every((place) => place >= 0)).toBeTrue();
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(one.operations.filter(({ text }) => text.includes('thin bag'))).toEqual([]);
    expect(made({}, { core: { layers: layers.slice(1) } }).pieces.some(({ role }) => role === 'muslin')).toBeFalse();
  });
});
