import * as z from 'zod';
import { rangeWords } from '../../units/format';

/** A length that a person chooses, mm, within what a bench can make; what lies outside is refused with the range in words. */
export function lengthWithin(leastMm: number, mostMm: number): z.ZodNumber {
  const words = `a length ${rangeWords(leastMm, mostMm)}`;
  return z.number().min(leastMm, words).max(mostMm, words);
}

/** Narrowest and widest of the lengths that several constructions choose, mm: their schemas and their trays take them from here. */
export const RANGES = {
  /** A seam narrower than this frays out, one wider is no seam. */
  seamMm: [3, 50],
  cordMm: [1, 25],
  flangeMm: [3, 50],
  /** A welt's strip, flat, as it is cut. */
  weltStripMm: [12, 200],
  zipWidthMm: [5, 100],
} as const satisfies Record<string, readonly [number, number]>;

/** The seam allowance of a construction. */
export const seamMm = lengthWithin(...RANGES.seamMm).optional();
/** The cord of its welt. */
export const cordMm = lengthWithin(...RANGES.cordMm).optional();
/** The tape of its zip, across. */
export const zipWidthMm = lengthWithin(...RANGES.zipWidthMm).optional();
