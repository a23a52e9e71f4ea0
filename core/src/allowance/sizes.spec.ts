import fc from 'fast-check';
import { whyLine } from '../kernel/why';
import { overridden, SCHOOL_NUMBERS, schoolSchema, SHIPPED_SCHOOLS, type School } from '../shop/schools';
import { pair } from '../units/length';
import { evaluateSizes, type SizeRequest } from './sizes';
import { GIVEN } from '../piece/sizes';

const request = (over: Partial<SizeRequest> = {}): SizeRequest => ({
  given: 'finished',
  acrossMm: 600,
  deepMm: 500,
  heightMm: 100,
  wrapLoftMm: 25,
  wrapSqueezed: 0.5,
  seamMm: null,
  thin: null,
  ...over,
});
const school = (id: string): School => SHIPPED_SCHOOLS.find((one) => one.id === id)!;

describe('the shipped schools, 600 × 500 × 100 finished', () => {
  // Worked by hand from the table of schools: core, sewn plate, cut plate, sewn boxing, cut boxing.
  const METRIC: Record<string, readonly number[]> = {
    'padded-to-the-line': [600, 500, 100, 600, 500, 626, 526, 100, 126],
    'bare-and-oversize': [626, 526, 100, 600, 500, 626, 526, 100, 126],
    'squeezed-slab': [626, 526, 100, 600, 500, 626, 526, 74, 100],
    'measured-over-the-wrap': [600, 500, 100, 625, 525, 663, 563, 125, 163],
    'packed-ends': [574, 500, 100, 600, 500, 626, 526, 113, 139],
    'full-block': [612, 512, 113, 600, 500, 626, 526, 100, 126],
    'sprung-and-snug': [600, 500, 100, 588, 488, 614, 514, 100, 126],
    'deck-tight': [600, 525, 100, 600, 500, 626, 526, 100, 126],
  };
  const INCH: Record<string, readonly number[]> = {
    'packed-ends': [23, 20, 4, 24, 20, 25, 21, 4.5, 5.5],
    'sprung-and-snug': [24, 20, 4, 23.5, 19.5, 24.5, 20.5, 4, 5],
    'squeezed-slab': [25, 21, 4, 24, 20, 25, 21, 3, 4],
    'measured-over-the-wrap': [24, 20, 4, 25, 21, 26.5, 22.5, 5, 6.5],
    'full-block': [24.5, 20.5, 4.5, 24, 20, 25, 21, 4, 5],
  };
  const numbers = (id: string, system: 'metric' | 'inch', over: Partial<SizeRequest> = {}): number[] => {
    const { core, sewn, cut, boxingCut } = evaluateSizes(school(id), request(over), system);
    return [core.width, core.depth, core.height, sewn.width, sewn.depth, cut.width, cut.depth, sewn.height, boxingCut].map((figure) => figure.value);
  };

  for (const { id } of SHIPPED_SCHOOLS)
    it(`${id} gives the sizes of its row`, () => {
      expect(numbers(id, 'metric')).toEqual(METRIC[id] as number[]);
      const inch = INCH[id];
      if (inch) {
        const got = numbers(id, 'inch', { acrossMm: 24 * 25.4, deepMm: 20 * 25.4, heightMm: 4 * 25.4, wrapLoftMm: 25.4 });
        got.forEach((mm, i) => expect(mm / 25.4).toBeCloseTo(inch[i]!, 9));
      }
    });

  it('bare foam is cut 25 thicker, and not when wadding lies on its faces', () => {
    const bare = evaluateSizes(school('bare-and-oversize'), request({ wrapLoftMm: 0 }), 'metric');
    expect(bare.core.height.value).toBe(125);
  });
});

describe('a school both ways', () => {
  it('leads from each of its sizes back to the same cushion', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED_SCHOOLS),
        fc.constantFrom('metric' as const, 'inch' as const),
        fc.double({ min: 200, max: 2600, noNaN: true }),
        fc.double({ min: 150, max: 900, noNaN: true }),
        (row, system, acrossMm, deepMm) => {
          // The long-core rule and packed ends look at which side is longer: keep that clear of the allowances.
          fc.pre(Math.abs(acrossMm - deepMm) > 60);
          const from = evaluateSizes(row, request({ acrossMm, deepMm }), system);
          for (const given of GIVEN) {
            const there = evaluateSizes(row, request({ given, acrossMm: from[given].width.value, deepMm: from[given].depth.value }), system);
            for (const name of ['seat', 'finished', 'sewn', 'core', 'cut'] as const) {
              expect(there[name].width.value).withContext(`${row.id} ${given} ${name}`).toBeCloseTo(from[name].width.value, 6);
              expect(there[name].depth.value).withContext(`${row.id} ${given} ${name}`).toBeCloseTo(from[name].depth.value, 6);
            }
          }
        },
      ),
      { seed: 91, numRuns: 200 },
    );
  });

  it('says its numbers in the why, and which one the cushion took otherwise', () => {
    const changed = overridden(school('packed-ends'), 'core-ends', -20);
    const { core, sewn } = evaluateSizes(changed, request(), 'metric');
    expect(core.width.value).toBe(560);
    expect(whyLine(core.width, 'metric')).toBe('600 finished − 2 × 20 an end = 560 core');
    expect(whyLine(sewn.height, 'metric')).toBe('100 finished height + 13 boxing ease = 113 sewn height');
    expect(overridden(school('squeezed-slab'), 'boxing', 5)).toBe(school('squeezed-slab'));
  });

  it('has numbers that can be read and set, one at a time', () => {
    for (const row of SHIPPED_SCHOOLS) {
      const { edition: _ofShipped, ...own } = row;
      expect(schoolSchema.parse(own)).toEqual(own);
      for (const number of SCHOOL_NUMBERS) {
        const before = number.get(row);
        if (!before) continue;
        const set = number.set(row, pair(before.mm + 1, before.inch + 1 / 32));
        expect(number.get(set))
          .withContext(`${row.id} ${number.key}`)
          .toEqual(pair(before.mm + 1, before.inch + 1 / 32));
        const { edition: _none, ...asOwn } = set;
        expect(schoolSchema.safeParse(asOwn).success).toBeTrue();
      }
    }
  });
});

describe('a wedge', () => {
  it('has two heights by the same rules, and a top plate as deep as its slope', () => {
    // Squeezed slab: sewn heights are two allowances less than the core's; √(500² + 60²) = 503.587.
    const { slope, sewn } = evaluateSizes(school('squeezed-slab'), request({ thin: { mm: 40, end: 'back' } }), 'metric');
    expect([sewn.height.value, slope!.core.value, slope!.sewn.value, slope!.boxingCut.value]).toEqual([74, 40, 14, 40]);
    expect(slope!.slant.value).toBeCloseTo(503.587, 3);
    expect(slope!.slantCut.value).toBeCloseTo(529.587, 3);
  });
});
