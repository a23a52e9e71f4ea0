import type { Cushion } from '../../../job/document';
import { plan } from '../../../plan/plan';
import type { CushionPlan, Planned } from '../../../plan/cushion/cushion-plan';
import { unequalSeams } from '../../../piece/seam';
import { SHIPPED_SCHOOLS } from '../../../shop/schools';
import { SHAPES } from '../../../template/shapes/shapes';
import { demoShop, sampleCushion, sampleJob } from '../../../testing/samples';

const IN = 25.4;
const shop = demoShop();
const asked = (over: Partial<Cushion>, units: 'metric' | 'inch' = 'metric'): CushionPlan => {
  const [one] = plan(
    sampleJob([sampleCushion({ given: 'finished', construction: { kind: 'folded-corner' }, ...over })], { units, cloth: { widthMm: 1900 } }),
    shop,
  ).cushions;
  if (!one) throw new Error('no plan');
  return one;
};
const made = (...ask: Parameters<typeof asked>): Planned => {
  const one = asked(...ask);
  if (one.state !== 'planned') throw new Error(one.problems.map(({ code }) => code).join());
  return one;
};
const size = (one: Planned, id: string, unit = 1): number[] => {
  const piece = one.pieces.find((each) => each.id === id);
  return [piece?.width.value ?? NaN, piece?.height.value ?? NaN].map((mm) => Math.round((mm / unit) * 100) / 100);
};

describe('a folded corner', () => {
  it('has a top plate cut W + 2H + 2s by D + 2H + 2s, seamed at each corner over the height, and one seam round with the zip in it', () => {
    const one = made({ template: { shape: 'rectangle', widthMm: 500, depthMm: 450 }, heightMm: 75 });
    expect([size(one, 'plate-top'), size(one, 'plate-bottom'), [one.sizes.cut.width.value, one.sizes.cut.depth.value]]).toEqual([
      [676, 626],
      [526, 476],
      [676, 626],
    ]);
    const lengths = (id: string): number[] =>
      one.cover.seams.find((seam) => seam.id === id)?.edges.map(({ lengthMm }) => Math.round(lengthMm * 1000) / 1000) ?? [];
    expect([lengths('corner-1'), lengths('corner-4'), lengths('round'), lengths('zip')]).toEqual([
      [75, 75],
      [75, 75],
      [1500, 1500],
      [400, 400],
    ]);
    // The back but for 50 at each end.
    const [zip] = one.cover.closings;
    expect(zip?.kind === 'zip' ? [zip.opening.value, zip.tape.value] : []).toEqual([400, 500]);
    const inches = made({ template: { shape: 'rectangle', widthMm: 20 * IN, depthMm: 18 * IN }, heightMm: 3 * IN }, 'inch');
    expect(size(inches, 'plate-top', IN)).toEqual([27, 25]);
  });

  it('folds any outline of straight sides and sharp outward corners, in every school; refuses all others with what would do', () => {
    const seen = { made: 0, refused: 0 };
    for (const shape of SHAPES)
      for (const school of SHIPPED_SCHOOLS) {
        const one = asked({ template: shape.like(560, 480), heightMm: 90, school: school.id });
        if (one.state === 'blocked') {
          seen.refused += 1;
          expect(one.problems.map(({ code }) => code))
            .withContext(shape.shape)
            .toEqual(['construction-not-for-outline']);
          continue;
        }
        seen.made += 1;
        expect(unequalSeams(one.cover.seams)).withContext(`${shape.shape} ${school.id}`).toEqual([]);
      }
    expect([seen.made >= 3 * SHIPPED_SCHOOLS.length, seen.refused >= 3 * SHIPPED_SCHOOLS.length]).toEqual([true, true]);
  });

  it('opens its zip before the seam that closes it', () => {
    const order = made({ template: { shape: 'rectangle', widthMm: 500, depthMm: 450 }, heightMm: 75 }).operations.map(({ id }) => id);
    expect(['sew/corners', 'sew/zip', 'sew/open-zip', 'sew/round', 'fill/insert'].map((id) => order.indexOf(id))).toEqual(
      ['sew/corners', 'sew/zip', 'sew/open-zip', 'sew/round', 'fill/insert'].map((id) => order.indexOf(id)).sort((a, b) => a - b),
    );
  });
});
