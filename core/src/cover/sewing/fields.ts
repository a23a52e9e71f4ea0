import type { ClothNature } from '../../material/material';
import type { ClothSlot } from '../../piece/material-ref';
import type { Assumed } from '../../shop/assumptions';
import type { Field } from '../contract';
import { RANGES } from './lengths';

/** What may be said of any field besides its label and its values. */
interface More<C> {
  readonly group?: 'closing' | 'extras';
  readonly opens?: true;
  readonly shown?: (choices: C) => boolean;
  readonly offered?: (choices: C) => readonly string[];
  /** Of a choice: which value is usual where that depends on other choices, or on how the cloths are worked. */
  readonly usualFor?: (choices: C, cloth: (slot: ClothSlot) => ClothNature) => string;
}

/** A choice by its values and their names, the usual one first. */
export function choiceField<C>(key: keyof C & string, label: string, names: Readonly<Record<string, string>>, more: More<C> = {}): Field<C> {
  const options = Object.entries(names).map(([value, name]) => ({ value, name }));
  return { key, label, kind: 'choice', options, usual: options[0]?.value ?? '', ...more };
}

/** A length with its range, mm; where nothing is entered it is what `usual` says. */
export function lengthField<C>(
  key: keyof C & string,
  label: string,
  [minMm, maxMm]: readonly [number, number],
  usual: Assumed | 'school seam' | 'half the height' | 'by its flange' | 'by the thickness',
  more: More<C> = {},
): Field<C> {
  return { key, label, kind: 'length', minMm, maxMm, usual, ...more };
}

/** How many of something, none unless told. */
export function countField<C>(key: keyof C & string, label: string, most: number, more: More<C> = {}): Field<C> {
  return { key, label, kind: 'count', least: 0, most, usual: 0, ...more };
}

/** The choices of a cover whose edges may be welted. */
interface Edged {
  readonly edge?: 'plain' | 'welt' | undefined;
  readonly cordMm?: number | undefined;
}

/** Plain or welted, and the cord where it is welted. */
export const edgeFields = (label: string): readonly Field<Edged>[] => [
  choiceField<Edged>('edge', label, { plain: 'plain', welt: 'welt' }),
  lengthField<Edged>('cordMm', 'Cord', RANGES.cordMm, 'cordMm', { shown: ({ edge }) => edge === 'welt' }),
];
