import type { Filling, Grade } from '@yardland/core';

export const FAMILY_WORDS: Record<Grade['family'], string> = {
  conventional: 'conventional',
  'high-resilience': 'high-resilience',
  'fast-drying': 'fast-drying, open-cell',
  reconstituted: 'reconstituted',
  latex: 'latex',
  slab: 'compressed slab',
};
export const KIND_WORDS: Record<Filling['kind'], string> = { spring: 'spring unit', feather: 'feather or down', felt: 'felt' };

/** How each filling is reckoned, said where it is edited: rules of thumb, not laws. */
export const KIND_RULES: Record<Filling['kind'], string> = {
  spring: 'A rule of thumb: it gives in proportion to the mean load up to most of its height, then its wires lie on each other.',
  feather: 'A rule of thumb: it lies flat at the first sit and comes back when it is plumped.',
  felt: 'A rule of thumb: it gives next to nothing and keeps springs from being felt.',
};

/** The numbers of a list written with commas, semicolons or spaces; what is none is NaN, for the schema to refuse. */
export function numbersIn(text: string): number[] {
  return text
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map(Number);
}
