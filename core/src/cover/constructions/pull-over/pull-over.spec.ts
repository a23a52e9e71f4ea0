import type { Cushion } from '../../../job/document';
import type { Planned } from '../../../plan/cushion/cushion-plan';
import { unequalSeams } from '../../../piece/seam';
import { IN, madeAlone, plannedAlone, sizeOf } from '../../../testing/covers';
import { sampleCushion } from '../../../testing/samples';
import type { PullOver } from './choices';

const cushionOf = (choices: Partial<PullOver>, over: Partial<Cushion>): Cushion =>
  sampleCushion({
    given: 'seat',
    construction: { kind: 'pull-over', frameEdgeMm: 50, frontRadiusMm: 30, ...choices },
    template: { shape: 'rectangle', widthMm: 500, depthMm: 450 },
    heightMm: 60,
    core: { layers: [{ grade: 'wren-28', thicknessMm: 60 }] },
    ...over,
  });
const made = (choices: Partial<PullOver>, over: Partial<Cushion>, units: 'metric' | 'inch' = 'metric', widthMm = 1500): Planned =>
  madeAlone(cushionOf(choices, over), units, { cloth: { widthMm } });
const seam = (one: Planned, id: string): readonly [number, number] => {
  const [a, b] = one.cover.seams.find((each) => each.id === id)?.edges ?? [];
  return [a?.lengthMm ?? NaN, b?.lengthMm ?? NaN];
};

describe('a cover pulled over a frame', () => {
  it('has a top panel that runs over the front, the frame’s edge, 25 to the staples and 50 to hold, and a band as high', () => {
    const one = made({}, {});
    // 500 + 26 by 450 + 13 + 60 + 50 + 25 + 50; the band 450 + 500 + 450 + 26 by 60 + 50 + 25 + 50 + 13.
    expect([sizeOf(one, 'plate'), sizeOf(one, 'band'), sizeOf(one, 'dust-cover')]).toEqual([
      [526, 648],
      [1426, 198],
      [500, 450],
    ]);
    expect(one.sizes.cut.depth.value).toBe(648);
    const inches = made(
      { frameEdgeMm: 2 * IN, frontRadiusMm: IN },
      { template: { shape: 'rectangle', widthMm: 20 * IN, depthMm: 18 * IN }, heightMm: 3 * IN },
      'inch',
      60 * IN,
    );
    expect([sizeOf(inches, 'plate', IN), sizeOf(inches, 'band', IN)]).toEqual([
      [21, 26.5],
      [57, 8.5],
    ]);
    // 56 round, and 5 down both ends of the front less 0.429 of an inch each.
    expect(seam(inches, 'band-to-top').map((mm) => Math.round((mm / IN) * 1000) / 1000)).toEqual([65.142, 65.142]);
  });

  it('sews the band’s rounded front ends to the drop, the same run on both: 1400 and twice 110 − 0.429 × 30', () => {
    const one = made({}, {});
    const [band, plate] = seam(one, 'band-to-top');
    expect(plate).toBeCloseTo(1594.248, 2);
    expect(band).toBeCloseTo(plate, 2);
    expect(unequalSeams(one.cover.seams)).toEqual([]);
    // Narrower cloth: the band is joined, and still the same.
    const joined = made({}, {}, 'metric', 900);
    expect(joined.pieces.filter(({ role }) => role === 'band').length).toBe(2);
    expect(seam(joined, 'band-to-top')[0]).toBeCloseTo(1594.248, 2);
    expect(unequalSeams(joined.cover.seams)).toEqual([]);
  });

  it('is stapled from the centres outwards, front and back first and the corners last', () => {
    const { staples } = made({}, {}).cover;
    // The line is 450 by 400: 24 gaps, one staple in the middle, and so 23 staples; 20 gaps and 19.
    expect(staples?.staples.length).toBe(2 * 23 + 2 * 19);
    const [first, second, third, fourth] = staples?.staples ?? [];
    expect([first?.at.y, second?.at.y]).toEqual([25, 425]);
    expect([first?.at.x, second?.at.x]).toEqual([250, 250]);
    expect([third?.at.x, fourth?.at.x].sort()).toEqual([25, 475]);
    // Within 60 of a corner: 18.75, 37.5 and 56.25 along front and back, 20 and 40 along the sides.
    const corners = staples?.staples.filter(({ corner }) => corner) ?? [];
    expect(corners.map(({ order }) => order)).toEqual(Array.from({ length: 20 }, (_, i) => 65 + i));
    // The front corners first, the side before the front; the back corners last.
    const where: string[] = corners.map(({ at }) => (at.y === 25 ? 'front' : at.y === 425 ? 'back' : at.y < 225 ? 'side, in front' : 'side, behind'));
    expect(where).toEqual([
      ...Array.from({ length: 4 }, () => 'side, in front'),
      ...Array.from({ length: 6 }, () => 'front'),
      ...Array.from({ length: 4 }, () => 'side, behind'),
      ...Array.from({ length: 6 }, () => 'back'),
    ]);
    expect(staples?.pleats).toEqual([]);
  });

  it('is crowned by a strip of wadding down the middle, cut with the wadding and laid before the wrap; flat without it', () => {
    const [crowned, flat] = [made({}, { wrapLoftMm: 25 }), made({ crownStrip: 'none' }, { wrapLoftMm: 25 })];
    const strip = crowned.pieces.find(({ id }) => id === 'crown-strip')!;
    // Half the core’s width over its whole depth.
    expect([strip.width.value * 2, strip.height.value]).toEqual([crowned.sizes.core.width.value, crowned.sizes.core.depth.value]);
    const at = (id: string): number => crowned.operations.findIndex((one) => one.id === id);
    expect(crowned.operations[at('cut/wadding')]?.pieces).toContain('crown-strip');
    expect(at('prepare/crown-pads')).toBeGreaterThan(-1);
    expect(at('prepare/crown-pads')).toBeLessThan(at('prepare/wrap'));
    expect(crowned.fitRequest!.padLoftMm - flat.fitRequest!.padLoftMm).toBe(25);
    expect(crowned.fit!.crownMm).toBeGreaterThan(flat.fit!.crownMm + 3);
    expect(flat.pieces.some(({ id }) => id === 'crown-strip')).toBeFalse();
  });

  it('says how many small pleats a round back wants underneath: θ · 25 of cloth, 12 in each', () => {
    // A half circle of radius 250: π × 25 = 78.5 of cloth.
    const one = made({}, { template: { shape: 'round-back', widthMm: 500, depthMm: 500, riseMm: 249.999 } });
    const [pleats] = one.cover.staples?.pleats ?? [];
    expect(pleats?.spareMm).toBeCloseTo(78.54, 1);
    expect(pleats?.count).toBe(7);
    expect(one.operations.find(({ id }) => id === 'fix/staple')?.text).toContain('7 small pleats');
    expect(unequalSeams(one.cover.seams)).toEqual([]);
  });

  it('refuses a front that is not straight, an outline that turns in, and says what would do', () => {
    for (const template of [
      { shape: 'round', diameterMm: 400 },
      { shape: 'l', widthMm: 600, depthMm: 560, backWidthMm: 480, earDepthMm: 150, arm: 'left' },
    ] as const) {
      const one = plannedAlone(cushionOf({}, { template }));
      expect(one.state).toBe('blocked');
      const [problem] = one.problems;
      expect([problem?.code, String(problem?.data['instead']).startsWith('Take a')]).toEqual(['construction-not-for-outline', true]);
    }
  });

  it('asks for the top layer over the front where there are several', () => {
    const layers = [
      { grade: 'wren-22-soft', thicknessMm: 20 },
      { grade: 'wren-28', thicknessMm: 40 },
    ];
    expect(made({}, { core: { layers } }).problems.map(({ code }) => code)).toContain('top-layer-not-over-front');
    const over = [{ ...layers[0]!, overFront: true }, layers[1]!];
    expect(made({}, { core: { layers: over } }).problems.map(({ code }) => code)).not.toContain('top-layer-not-over-front');
  });
});
