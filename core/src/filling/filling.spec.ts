import fc from 'fast-check';
import { feelOf, meanPressure, stackLaw, type FeelRequest } from './feel';
import { shipped } from '../shop/assumptions';
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
    expect(strain('spring', 3000)).toBeCloseTo(0.5, 9);
    expect(strain('spring', 6000)).toBeLessThan(0.75);
    expect(strain('feather', 400)).toBeCloseTo(0.5, 9);
    expect(strain('felt', 4000)).toBeCloseTo(0.04, 9);
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
