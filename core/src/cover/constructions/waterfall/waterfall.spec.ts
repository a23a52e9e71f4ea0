import fc from 'fast-check';
import type { Cushion } from '../../../job/document';
import { plan } from '../../../plan/plan';
import type { CushionPlan, Planned } from '../../../plan/cushion/cushion-plan';
import { perimeter } from '../../../geometry/outline';
import { stretchLength, unequalSeams } from '../../../piece/seam';
import { SHIPPED_SCHOOLS } from '../../../shop/schools';
import { SHAPES } from '../../../template/shapes/shapes';
import { demoShop, sampleCushion, sampleJob } from '../../../testing/samples';
import type { Waterfall } from './choices';

const IN = 25.4;
const shop = demoShop();
const asked = (choices: Partial<Waterfall>, over: Partial<Cushion>, units: 'metric' | 'inch' = 'metric'): CushionPlan => {
  const cushion = sampleCushion({ given: 'finished', construction: { kind: 'waterfall', ...choices }, ...over });
  const [one] = plan(sampleJob([cushion], { units, cloth: { widthMm: 1400 } }), shop).cushions;
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
  if (!piece) throw new Error(one.pieces.map((each) => each.id).join());
  return [piece.width.value, piece.height.value].map((mm) => Math.round((mm / unit) * 100) / 100);
};
const seat: Partial<Cushion> = { template: { shape: 'rectangle', widthMm: 500, depthMm: 450 }, heightMm: 100 };

describe('a waterfall front', () => {
  // By hand, 500 × 450 × 100, r 30, seam 13: the front takes 100 − 0.858 × 30 = 74.25; the plate 2 × 450 + 74.25 = 974.25 from edge to edge.
  const one = made({ frontRadiusMm: 30 }, seat);
  const length = (id: string): number[] => one.cover.seams.find((seam) => seam.id === id)?.edges.map(({ lengthMm }) => Math.round(lengthMm * 10) / 10) ?? [];

  it('has one plate of 974.25 over the front, 487.1 from the mid mark to the back’s corner', () => {
    expect(size(one, 'plate')).toEqual([526, 1000.25]);
    expect([one.sizes.cut.width.value, Math.round(one.sizes.cut.depth.value * 100) / 100]).toEqual([526, 1000.25]);
    const plate = one.pieces.find(({ id }) => id === 'plate');
    const mid = plate?.marks.find(({ kind, outward }) => kind === 'mid' && outward.x === 1);
    expect(mid?.at).toEqual({ x: 500, y: 0 });
    const toCorner = plate && stretchLength(plate, { piece: 'plate', from: mid!.at, to: { x: 500, y: 37.126555 + 450 } });
    expect(toCorner).toBeCloseTo(487.13, 1);
    expect(perimeter(plate!.sewn!)).toBeCloseTo(2 * 500 + 2 * 974.25, 1);
  });

  it('has side boxings to 50 before the back’s corners, and a plaque that comes round to them', () => {
    // 400 of side, 13 hemmed, 13 of seam; 100 + 26 high. Plaque 500 + 100, lapped 50 at each end.
    expect([size(one, 'side-boxing'), size(one, 'plaque')]).toEqual([
      [426, 126],
      [700, 156],
    ]);
    // From the mid mark along one side: 400 + 50 − 0.429 × 30, above and below.
    expect([length('side-right-top'), length('side-left-bottom'), length('plaque-to-top'), length('plaque-ends')]).toEqual([
      [437.1, 437.1],
      [437.1, 437.1],
      [600, 600],
      [200, 200],
    ]);
    expect(one.cover.closings.map((closing) => (closing.kind === 'zip' ? [closing.opening.value, closing.tape.value] : []))).toEqual([[600, 700]]);
  });

  it('takes the height less an inch in inches, where no radius is said; and never more than half the height', () => {
    const inches = made({}, { template: { shape: 'rectangle', widthMm: 20 * IN, depthMm: 18 * IN }, heightMm: 4 * IN }, 'inch');
    // 2 × 18 + 3 + 2 × 1/2.
    expect(size(inches, 'plate', IN)[1]).toBeCloseTo(40, 2);
    expect(size(inches, 'side-boxing', IN)).toEqual([17, 5]);
    const thin = made({}, { ...seat, heightMm: 40, core: { layers: [{ grade: 'wren-28', thicknessMm: 40 }] } });
    // r 20: 40 − 0.858 × 20.
    expect(size(thin, 'plate')[1]).toBeCloseTo(900 + 40 - 17.168 + 26, 2);
  });

  it('is welted in one ring round the whole flat plate, bias or straight and narrow', () => {
    // 2 × 500 of back, 2 × 974.25 over the front, 50 to close the ring.
    const ring = 2 * 500 + 2 * 974.254 + 50;
    for (const weltCut of ['bias', 'straight'] as const) {
      const welted = made({ edge: 'welt', weltCut, frontRadiusMm: 30 }, seat);
      const strip = welted.pieces.find(({ role }) => role === 'welt')!;
      const strips = weltCut === 'bias' ? 1 : strip.joins + 1;
      expect(strip.width.value * strips - strip.joins * strip.height.value)
        .withContext(weltCut)
        .toBeCloseTo(ring, 1);
      expect(strip.countPerCushion).toBe(strips);
      expect(unequalSeams(welted.cover.seams)).toEqual([]);
      // So narrow a strip goes round the front's curve.
      expect(welted.problems.map(({ code }) => code)).not.toContain('straight-welt-on-tight-curve');
    }
  });

  it('of a slab takes no allowance at the front: 508 × 102 and r 30 cut 1092, and each side’s run is the plate’s', () => {
    const slab: Partial<Cushion> = {
      given: 'core',
      template: { shape: 'rectangle', widthMm: 560, depthMm: 508 },
      heightMm: 102,
      school: 'squeezed-slab',
      core: { layers: [{ grade: 'dunnock-40', thicknessMm: 102 }] },
    };
    const squeezed = made({ frontRadiusMm: 30 }, slab);
    // 2 × 508 + 102 − 0.858 × 30, as wide as the core; sewn 508 − 0.429 × 13 deep, 102 − 26 high, its front's radius 30 − 13.
    expect(size(squeezed, 'plate')).toEqual([560, 1092.25]);
    expect(squeezed.sizes.sewn.depth.value).toBeCloseTo(502.42, 2);
    expect(squeezed.sizes.sewn.height.value).toBe(76);
    const run = squeezed.cover.seams.find(({ id }) => id === 'side-right-top')!.edges.map(({ lengthMm }) => lengthMm);
    // Half the front less half its corner, and the side to 50 before the corner.
    for (const mm of run) expect(mm).toBeCloseTo(38 - 0.4292 * 17 + 502.42 - 50, 1);
    expect(unequalSeams(squeezed.cover.seams)).toEqual([]);
  });

  it('calls its mid marks so, and notches plaque and plate alike', () => {
    const marks = (id: string): string[] => one.pieces.find((piece) => piece.id === id)!.marks.map(({ kind }) => kind);
    expect(marks('side-boxing')).toContain('mid');
    expect(marks('plaque').filter((kind) => kind === 'corner').length).toBe(4);
    expect(marks('plate')).not.toContain('quarter');
    // Its seam is sewn in two steps, each from mid mark to mid mark.
    const seamsOf = (id: string) => one.operations.find((step) => step.id === id)!.seams;
    expect([seamsOf('sew/side-top'), seamsOf('sew/side-bottom')]).toEqual([
      ['side-right-top', 'plaque-to-top', 'side-left-top'],
      ['side-right-bottom', 'plaque-to-bottom', 'side-left-bottom'],
    ]);
  });

  it('is refused where the front is no straight side, with what would do', () => {
    for (const template of [
      { shape: 'round' as const, diameterMm: 450 },
      { shape: 'rectangle' as const, widthMm: 500, depthMm: 450, cornerRadiusMm: 40 },
    ]) {
      const refused = asked({}, { template, heightMm: 100 });
      expect([refused.state, refused.problems.map(({ code }) => code)]).toEqual(['blocked', ['construction-not-for-outline']]);
    }
    // Round corners at the back alone are no hindrance.
    const round = { shape: 'rectangle' as const, widthMm: 500, depthMm: 450, cornerRadiusMm: 0, backLeftRadiusMm: 60, backRightRadiusMm: 60 };
    expect(unequalSeams(made({}, { template: round, heightMm: 100 }).cover.seams)).toEqual([]);
  });

  it('pairs in every shape and school that suits', () => {
    let made = 0;
    fc.assert(
      fc.property(
        fc.constantFrom(...SHAPES),
        fc.constantFrom(...SHIPPED_SCHOOLS),
        fc.constantFrom('plain' as const, 'welt' as const),
        fc.integer({ min: 10, max: 60 }),
        fc.integer({ min: 400, max: 900 }),
        (shape, school, edge, frontRadiusMm, acrossMm) => {
          const one = asked(
            { edge, frontRadiusMm },
            { template: shape.like(acrossMm, 480), heightMm: 120, school: school.id, core: { layers: [{ grade: 'wren-28', thicknessMm: 120 }] } },
          );
          if (one.state === 'blocked') {
            expect(one.problems.map(({ code }) => code)).toEqual(['construction-not-for-outline']);
            return;
          }
          made += 1;
          expect(unequalSeams(one.cover.seams).map(({ id, edges }) => [id, ...edges.map(({ lengthMm }) => lengthMm)])).toEqual([]);
          expect(new Set(one.operations.map(({ id }) => id)).size).toBe(one.operations.length);
        },
      ),
      { seed: 14, numRuns: 300 },
    );
    expect(made).toBeGreaterThan(60);
  });
});
