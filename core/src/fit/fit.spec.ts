import fc from 'fast-check';
import { hardnessRatio, loadCurve, waddingAt } from '../filling/load-curve';
import { shipped } from '../shop/assumptions';
import { deciding, offTaut, shareOfBand } from './deciding';
import { fit as fitWith, type Fit, type FitLayer, type FitRequest, type FitVerdict } from './fit';
import { FIT_1_REFUSED, fitRequestSchema } from './fit-request';

const fit = (request: FitRequest): Fit => fitWith(request, shipped);

const LBF = 4.44822;
const foam = (lbf: number, thicknessMm: number): FitLayer => ({ kind: 'foam', thicknessMm, hardness25N: lbf * LBF, supportFactor: 2.2 });
const exact: FitRequest = {
  widthMm: 550,
  depthMm: 550,
  heightMm: 100,
  core: { widthMm: 550, depthMm: 550, layers: [foam(35, 100)] },
  wrapLoftMm: 0,
  sideLoftAcrossMm: 0,
  sideLoftAlongMm: 0,
  padLoftMm: 0,
  crownedFaces: 2,
  bowAcrossMm: 0,
  bowAlongMm: 0,
  clothStiffnessNPerM: 15_000,
};
const wrapped: FitRequest = { ...exact, wrapLoftMm: 50, sideLoftAcrossMm: 25, sideLoftAlongMm: 25 };

/** Within two parts in a hundred, as the reference figures are given. */
function near(measured: number, wanted: number, what: string): void {
  expect(Math.abs(measured / wanted - 1))
    .withContext(`${what}: ${measured}, not ${wanted}`)
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
    expect(waddingAt(50, 0, 130)).toBe(50);
    expect(waddingAt(50, 130, 130)).toBeCloseTo(50 / Math.SQRT2, 9);
  });
});

describe('the fit', () => {
  it('has the reference values of the trade', () => {
    expect(fit(exact)).toEqual({
      crownMm: 0,
      tensionAcrossNPerM: 0,
      tensionAlongNPerM: 0,
      pressureAcrossPa: 0,
      pressureAlongPa: 0,
      verdict: 'loose',
      bowRisk: false,
      rough: false,
    });
    const padded = { ...wrapped, padLoftMm: 36 };
    const over = { ...exact, core: { widthMm: 575, depthMm: 575, layers: [foam(35, 125)] } };
    for (const [name, request, crown, tension] of [
      ['wrapped', wrapped, 20.4, 59.6],
      ['padded', padded, 31.5, 65.8],
      ['domed', { ...padded, bowAcrossMm: 5, bowAlongMm: 5 }, 32.5, 55.5],
      ['oversize', over, 12.4, 103],
    ] as const) {
      near(fit(request).crownMm, crown, `${name}, crown`);
      near(fit(request).tensionAcrossNPerM, tension, `${name}, tension`);
    }
    near(fit(wrapped).pressureAcrossPa, 1190, 'wrapped, pressure');
    const measuredOver = fit({ ...wrapped, widthMm: 575, depthMm: 575, heightMm: 125 });
    near(measuredOver.crownMm, 11.8, 'over the wrap, crown');
    near(measuredOver.tensionAcrossNPerM, 14, 'over the wrap, tension');
    near(measuredOver.pressureAcrossPa, 279, 'over the wrap, pressure');
    const long = fit({ ...wrapped, widthMm: 1800, depthMm: 450, heightMm: 75, core: { widthMm: 1800, depthMm: 450, layers: [foam(35, 75)] } });
    near(long.crownMm, 21.6, 'long, crown');
    near(long.tensionAcrossNPerM, 18.5, 'long, tension along its length');
    near(long.pressureAcrossPa, 494, 'long, pressure along its length');
    near(long.tensionAlongNPerM, 50.3, 'long, tension across');
    near(long.pressureAlongPa, 1341, 'long, pressure across');
  });

  it('balances: what is put back into the law of the page leaves nothing over', () => {
    // Worked out beside the code from the answer alone: core and side wrap in series fill the stretched cloth, and the layers carry its tension.
    fc.assert(
      fc.property(
        fc.integer({ min: 26, max: 50 }),
        fc.integer({ min: 40, max: 125 }),
        fc.integer({ min: 0, max: 25 }),
        fc.integer({ min: 0, max: 12 }),
        (lbf, thick, loft, oversize) => {
          const request: FitRequest = {
            ...exact,
            heightMm: thick,
            core: { widthMm: 550 + oversize, depthMm: 450 + oversize, layers: [foam(lbf, thick)] },
            depthMm: 450,
            wrapLoftMm: 2 * loft,
            sideLoftAcrossMm: loft,
            sideLoftAlongMm: loft,
          };
          const { crownMm: c, tensionAcrossNPerM: tension, pressureAcrossPa: q } = fit(request);
          const curve = loadCurve({ hardness25N: lbf * LBF, supportFactor: 2.2 }, thick);
          const strain = curve.strainAt(q);
          const filled = (550 + oversize) * (1 - strain) + (2 * loft) / Math.sqrt(1 + q / 130);
          const held = 550 * (1 + tension / 15_000) - (8 * c * c) / (3 * 550);
          if (tension > 0) expect(filled).toBeCloseTo(held, 2);
          else expect(filled).toBeLessThanOrEqual(held + 1e-3);
          expect(2 * tension).toBeCloseTo((q * thick) / 1000, 6);
        },
      ),
      { seed: 53, numRuns: 60 },
    );
  });

  it('is monotone: a larger core is tauter, more wrap crowns more, a domed plate is slacker', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20 }), fc.integer({ min: 10, max: 80 }), fc.integer({ min: 0, max: 5 }), (over, loft, domed) => {
        const base = {
          ...wrapped,
          wrapLoftMm: loft,
          bowAcrossMm: domed,
          bowAlongMm: domed,
          core: { ...wrapped.core, widthMm: 550 + over, depthMm: 550 + over },
        };
        const larger = fit({ ...base, core: { ...base.core, widthMm: 555 + over, depthMm: 555 + over } });
        expect(larger.tensionAcrossNPerM).toBeGreaterThan(fit(base).tensionAcrossNPerM);
        expect(fit({ ...base, wrapLoftMm: loft + 5 }).crownMm).toBeGreaterThan(fit(base).crownMm);
        expect(fit({ ...base, bowAcrossMm: domed + 2, bowAlongMm: domed + 2 }).tensionAcrossNPerM).toBeLessThanOrEqual(fit(base).tensionAcrossNPerM + 1e-6);
      }),
      { seed: 52, numRuns: 40 },
    );
  });

  it('warns of bowing when a core is much too large, sooner when thin', () => {
    const core = (mm: number, thick: number) => ({ widthMm: mm, depthMm: mm, layers: [foam(35, thick)] });
    for (const side of [300, 400, 500, 550])
      expect(fit({ ...exact, widthMm: side, depthMm: side, core: core(side + 50, 100) }).bowRisk)
        .withContext(`${side}`)
        .toBeTrue();
    expect(fit({ ...exact, core: core(575, 100) }).bowRisk).toBeFalse();
    expect(fit({ ...exact, heightMm: 40, core: core(575, 40) }).bowRisk).toBeTrue();
  });

  it('goes by a rough law round springs, feather and felt, and says so', () => {
    const spring: FitLayer = { kind: 'spring', thicknessMm: 100 };
    const sprung = fit({ ...exact, core: { widthMm: 560, depthMm: 560, layers: [spring] } });
    expect(sprung.rough).toBeTrue();
    // 560 held in 550 is a strain of about 0.018, of 14 kPa, over 0.1 m of height, half on each plate.
    expect(sprung.tensionAcrossNPerM).toBeGreaterThan(11);
    expect(sprung.tensionAcrossNPerM).toBeLessThan(12.7);
    const feather = fit({ ...exact, core: { ...exact.core, layers: [{ kind: 'feather', thicknessMm: 140 }] } });
    expect(feather.crownMm).toBeGreaterThan(5);
    const firm = fit({ ...exact, core: { widthMm: 560, depthMm: 560, layers: [{ kind: 'felt', thicknessMm: 15 }, spring] } });
    expect(firm.tensionAcrossNPerM).toBeGreaterThan(sprung.tensionAcrossNPerM);
  });

  it('names the figure that its verdict rests on, and places it between slack and tight', () => {
    const hard = fit({ ...exact, core: { widthMm: 600, depthMm: 600, layers: [foam(50, 125)] } });
    expect(deciding(hard)).toEqual({ of: 'tension', value: hard.tensionAcrossNPerM });
    expect(deciding(fit(wrapped)).of).toBe('pressure');
    expect(offTaut(fit(wrapped), shipped)).toBe(0);
    expect(offTaut(fit(exact), shipped)).toBeGreaterThan(5);
    expect(offTaut(hard, shipped)).toBeGreaterThan(1);
    for (const one of [fit(exact), fit(wrapped), hard]) {
      expect(shareOfBand(one, shipped)).toBeGreaterThanOrEqual(0);
      expect(shareOfBand(one, shipped)).toBeLessThanOrEqual(1);
    }
  });

  it('takes a document without kinds, and refuses one of the first format by saying what has changed', () => {
    const layers = [{ thicknessMm: 100, hardness25N: 150, supportFactor: 2.2 }];
    const document = { format: 'yardland/fit@2', ...exact, core: { ...exact.core, layers } };
    expect(fitRequestSchema.parse(document).core.layers[0]!.kind).toBe('foam');
    const old = fitRequestSchema.safeParse({ ...document, format: 'yardland/fit@1' });
    expect(old.error!.issues[0]!.message).toBe(FIT_1_REFUSED);
  });
});

/** A shipped school's cushion from its finished size, as page "allowances" gives it: what the cover is sewn to, the core, and the wadding on it. */
interface Ground {
  readonly sewn: readonly [number, number, number];
  readonly core: readonly [number, number, number];
  readonly faces: number;
  readonly sides: readonly [number, number];
}
const SCHOOLS: Readonly<Record<string, (w: number, d: number, h: number, loft: number) => Ground>> = {
  padded: (w, d, h, loft) => ({ sewn: [w, d, h], core: [w + (Math.max(0, w - 900) * 6) / 600, d, h], faces: loft, sides: [loft, loft] }),
  bare: (w, d, h) => ({ sewn: [w, d, h], core: [w + 26, d + 26, h + 25], faces: 0, sides: [0, 0] }),
  slab: (w, d, h) => ({ sewn: [w, d, h - 26], core: [w + 26, d + 26, h], faces: 0, sides: [0, 0] }),
  over: (w, d, h, loft) => ({ sewn: [w + loft, d + loft, h + loft], core: [w, d, h], faces: loft, sides: [loft, loft] }),
  packed: (w, d, h, loft) => ({ sewn: [w, d, h + 13], core: [w - 26, d, h], faces: loft, sides: [loft + 40, loft] }),
  block: (w, d, h) => ({ sewn: [w, d, h], core: [w + 12, d + 12, h + 13], faces: 0, sides: [0, 0] }),
  deck: (w, d, h, loft) => ({ sewn: [w, d, h], core: [w, d + 25, h], faces: loft, sides: [loft, loft] }),
};

describe('what practice knows', () => {
  const made = (school: string, w: number, d: number, h: number, lbf: number, loft: number): Fit => {
    const { sewn, core, faces, sides } = SCHOOLS[school]!(w, d, h, loft);
    return fit({
      ...exact,
      widthMm: sewn[0],
      depthMm: sewn[1],
      heightMm: sewn[2],
      core: { widthMm: core[0], depthMm: core[1], layers: [foam(lbf, core[2])] },
      wrapLoftMm: 2 * faces,
      sideLoftAcrossMm: sides[0],
      sideLoftAlongMm: sides[1],
    });
  };
  const lbf = fc.integer({ min: 26, max: 50 });
  const seat = fc.integer({ min: 300, max: 700 });
  const bench = fc.integer({ min: 1500, max: 2700 });
  const depth = fc.integer({ min: 400, max: 600 });
  const thick = fc.integer({ min: 50, max: 125 });
  const wadding = fc.constantFrom(13, 25);

  const LINES: readonly [
    line: string,
    school: string,
    w: fc.Arbitrary<number>,
    d: fc.Arbitrary<number> | 'square',
    h: fc.Arbitrary<number>,
    loft: fc.Arbitrary<number>,
    says: readonly FitVerdict[],
  ][] = [
    ['padded to the line is roomy or taut', 'padded', seat, seat, thick, wadding, ['roomy', 'taut']],
    ['bare and oversize is taut or hard to close', 'bare', seat, seat, thick, wadding, ['taut', 'hard-to-close']],
    ['measured over the wrap is roomy', 'over', seat, seat, thick, wadding, ['roomy']],
    ['packed ends on benches are roomy to taut', 'packed', bench, depth, thick, fc.constant(25), ['roomy', 'taut']],
    ['deck-tight on benches is roomy to hard', 'deck', bench, depth, thick, fc.constant(25), ['roomy', 'taut', 'hard-to-close']],
    ['a full block of 300 to 450 is hard to close', 'block', fc.integer({ min: 300, max: 450 }), 'square', fc.constant(0), fc.constant(0), ['hard-to-close']],
    ['a squeezed slab is taut or harder', 'slab', seat, seat, thick, fc.constant(0), ['taut', 'hard-to-close']],
  ];
  for (const [line, school, w, d, h, loft, says] of LINES)
    it(line, () => {
      fc.assert(
        fc.property(w, d === 'square' ? fc.constant(0) : d, h, lbf, loft, (width, deep, high, hardness, mm) => {
          const one = made(school, width, d === 'square' ? width : deep, d === 'square' ? width : high, hardness, mm);
          expect(says)
            .withContext(`${width} × ${deep || width} × ${high || width}, ${hardness} lbf, wrap ${mm}: ${JSON.stringify(one)}`)
            .toContain(one.verdict);
        }),
        { seed: 1200, numRuns: 120 },
      );
    });

  it('foam cut to the cover with no wrap is loose and flat', () => {
    fc.assert(
      fc.property(seat, seat, thick, lbf, (w, d, h, hardness) => {
        const one = fit({ ...exact, widthMm: w, depthMm: d, heightMm: h, core: { widthMm: w, depthMm: d, layers: [foam(hardness, h)] } });
        expect([one.verdict, one.crownMm]).toEqual(['loose', 0]);
      }),
      { seed: 1201, numRuns: 40 },
    );
  });
});
