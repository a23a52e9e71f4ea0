import fc from 'fast-check';
import { given, law, minus, plus, sum, type Figure } from './figure';
import { hashText } from './hash';
import { seededRandom } from './random';
import { fallingRoot } from './root';
import { whyLine } from './why';

/** Adds a derivation up again from its leaves, independently of how `sum` did it. */
function addedUp(figure: Figure): number {
  if (figure.kind !== 'sum') return figure.value;
  return figure.terms.map((t) => t.sign * t.count * addedUp(t.each)).reduce((a, b) => a + b, addedUp(figure.from));
}

describe('Figure', () => {
  const seat = given('seat', 590, 'entered');
  const finished = sum('finished', seat, minus(given('gap', 0, 'school')));
  const cut = sum('cut', finished, plus(given('seam', 13, 'school'), 2));

  it('prints the derivation of the trade as one line', () => {
    expect(whyLine(cut, 'metric')).toBe('590 seat − 0 gap = 590 finished; + 2 × 13 seam = 616 cut');
    expect(whyLine(seat, 'metric')).toBe('590 seat, as entered');
  });

  it('prints the same in inches, as fractions where they are fractions', () => {
    const inch = sum('cut', given('finished', 23.5 * 25.4, 'entered'), plus(given('seam', 12.7, 'school'), 2));
    expect(whyLine(inch, 'inch')).toBe('23 1/2 finished + 2 × 1/2 seam = 24 1/2 cut');
  });

  it('puts a rule’s inputs into its formula', () => {
    const strip = law('strip', 'π × {0} + 2 × {1}', [given('cord', 5, 'material'), given('flange', 13, 'shop')]);
    expect(whyLine(strip, 'metric')).toBe('π × 5 cord + 2 × 13 flange = 41.7 strip');
    expect(whyLine(sum('long', strip, plus(given('more', 1, 'shop'))), 'metric')).toBe('π × 5 cord + 2 × 13 flange = 41.7 strip; + 1 more = 42.7 long');
  });

  it('has the value its own terms add up to', () => {
    const leaf = fc.double({ min: -1e4, max: 1e4, noNaN: true }).map((v) => given('x', v, 'entered') as Figure);
    const tree = fc.letrec<{ node: Figure }>((tie) => ({
      node: fc.oneof(
        { maxDepth: 4 },
        leaf,
        fc.tuple(tie('node'), tie('node'), fc.integer({ min: 0, max: 4 })).map(([a, b, n]) => sum('y', a, plus(b, n), minus(a))),
      ),
    })).node;
    fc.assert(
      fc.property(tree, (figure) => expect(figure.value).toBeCloseTo(addedUp(figure), 5)),
      { seed: 21, numRuns: 200 },
    );
  });
});

describe('seeded things', () => {
  it('repeat, differ by seed and fill the range', () => {
    const draw = (seed: number): number[] => Array.from({ length: 2000 }, seededRandom(seed));
    expect(draw(7)).toEqual(draw(7));
    expect(draw(7)).not.toEqual(draw(8));
    const mean = draw(7).reduce((a, b) => a + b) / 2000;
    expect(mean).toBeGreaterThan(0.47);
    expect(mean).toBeLessThan(0.53);
    expect(Math.min(...draw(7))).toBeGreaterThanOrEqual(0);
    expect(Math.max(...draw(7))).toBeLessThan(1);
  });

  it('hash names content: equal for equal, 14 digits, no collision in ten thousand', () => {
    expect(hashText('a')).toBe(hashText('a'));
    const names = new Set(Array.from({ length: 10000 }, (_, i) => hashText(`request ${i}`)));
    expect(names.size).toBe(10000);
    expect([...names].every((name) => /^[0-9a-f]{14}$/.test(name))).toBeTrue();
  });
});

describe('fallingRoot', () => {
  it('finds where curved, steep and flat functions cross, in few steps', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.01, max: 0.99, noNaN: true }), fc.integer({ min: 1, max: 15 }), (root, power) => {
        let calls = 0;
        const found = fallingRoot(0, 1, 1e-7, (x) => {
          calls++;
          return root ** power - x ** power;
        });
        expect(Math.abs(found - root)).toBeLessThan(1e-6);
        expect(calls).toBeLessThan(70);
      }),
      { seed: 22 },
    );
    expect(fallingRoot(2, 3, 1e-9, () => -1)).toBe(2);
    expect(fallingRoot(2, 3, 1e-9, () => 1)).toBe(3);
  });
});
