import fc from 'fast-check';
import { feelOf, meanPressure, stackLaw, type FeelRequest } from './feel';
import { shipped } from '../shop/assumptions';
import { comfortLayers } from './comfort';
import type { FillingLayer } from './layer';
import { hardnessRatio } from './load-curve';
import { checkPress, press } from './press';
import { simulatedPress } from './press-gauge';
import { sampleResults, type Sample } from './sample';

const LBF = 4.44822;
const foam = (thicknessMm: number, lbf = 35, supportFactor = 2.2): FillingLayer => ({
  kind: 'foam',
  family: 'conventional',
  hardness25N: lbf * LBF,
  supportFactor,
  densityKgM3: 35,
  thicknessMm,
});
const feel = (layers: FillingLayer[], over: Partial<FeelRequest> = {}) =>
  feelOf({ format: 'yardland/feel@1', layers, support: 'board', sitter: { massKg: 75, posture: 'upright' }, ...over }, shipped);

/** The plain solver: walks up the strain in small steps until the foam carries the pressure. */
function slowStrain(pressurePa: number, lbf: number, supportFactor: number, foamMm: number): number {
  let e = 0;
  while (e < 0.97 && ((lbf * LBF) / 0.0323) * hardnessRatio(e, supportFactor) * (foamMm / 100) ** 0.3 < pressurePa) e += 1e-5;
  return e;
}

describe('feel', () => {
  it('has the check values of the trade', () => {
    expect(meanPressure({ massKg: 75, posture: 'upright' }, shipped)).toBeCloseTo(4598, 0);
    for (const [mm, lbf, strain] of [
      [100, 35, 0.221],
      [178, 35, 0.148],
      [100, 26, 0.437],
      [50, 45, 0.198],
    ] as const)
      expect(Math.abs((feel([foam(mm, lbf)]).layers[0]?.strain ?? 0) - strain))
        .withContext(`${mm} ${lbf}`)
        .toBeLessThan(0.002);
  });

  it('agrees with a slow plain solver', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 70 }),
        fc.double({ min: 1.6, max: 3.2, noNaN: true }),
        fc.integer({ min: 30, max: 200 }),
        fc.integer({ min: 300, max: 12000 }),
        (lbf, s, mm, pa) => {
          const [layer] = stackLaw([foam(mm, lbf, s)], false, shipped)(pa);
          expect(Math.abs((layer?.strain ?? 0) - slowStrain(pa, lbf, s, mm))).toBeLessThan(5e-5);
        },
      ),
      { seed: 101, numRuns: 40 },
    );
  });

  it('a slab split into equal layers sinks exactly as the slab', () => {
    for (const parts of [2, 3, 5]) expect(feel(Array.from({ length: parts }, () => foam(150 / parts))).sinkMm).toBeCloseTo(feel([foam(150)]).sinkMm, 6);
  });

  it('sinks more under more weight and on softer foam, and more when thicker', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 140 }),
        fc.integer({ min: 18, max: 70 }),
        fc.integer({ min: 30, max: 220 }),
        fc.double({ min: 1.8, max: 3.2, noNaN: true }),
        (massKg, lbf, mm, s) => {
          const at = (m: number, h: number, t: number) => feel([foam(t, h, s)], { sitter: { massKg: m, posture: 'upright' } }).sinkMm;
          expect(at(massKg + 5, lbf, mm)).toBeGreaterThan(at(massKg, lbf, mm));
          expect(at(massKg, lbf + 2, mm)).toBeLessThan(at(massKg, lbf, mm));
          expect(at(massKg, lbf, mm + 5)).toBeGreaterThan(at(massKg, lbf, mm) - 1e-9);
        },
      ),
      { seed: 102, numRuns: 80 },
    );
  });

  it('adds the support’s give, and the wrap’s sink apart', () => {
    const board = feel([foam(100)], { wrapLoftMm: 50 });
    const webbing = feel([foam(100)], { wrapLoftMm: 50, support: 'webbing' });
    expect(board.giveMm).toBe(board.sinkMm);
    expect(webbing.giveMm - board.giveMm).toBeCloseTo((8 * 4598) / 1000, 1);
    expect(board.wrapSinkMm).toBeCloseTo(50 - 50 / Math.sqrt(1 + 4598 / 130), 1);
    expect(feel([foam(100)], { deckHeightMm: 350 }).satHeightMm).toBeCloseTo(450 - board.sinkMm, 6);
  });

  it('gives the verdicts where they are due', () => {
    expect(feel([foam(40, 20)]).verdicts).toContain('bottoms-out');
    expect(feel([foam(50, 90)]).verdicts).toEqual(['board-like']);
    expect(feel([foam(100)], { deckHeightMm: 300 }).verdicts).toEqual(['hard-to-rise']);
    expect(feel([foam(100)], { deckHeightMm: 400 }).verdicts).toEqual([]);
    expect(feel([foam(100)], { settled: true }).sinkMm).toBeGreaterThan(feel([foam(100)]).sinkMm);
  });

  it('has a curve that rises, and laws for fillings besides foam', () => {
    const { curve } = feel([foam(60, 25), foam(60, 45)]);
    expect(curve.length).toBe(100);
    expect(curve.every((point, i) => i === 0 || point.sinkMm > (curve[i - 1]?.sinkMm ?? 0))).toBeTrue();
    const strain = (kind: 'spring' | 'feather' | 'felt', pa: number) => stackLaw([{ kind, thicknessMm: 100 }], false, shipped)(pa)[0]?.strain ?? 0;
    // 14 kPa would press a unit to nothing; past seven tenths of its height it is stiff.
    expect(strain('spring', 7000)).toBeCloseTo(0.5, 9);
    expect(strain('spring', 12000)).toBeLessThan(0.71);
    expect(strain('feather', 400)).toBeCloseTo(0.5, 9);
    expect(strain('felt', 4000)).toBeCloseTo(0.04, 9);
  });
});

describe('springs, comfort and lying', () => {
  const soft = (thicknessMm: number, lbf = 20): FillingLayer => foam(thicknessMm, lbf);
  const unit = (thicknessMm: number, stiffnessKPa?: number): FillingLayer => ({ kind: 'spring', thicknessMm, ...(stiffnessKPa ? { stiffnessKPa } : {}) });
  const feather = (thicknessMm: number): FillingLayer => ({ kind: 'feather', thicknessMm });
  const comfort = (layers: readonly FillingLayer[]) =>
    comfortLayers(layers, shipped)
      .map((one) => (one ? 'c' : 'b'))
      .join('');
  const upright = (massKg: number) => ({ sitter: { massKg, posture: 'upright' as const } });

  it('95 kg upright goes 45 into a unit of 120 and 68 into one of 180, and bottoms in neither', () => {
    // 95 × 9.81 × 0.75 / (0.075 + 0.0006 × 95) = 5295 Pa; over 14 kPa: 0.378.
    for (const [heightMm, sinkMm] of [
      [120, 45.4],
      [180, 68.1],
    ] as const) {
      const felt = feel([soft(30), unit(heightMm)], upright(95));
      expect(felt.layers[1]!.sinkMm).toBeCloseTo(sinkMm, 1);
      expect(felt.verdicts).toEqual([]);
    }
    // A unit bottoms out where 1.3 p passes 0.70 E: of 10 kPa from p = 5385 Pa, which is 98 kg.
    expect([97, 99].map((kg) => feel([soft(30), unit(120, 10)], upright(kg)).verdicts.includes('bottoms-out'))).toEqual([false, true]);
    expect(feel([soft(30), unit(120, 10)], upright(99)).worstLayer).toBe(1);
  });

  it('layers from the top, each softer than the next and together a third of the height, are comfort and may be pressed flat', () => {
    expect(comfort([soft(30), foam(70, 40)])).toBe('cb');
    expect(comfort([soft(40), foam(60, 40)])).toBe('bb');
    expect(comfort([foam(30, 40), soft(70)])).toBe('bb');
    expect(comfort([foam(100)])).toBe('b');
    expect(comfort([feather(20), soft(15), foam(65, 40)])).toBe('ccb');
    expect(comfort([feather(20), soft(30), foam(50, 40)])).toBe('cbb');
    // On springs foam counts whatever its hardness; the middle of a reversible cushion bears for both faces.
    expect(comfort([foam(40, 60), unit(120)])).toBe('cb');
    expect(comfort([soft(30), foam(60, 40), soft(30)])).toBe('cbc');
    expect(comfort([soft(30), foam(60, 40), soft(20)])).toBe('cbb');
    expect(comfort([feather(30), soft(20), unit(100), soft(20), feather(30)])).toBe('ccbcc');
    // A soft top is pressed flat and nobody minds; the same foam by itself bottoms out, and it is named.
    expect(feel([soft(30, 8), foam(70, 45)], upright(75)).verdicts).not.toContain('bottoms-out');
    const alone = feel([soft(40, 8), foam(60, 45)], upright(75));
    expect([alone.verdicts[0], alone.worstLayer]).toEqual(['bottoms-out', 0]);
  });

  it('lying, the hip decides: 75 kg press with 4316 Pa on 127 mm of settled foam', () => {
    const ratios = [18, 30, 36, 45].map((lbf) => {
      const lying = feel([foam(127, lbf)], { sitter: { massKg: 75, posture: 'lying' }, settled: true });
      expect(lying.meanPressurePa).toBeCloseTo(4316, 0);
      expect(lying.verdicts.includes('near-bottom'))
        .withContext(`${lbf}`)
        .toBe(lbf === 18);
      return Math.round(lying.ratio * 100) / 100;
    });
    expect(ratios).toEqual([0.61, 0.35, 0.22, 0.13]);
  });

  it('calls a seat hard to rise from over 110 of give, for a frail sitter over 75, and no sprung seat for its springs alone', () => {
    const sprung = (frail: boolean) => feel([foam(60, 30), unit(180)], { sitter: { massKg: 75, posture: 'upright', frail } });
    expect(sprung(false).giveMm).toBeGreaterThan(75);
    expect(sprung(false).giveMm).toBeLessThan(110);
    expect([false, true].map((frail) => sprung(frail).verdicts)).toEqual([[], ['hard-to-rise']]);
  });

  it('is read as soft, medium or firm on settled foam: 35 lbf is medium at 100 mm and firm at 175', () => {
    expect([100, 175].map((mm) => feel([foam(mm, 35)], upright(75)).feel)).toEqual(['medium', 'firm']);
  });
});

describe('the press test', () => {
  const reading = (hardness25N: number, s: number, mm: number, massKg: number) => {
    const pa = (massKg * 9.81) / 0.0323;
    const strain =
      stackLaw([{ kind: 'foam', family: 'conventional', hardness25N, supportFactor: s, densityKgM3: 30, thicknessMm: mm }], false, shipped)(pa)[0]?.strain ?? 0;
    return { massKg, loadedThicknessMm: mm * (1 - strain) };
  };

  it('gives back the hardness that made its reading, within its range', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 80, max: 300 }),
        fc.integer({ min: 60, max: 150 }),
        fc.double({ min: 0.6, max: 1.6, noNaN: true }),
        (hardness, mm, share) => {
          const result = press({
            format: 'yardland/press@1',
            plateAreaCm2: 323,
            thicknessMm: mm,
            readings: [reading(hardness, 2.2, mm, (hardness * share) / 9.81)],
          });
          expect(result.hardness25N / hardness).toBeCloseTo(1, 3);
          expect(result.lowN).toBeLessThan(hardness);
          expect(result.highN).toBeGreaterThan(hardness);
        },
      ),
      { seed: 103, numRuns: 60 },
    );
  });

  it('gives back the support factor too from several loads', () => {
    for (const s of [1.9, 2.4, 2.9]) {
      const result = press({
        format: 'yardland/press@1',
        plateAreaCm2: 323,
        thicknessMm: 100,
        readings: [8, 16, 26, 38].map((kg) => reading(160, s, 100, kg)),
      });
      expect(result.supportFactor).toBeCloseTo(s, 2);
      expect(result.hardness25N / 160).toBeCloseTo(1, 2);
    }
  });

  it('says when nothing was pressed', () => {
    const request = {
      format: 'yardland/press@1' as const,
      plateAreaCm2: 323,
      thicknessMm: 100,
      readings: [
        { massKg: 10, loadedThicknessMm: 100 },
        { massKg: 20, loadedThicknessMm: 5 },
      ],
    };
    expect(checkPress(request).map((problem) => problem.code)).toEqual(['press-not-pressed', 'press-on-the-ground']);
  });
});

describe('a sample', () => {
  const sample = (over: Partial<Sample>): Sample => ({ format: 'yardland/sample@1', name: 'Offcut', date: '2026-11-20', ...over });

  it('gives what was measured and nothing else', () => {
    // 400 × 400 × 100 mm of 480 g: 30 kg/m³. 2 litres on 16 litres of foam, 1.6 back after ten minutes: 0.025 a litre.
    const results = sampleResults(
      sample({
        widthMm: 400,
        depthMm: 400,
        thicknessMm: 100,
        massKg: 0.48,
        drain: {
          pouredL: 2,
          collected: [
            { minute: 30, litres: 1.84 },
            { minute: 10, litres: 1.6 },
          ],
        },
        edgeMm: 100,
        middleMm: 88,
      }),
      shipped,
    );
    expect(results.density?.value).toBeCloseTo(30, 9);
    expect(results.retained.map((one) => [one.minute, Math.round(one.perLitre * 1e4) / 1e4])).toEqual([
      [10, 0.025],
      [30, 0.01],
    ]);
    expect(results.set).toBeCloseTo(0.12, 9);
    expect([results.press, results.problems]).toEqual([null, []]);
    expect(sampleResults(sample({ massKg: 1 }), shipped).density).toBeNull();
    expect(sampleResults(sample({ drain: { pouredL: 1, collected: [{ minute: 1, litres: 2 }] } }), shipped).problems.map((one) => one.code)).toEqual([
      'more-collected-than-poured',
    ]);
  });

  it('of no rectangle is as dense as its area says', () => {
    // A disc of 400 mm, 100 thick: 12.566 l of 377 g: 30 kg/m³.
    const disc = sampleResults(sample({ areaMm2: Math.PI * 200 ** 2, thicknessMm: 100, massKg: 0.377, widthMm: 999 }), shipped);
    expect(disc.density?.value).toBeCloseTo(30, 2);
  });

  it('pressed on the simulated gauge for a minute gives back the hidden foam, within its range', () => {
    for (const hardness25N of [110, 160, 230]) {
      const loads = [0.7, 1, 1.4].map((share) => (hardness25N * share) / 9.81);
      const readings = loads.map((massKg, i) => ({
        massKg,
        loadedThicknessMm: simulatedPress({ hardness25N, supportFactor: 2.2, thicknessMm: 100 }, massKg, 323, i)(60),
      }));
      const result = sampleResults(sample({ thicknessMm: 100, press: { plateAreaCm2: 323, readings } }), shipped).press;
      expect(result?.lowN).toBeLessThan(hardness25N);
      expect(result?.highN).toBeGreaterThan(hardness25N);
    }
    // It creeps: thinner after a minute than after a second, beyond its trembling.
    const gauge = simulatedPress({ hardness25N: 150, supportFactor: 2.2, thicknessMm: 100 }, 20, 323, 5);
    expect(gauge(1) - gauge(60)).toBeGreaterThan(1);
  });
});
