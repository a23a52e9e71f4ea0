import * as z from 'zod';
import { formatLength } from '../../units/format';
import { pair } from '../../units/length';

const STEP = pair(1, 1 / 8);

/** A range of lengths in words, metric and inch: `from 3 to 50 mm (1/8 to 2 in)`. */
function inWords(leastMm: number, mostMm: number): string {
  const inch = (mm: number): string => formatLength(mm, 'inch', STEP);
  return `from ${leastMm} to ${mostMm} mm (${inch(leastMm)} to ${inch(mostMm)} in)`;
}

/** A length that a person chooses, mm, within what a bench can make; what lies outside is refused with the range in words. */
export function lengthWithin(leastMm: number, mostMm: number): z.ZodNumber {
  const words = `a length ${inWords(leastMm, mostMm)}`;
  return z.number().min(leastMm, words).max(mostMm, words);
}

/** Narrowest and widest of the lengths that several constructions choose, mm: their schemas and their trays take them from here. */
export const RANGES = {
  /** A seam narrower than this frays out, one wider is no seam. */
  seamMm: [3, 50],
  cordMm: [1, 25],
  flangeMm: [3, 50],
  zipWidthMm: [5, 100],
} as const satisfies Record<string, readonly [number, number]>;

/** The seam allowance of a construction. */
export const seamMm = lengthWithin(...RANGES.seamMm).optional();
/** The cord of its welt. */
export const cordMm = lengthWithin(...RANGES.cordMm).optional();
/** The tape of its zip, across. */
export const zipWidthMm = lengthWithin(...RANGES.zipWidthMm).optional();
