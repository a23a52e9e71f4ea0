import fc from 'fast-check';
import { planned } from '../testing/planned';
import { sampleCushion } from '../testing/samples';
import { SHIPPED_SCHOOLS, type School } from '../shop/schools';
import { evaluateSizes, type SizeRequest } from './sizes';
import { GIVEN } from '../piece/sizes';

const INCH = 25.4;
const request = (over: Partial<SizeRequest>): SizeRequest => ({
  given: 'finished',
  acrossMm: 600,
  deepMm: 500,
  heightMm: 100,
  wrapLoftMm: 0,
  wrapSqueezed: 0.5,
  seamMm: null,
  thin: null,
  ...over,
});
const school = (id: string): School => SHIPPED_SCHOOLS.find((one) => one.id === id)!;
const heights = (id: string, over: Partial<SizeRequest>, system: 'metric' | 'inch' = 'metric'): number[] => {
  const { finished, core, sewn, boxingCut } = evaluateSizes(school(id), request(over), system);
  return [finished.height, core.height, sewn.height, boxingCut].map(({ value }) => value);
};

describe('the height of the size that was given', () => {
  // By hand, from the table of schools: [finished, core, sewn, cut boxing].
  const CASES: readonly (readonly [string, SizeRequest['given'], number, number, readonly number[]])[] = [
    // A kept core of 100 makes a cover of 75; an old cover's boxing of 75 asks for a core of 100.
    ['bare-and-oversize', 'core', 100, 0, [75, 100, 75, 101]],
    ['bare-and-oversize', 'sewn', 75, 0, [75, 100, 75, 101]],
    // With wadding on its faces the foam is as thick as the cushion is high.
    ['bare-and-oversize', 'core', 100, 25, [100, 100, 100, 126]],
    // The slab's own thickness is the cut boxing: sewn is two seams less.
    ['squeezed-slab', 'core', 75, 0, [75, 75, 49, 75]],
    ['squeezed-slab', 'sewn', 75, 0, [101, 101, 75, 101]],
    ['packed-ends', 'sewn', 113, 25, [100, 100, 113, 139]],
    ['padded-to-the-line', 'core', 80, 25, [80, 80, 80, 106]],
  ];
  for (const [id, given, heightMm, wrapLoftMm, wanted] of CASES)
    it(`${id}: ${heightMm} ${given}${wrapLoftMm ? ', wrapped' : ''}`, () => expect(heights(id, { given, heightMm, wrapLoftMm })).toEqual([...wanted]));

  it('in inches takes the inch figures: a kept core of 4 in, bare, makes a cover of 3 in', () => {
    heights('bare-and-oversize', { given: 'core', heightMm: 4 * INCH }, 'inch').forEach((mm, i) => expect(mm / INCH).toBeCloseTo([3, 4, 3, 4][i]!, 9));
  });

  it('leads from each size back to the same cushion, for every school, both units, wedges too', () => {
    const numbers = fc.record({ heightMm: fc.double({ min: 60, max: 400, noNaN: true }), thin: fc.boolean(), wrapLoftMm: fc.constantFrom(0, 13, 25) });
    fc.assert(
      fc.property(
        fc.constantFrom(...SHIPPED_SCHOOLS),
        fc.constantFrom('metric' as const, 'inch' as const),
        numbers,
        (row, system, { heightMm, thin, wrapLoftMm }) => {
          const edge = (mm: number): SizeRequest['thin'] => (thin ? { mm, end: 'back' } : null);
          const from = evaluateSizes(row, request({ heightMm, wrapLoftMm, thin: edge(heightMm * 0.7) }), system);
          for (const given of GIVEN) {
            const mm = given === 'seat' ? from.finished.height.value : from[given].height.value;
            const low = from.slope && (given === 'seat' ? from.slope.finished.value : from.slope[given].value);
            const there = evaluateSizes(row, request({ given, heightMm: mm, wrapLoftMm, thin: low === null ? null : edge(low) }), system);
            for (const name of ['finished', 'core', 'sewn'] as const) {
              expect(there[name].height.value).withContext(`${row.id} ${given} ${name}`).toBeCloseTo(from[name].height.value, 6);
              if (from.slope) expect(there.slope![name].value).withContext(`${row.id} ${given} thin ${name}`).toBeCloseTo(from.slope[name].value, 6);
            }
          }
        },
      ),
      { seed: 912, numRuns: 200 },
    );
  });

  it('reaches the pieces: the boxing and the asked layers follow the kept core', () => {
    const one = planned(
      sampleCushion({
        given: 'core',
        heightMm: 100,
        school: 'bare-and-oversize',
        wrapLoftMm: 0,
        core: { kept: true, layers: [{ grade: 'wren-28', thicknessMm: 100 }] },
      }),
    );
    expect(one.pieces.find((piece) => piece.role === 'boxing')!.height.value).toBe(101);
    expect(one.problems.map(({ code }) => code)).not.toContain('layers-do-not-add-up');
  });
});
