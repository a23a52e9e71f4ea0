import fc from 'fast-check';
import { hardnessRatio, loadCurve, waddingAt } from '../filling/load-curve';
import { fit, type FitRequest } from './fit';

const LBF = 4.44822;
const exact: FitRequest = {
  widthMm: 550,
  depthMm: 550,
  heightMm: 100,
  core: { widthMm: 550, depthMm: 550, layers: [{ thicknessMm: 100, hardness25N: 35 * LBF, supportFactor: 2.2 }] },
  wrapLoftMm: 0,
  sideWrapSqueezedMm: 0,
  padLoftMm: 0,
  crownedFaces: 2,
  bowAcrossMm: 0,
  bowAlongMm: 0,
  clothStiffnessNPerM: 15_000,
};
const wrapped: FitRequest = { ...exact, wrapLoftMm: 50, sideWrapSqueezedMm: 8 };

function expectFit(request: FitRequest, crown: number, tension: number): void {
  const answer = fit(request);
  expect(Math.abs(answer.crownMm / crown - 1))
    .withContext(`crown ${answer.crownMm}`)
    .toBeLessThan(0.02);
  expect(Math.abs(answer.tensionAcrossNPerM / tension - 1))
    .withContext(`tension ${answer.tensionAcrossNPerM}`)
    .toBeLessThan(0.02);
}

describe('the load curve', () => {
  it('has the check values of the trade for a support factor of 2.2', () => {
    for (const [strain, ratio] of [
      [0.05, 0.4],
      [0.25, 1],
      [0.4, 1.22],
      [0.5, 1.43],
      [0.65, 2.2],
      [0.75, 3.74],
    ] as const)
      expect(Math.abs(hardnessRatio(strain, 2.2) - ratio))
        .withContext(`at ${strain}`)
        .toBeLessThan(0.01);
  });

  it('is undone by strainAt, and both rise', () => {
    const foam = { hardness25N: 35 * LBF, supportFactor: 2.2 };
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 0.9, noNaN: true }), fc.integer({ min: 25, max: 250 }), (strain, mm) => {
        const curve = loadCurve(foam, mm);
        expect(curve.strainAt(curve.pressureAt(strain))).toBeCloseTo(strain, 5);
        expect(curve.pressureAt(strain + 0.01)).toBeGreaterThan(curve.pressureAt(strain));
      }),
      { seed: 51 },
    );
    expect(waddingAt(50, 0)).toBe(50);
    expect(waddingAt(50, 130)).toBeCloseTo(50 / Math.SQRT2, 9);
  });
});

describe('the fit', () => {
  it('has the reference values of the trade', () => {
    expect(fit(exact)).toEqual({ crownMm: 0, tensionAcrossNPerM: 0, tensionAlongNPerM: 0, verdict: 'loose', bowRisk: false });
    expectFit(wrapped, 20.4, 59);
    expectFit({ ...wrapped, padLoftMm: 36 }, 31.4, 67);
    expectFit({ ...wrapped, padLoftMm: 36, bowAcrossMm: 5, bowAlongMm: 5 }, 32.7, 54);
    const over = { ...exact, core: { ...exact.core, widthMm: 575, depthMm: 575, layers: [{ thicknessMm: 125, hardness25N: 35 * LBF, supportFactor: 2.2 }] } };
    expectFit(over, 12.4, 103);
  });

  it('is monotone: a larger core is tauter, more wrap crowns more, more bow slackens', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 10, max: 80 }), fc.integer({ min: 0, max: 5 }), (over, loft, bow) => {
        const base = { ...wrapped, wrapLoftMm: loft, bowAcrossMm: bow, bowAlongMm: bow, core: { ...wrapped.core, widthMm: 550 + over, depthMm: 550 + over } };
        const larger = fit({ ...base, core: { ...base.core, widthMm: 555 + over, depthMm: 555 + over } });
        expect(larger.tensionAcrossNPerM).toBeGreaterThan(fit(base).tensionAcrossNPerM);
        expect(fit({ ...base, wrapLoftMm: loft + 5 }).crownMm).toBeGreaterThan(fit(base).crownMm);
        expect(fit({ ...base, bowAcrossMm: bow + 2, bowAlongMm: bow + 2 }).tensionAcrossNPerM).toBeLessThanOrEqual(fit(base).tensionAcrossNPerM + 1e-6);
      }),
      { seed: 52, numRuns: 40 },
    );
  });

  it('warns of bowing when a core is much too large, sooner when thin', () => {
    const core = (mm: number, thick: number) => ({ widthMm: mm, depthMm: mm, layers: [{ thicknessMm: thick, hardness25N: 150, supportFactor: 2.2 }] });
    expect(fit({ ...exact, core: core(600, 100) }).bowRisk).toBeTrue();
    expect(fit({ ...exact, core: core(575, 100) }).bowRisk).toBeFalse();
    expect(fit({ ...exact, heightMm: 40, core: core(575, 40) }).bowRisk).toBeTrue();
  });
});
