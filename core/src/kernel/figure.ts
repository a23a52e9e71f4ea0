import { evaluate } from './formula';

/** A value that knows how it came about. Sizes are computed through figures, so a why cannot disagree with its number. */
export type Figure = Given | Sum | Law | Measured;

export type FigureUnit = 'mm' | 'mm²' | 'l' | 'count' | 'N' | 'g';

/** Where a figure starts: entered by a person, a school's number, a shop's number, a property of a material, a thing counted, a length measured on an outline. */
export type Origin = 'entered' | 'school' | 'shop' | 'material' | 'counted' | 'measured';

interface Base {
  /** A short trade word: `seat`, `finished`, `seam`. */
  readonly name: string;
  readonly unit: FigureUnit;
  readonly value: number;
}

export interface Given extends Base {
  readonly kind: 'given';
  readonly origin: Origin;
}

/** `sign × count × each` */
export interface Term {
  readonly sign: 1 | -1;
  readonly count: number;
  readonly each: Figure;
}

export interface Sum extends Base {
  readonly kind: 'sum';
  readonly from: Figure;
  readonly terms: readonly Term[];
}

/** A rule that is not a plain sum. `formula` is the arithmetic that gave the value (`formula.ts`), `{0}`, `{1}` … in it the inputs. */
export interface Law extends Base {
  readonly kind: 'law';
  readonly formula: string;
  readonly inputs: readonly Figure[];
}

/** Measured on an outline or a body that no formula stands for. `words` say along what, `{0}`, `{1}` … in them the figures that it follows from. */
export interface Measured extends Base {
  readonly kind: 'measured';
  readonly words: string;
  readonly inputs: readonly Figure[];
}

export function given(name: string, value: number, origin: Origin, unit: FigureUnit = 'mm'): Given {
  return { kind: 'given', name, unit, value, origin };
}

export function plus(each: Figure, count = 1): Term {
  return { sign: 1, count, each };
}

export function minus(each: Figure, count = 1): Term {
  return { sign: -1, count, each };
}

/** `from` with the terms added in order. */
export function sum(name: string, from: Figure, ...terms: readonly Term[]): Sum {
  return { kind: 'sum', name, unit: from.unit, value: terms.reduce((total, t) => total + t.sign * t.count * t.each.value, from.value), from, terms };
}

/**
 * A rule over its inputs: `law('welt strip', 'π × {0} + {1} + 2 × {2}', [cord, cloth, flange])`. The value is what the formula gives, so that what is printed is what was computed.
 * The inputs have to be of such units that the arithmetic also holds in inches: no millimetres by square metres.
 */
export function law(name: string, formula: string, inputs: readonly Figure[], unit: FigureUnit = 'mm'): Law {
  return { kind: 'law', name, unit, value: evaluate(formula, inputs.map(valueOf)), formula, inputs };
}

/** A value that was measured, and along what: `measuredOn('zip opening', mm, 'along the back and {0} round each corner', [past])`. */
export function measuredOn(name: string, value: number, words: string, inputs: readonly Figure[] = [], unit: FigureUnit = 'mm'): Measured {
  return { kind: 'measured', name, unit, value, words, inputs };
}

/** What a body of these sides holds, litres; a side may be an area. */
export function volume(name: string, sides: readonly Figure[]): Measured {
  const mm3 = sides.reduce((product, { value }) => product * value, 1);
  return measuredOn(name, mm3 / 1e6, sides.map((_, i) => `{${i}}`).join(' by '), sides, 'l');
}

/** Lengths that agree to this are the same, mm. */
const AGREES_MM = 0.005;

/** A size of an outline by the bench's formula where the outline has that size, as it has on straight sides; else as it was measured. */
export function lawOrMeasured(name: string, mm: number, formula: string, inputs: readonly Figure[]): Law | Measured {
  const ruled = law(name, formula, inputs);
  return Math.abs(ruled.value - mm) < AGREES_MM ? ruled : measuredOn(name, mm, 'across its outline', inputs);
}

const valueOf = ({ value }: Figure): number => value;

/** A length that there is of something: none where the sum falls below nothing. */
export const atLeastNone = (length: Figure): Figure => (length.value >= 0 ? length : law(length.name, 'the greater of {0} and 0', [length]));

/** The figure under another name, same derivation: what is `seat` here is `template` there. */
export function renamed(name: string, figure: Figure): Figure {
  return { ...figure, name };
}
