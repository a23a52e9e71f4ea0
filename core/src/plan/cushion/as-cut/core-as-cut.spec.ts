import { madeAlone } from '../../../testing/covers';
import { sampleCushion } from '../../../testing/samples';
import type { Cushion } from '../../../job/document';

const made = (asCut?: Cushion['core']['asCut']) => {
  const cushion = sampleCushion({ template: { shape: 'rectangle', widthMm: 600, depthMm: 500 }, wrapLoftMm: 25 });
  return madeAlone({ ...cushion, core: { ...cushion.core, ...(asCut ? { asCut } : {}) } });
};
const roleSize = (one: ReturnType<typeof made>, role: string): readonly number[] => {
  const piece = one.pieces.find((each) => each.role === role);
  return [piece?.width.value ?? NaN, piece?.height.value ?? NaN];
};

describe('a core measured after cutting', () => {
  it('changes wrap and fit by what it is, and neither foam nor cover', () => {
    const [planned, wider] = [made(), made({ widthMm: made().sizes.core.width.value + 12 })];
    expect(roleSize(wider, 'plate')).toEqual(roleSize(planned, 'plate'));
    expect(roleSize(wider, 'foam')).toEqual(roleSize(planned, 'foam'));
    const [before, after] = [roleSize(planned, 'wrap-face'), roleSize(wider, 'wrap-face')];
    expect([(after[0] ?? 0) - (before[0] ?? 0), (after[1] ?? 0) - (before[1] ?? 0)]).toEqual([12, 0]);
    expect(wider.fitRequest?.core.widthMm).toBeCloseTo((planned.fitRequest?.core.widthMm ?? 0) + 12, 6);
    expect(wider.fitRequest?.widthMm).toBe(planned.fitRequest?.widthMm as number);
    // A core that is larger in the same cover presses more.
    expect(wider.fit?.pressureAcrossPa ?? 0).toBeGreaterThan(planned.fit?.pressureAcrossPa ?? Infinity);
    expect(wider.problems.find(({ code }) => code === 'core-cut-otherwise')?.data['worstMm']).toBeCloseTo(12, 6);
  });

  it('is as high as it was cut, layer for layer, and says nothing within what a tape can tell', () => {
    const height = made().sizes.core.height.value;
    const higher = made({ heightMm: height * 1.1 });
    const sum = (one: ReturnType<typeof made>): number => (one.fitRequest?.core.layers ?? []).reduce((mm, { thicknessMm }) => mm + thicknessMm, 0);
    expect(sum(higher)).toBeCloseTo(sum(made()) * 1.1, 6);
    expect(made({ heightMm: height + 0.5 }).problems.map(({ code }) => code)).not.toContain('core-cut-otherwise');
  });
});
