import fc from 'fast-check';
import { formatExact, formatLength, formatLengthUnit, formatRun, lengthParts } from './format';
import { MM_PER_INCH, pair, pairMm } from './length';
import { parseLength } from './parse';
import { roundHalfUp, roundToStep, roundUp } from './round';

const STEP = pair(1, 1 / 8);

function mm(text: string, system: 'inch' | 'metric' = 'inch'): number {
  const reading = parseLength(text, system);
  if (!reading.ok) throw new Error(`${text}: ${reading.code} at "${reading.rest}"`);
  return reading.mm;
}

describe('parseLength', () => {
  it('reads what is scribbled on card', () => {
    for (const text of ['23 1/2', '23-1/2', '23½', '23 ½', '23.5"', '23,5', "1' 11 1/2", '1 ft 11.5 in', '1′ 11 1/2″', '596.9 mm', '59,69 cm'])
      expect(mm(text)).withContext(text).toBeCloseTo(596.9, 9);
    expect(mm('597', 'metric')).toBe(597);
    expect(mm('1 196', 'metric')).toBe(1196);
    expect(mm('1\u202f196', 'metric')).toBe(1196);
    expect(mm('3/4', 'inch')).toBeCloseTo(19.05, 9);
    expect(mm('2 yd', 'metric')).toBeCloseTo(1828.8, 9);
    expect(mm('-1/4', 'inch')).toBeCloseTo(-6.35, 9);
  });

  it('says what it could not read', () => {
    expect(parseLength('', 'inch')).toEqual({ ok: false, code: 'empty', rest: '' });
    expect(parseLength('12 x', 'metric')).toEqual({ ok: false, code: 'not-a-length', rest: 'x' });
    expect(parseLength('3/0', 'inch')).toEqual({ ok: false, code: 'zero-denominator', rest: '3/0' });
    expect(parseLength('11 in 2 ft', 'inch')).toEqual({ ok: false, code: 'not-a-length', rest: '2 ft' });
    expect(parseLength('9'.repeat(41), 'metric').ok).toBeFalse();
    for (const text of ['1e9', 'NaN', 'Infinity', '1.2.3', '--4', '5 6', '0x10']) expect(parseLength(text, 'metric').ok).withContext(text).toBeFalse();
  });

  it('reads back every printed length in both systems', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 16 * 400 }), (sixteenths) => {
        const value = (sixteenths / 16) * MM_PER_INCH;
        expect(mm(formatLength(value, 'inch', pair(1, 1 / 16)))).toBeCloseTo(value, 6);
        expect(mm(formatLengthUnit(value, 'inch', pair(1, 1 / 16)), 'metric')).toBeCloseTo(value, 6);
        expect(mm(formatExact(value, 'inch'))).toBeCloseTo(value, 6);
      }),
      { seed: 11, numRuns: 400 },
    );
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99999 }), (value) => {
        expect(mm(formatLength(value, 'metric', STEP), 'metric')).toBe(value);
      }),
      { seed: 12, numRuns: 400 },
    );
  });

  it('never throws and never answers with something that is not a number', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        const reading = parseLength(text, 'inch');
        expect(reading.ok ? Number.isFinite(reading.mm) : reading.code.length > 0).toBeTrue();
      }),
      { seed: 13, numRuns: 500 },
    );
  });
});

describe('rounding', () => {
  it('goes half up, only at the end, to the shop step', () => {
    expect(roundHalfUp(12.5, 1)).toBe(13);
    expect(roundHalfUp(-12.5, 1)).toBe(-12);
    expect(roundHalfUp(0.1 + 0.2 - 0.05, 0.5)).toBe(0.5);
    expect(roundToStep(592.5, 'metric', pair(5, 1 / 16))).toBe(595);
    expect(roundToStep(23.4375 * 25.4, 'inch', STEP) / 25.4).toBeCloseTo(23.5, 9);
    expect(roundUp(2.3000000000001, 0.1)).toBeCloseTo(2.3, 9);
    expect(roundUp(2.301, 0.1)).toBeCloseTo(2.4, 9);
  });

  it('is idempotent and within half a step', () => {
    fc.assert(
      fc.property(fc.double({ min: -5000, max: 5000, noNaN: true }), fc.constantFrom('inch' as const, 'metric' as const), (value, system) => {
        const once = roundToStep(value, system, STEP);
        expect(roundToStep(once, system, STEP)).toBeCloseTo(once, 9);
        expect(Math.abs(once - value)).toBeLessThanOrEqual(pairMm(STEP, system) / 2 + 1e-6);
      }),
      { seed: 14, numRuns: 400 },
    );
  });
});

describe('printing', () => {
  it('stacks the fraction in lowest terms', () => {
    expect(lengthParts(23.5 * 25.4, 'inch', STEP)).toEqual({ negative: false, whole: '23', numerator: 1, denominator: 2, unit: 'in' });
    expect(formatLength(0.375 * 25.4, 'inch', STEP)).toBe('3/8');
    expect(formatLength(-6.35, 'inch', STEP)).toBe('−1/4');
    expect(formatLength(1196.4, 'metric', STEP)).toBe('1\u202f196');
    expect(formatExact(42.71, 'metric')).toBe('42.7');
    expect(formatExact(42.71, 'inch')).toBe('1.68');
    expect(formatRun(2300, 'metric')).toBe('2.3 m');
    expect(formatRun(2.25 * 914.4, 'inch')).toBe('2 1/4 yd');
    expect(formatRun(29.9 * 25.4, 'inch')).toBe('29 7/8 in');
  });

  it('uses the exact inch value of a rule in an inch job', () => {
    expect(pairMm(pair(13, 1 / 2), 'inch')).toBeCloseTo(12.7, 12);
    expect(pairMm(pair(13, 1 / 2), 'metric')).toBe(13);
  });
});
