/** A value that knows how it came about. Sizes are computed through figures, so a why cannot disagree with its number. */
export type Figure = Given | Sum | Law;

export type FigureUnit = 'mm' | 'mm²' | 'count' | 'N' | 'g';

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

/** A rule that is not a plain sum. `formula` holds `{0}`, `{1}` … where its inputs stand. */
export interface Law extends Base {
  readonly kind: 'law';
  readonly formula: string;
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
 * A rule over its inputs: `law('welt strip', 'π × {0} + {1} + 2 × {2}', [cord, cloth, flange], (d, c, f) => Math.PI * d + c + 2 * f)`.
 * The value is computed here, from the same inputs that the formula shows.
 */
export function law(name: string, formula: string, inputs: readonly Figure[], compute: (...values: number[]) => number, unit: FigureUnit = 'mm'): Law {
  return { kind: 'law', name, unit, value: compute(...inputs.map((input) => input.value)), formula, inputs };
}

/** The figure under another name, same derivation: what is `seat` here is `template` there. */
export function renamed(name: string, figure: Figure): Figure {
  return { ...figure, name };
}
