import fc from 'fast-check';
import { parseNumber } from './number';

describe('a number as it is written', () => {
  it('has a point or a comma as its decimal mark, and thousands grouped by what is left', () => {
    const written: [string, number][] = [
      ['12.5', 12.5],
      ['12,5', 12.5],
      ['1,234.5', 1234.5],
      ['1.234,5', 1234.5],
      ['1 234,5', 1234.5],
      ['1\u202f234', 1234],
      ['1,234,567', 1_234_567],
      ['1.234.567,25', 1_234_567.25],
      ['−3', -3],
      ['.5', 0.5],
      ['1e3', 1000],
      // One comma by itself is a decimal mark, here as everywhere else in the shop.
      ['1,234', 1.234],
    ];
    for (const [text, value] of written) expect(parseNumber(text)).withContext(text).toBe(value);
  });

  it('is nothing where it cannot be told what was meant', () => {
    for (const text of [
      '',
      ' ',
      'twelve',
      '12 mm',
      '1.2.3',
      '1,23,4',
      '1,234.5.6',
      '1.234,5,6',
      '12,5.',
      '1 2',
      '--3',
      '0x10',
      'Infinity',
      '1e999',
      '9'.repeat(41),
    ])
      expect(parseNumber(text)).withContext(text).toBeNull();
  });

  it('reads back what other countries write, grouped or not', () => {
    fc.assert(
      fc.property(fc.integer({ min: -99_999_999, max: 99_999_999 }), (cents) => {
        for (const [country, mark] of [
          ['en-GB', '.'],
          ['de-DE', ','],
          ['fr-FR', ','],
        ] as const) {
          const text = (cents / 100).toLocaleString(country, { minimumFractionDigits: 2 });
          expect(text).toContain(mark);
          expect(parseNumber(text))
            .withContext(text)
            .toBe(cents / 100);
        }
      }),
      { numRuns: 200 },
    );
  });
});
