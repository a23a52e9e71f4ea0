import { parseLength } from '../../units/parse';
import type { UnitSystem } from '../../units/length';
import type { NumberToken, Token } from './tokens';
import type { Axis } from './vocabulary';

/** Measures found in a line, mm; what is not said is missing. */
export interface Measures {
  readonly quantity: number | null;
  readonly acrossMm?: number;
  readonly deepMm?: number;
  readonly highMm?: number;
}

export type MeasuresRead =
  | { readonly ok: true; readonly value: Measures }
  | { readonly ok: false; readonly code: 'measure-unreadable' | 'quantity-unclear' | 'no-measures'; readonly token: NumberToken | null };

/** What the shape and the construction expect. */
export interface Expected {
  /** It has one measure across: a round one, or a square. */
  readonly oneAcross: boolean;
  /** Its depth follows from its width, but may be said: a half round. */
  readonly mayBeDeep: boolean;
  /** A height beyond 300 mm is nothing unusual: a bolster is as long as that, a block as high. */
  readonly tall: boolean;
}

/** Most cushions in a line. */
export const MOST_QUICK = 500;
/** A seat is wider than this, mm. */
const NARROW = 60;
/** A cushion is thinner than this, mm, unless it is tall. */
const HIGH = 300;
/** A unit said once stands for the numbers beside it, where none of them becomes longer than this, mm. */
const LONG = 6000;

interface Labelled {
  readonly token: NumberToken;
  readonly axis: Axis | null;
  readonly mm: number;
}

const axisOf = (token: Token | undefined): Axis | null =>
  token?.is === 'word' ? (token.phrase.meanings.flatMap((one) => (one.is === 'axis' ? [one.axis] : []))[0] ?? null) : null;
const isWord = (token: Token | undefined, ...kinds: readonly string[]): boolean =>
  token?.is === 'word' && token.phrase.meanings.some(({ is }) => kinds.includes(is));

/** The number that is a count: one with `off` or `pcs` behind it, or the first of several with a shape or a construction behind it (`4 half round 420 x 50`). */
function countIn(tokens: readonly Token[]): NumberToken | null {
  const numbers = tokens.filter((one) => one.is === 'number');
  const counted = tokens.find((one, i) => one.is === 'number' && one.whole && isWord(tokens[i + 1], 'count'));
  if (counted?.is === 'number') return counted;
  const [first] = numbers;
  if (!first?.whole || numbers.length < 2 || tokens.indexOf(first) !== 0) return null;
  const next = tokens[1]?.is === 'times' ? tokens[2] : tokens[1];
  return isWord(next, 'shape', 'construction', 'choice') && axisOf(next) === null ? first : null;
}

/** What each number measures, where that is said beside it: `22 dia`, `dia 22`, `4 thick`. */
function axes(tokens: readonly Token[]): Map<NumberToken, Axis> {
  const found = new Map<NumberToken, Axis>();
  tokens.forEach((token, i) => {
    const axis = axisOf(token);
    if (axis === null) return;
    const [before, after] = [tokens[i - 1], tokens[i + 1]];
    if (before?.is === 'number' && !found.has(before)) found.set(before, axis);
    else if (after?.is === 'number') found.set(after, axis);
  });
  return found;
}

/** Each measure in mm. A number without a unit has that of the next that names one (`24 x 22 x 4 in`), as long as this makes a cushion of it; else the job's. */
function lengthsOf(tokens: readonly NumberToken[], units: UnitSystem): { readonly mm: readonly number[] } | { readonly wrong: NumberToken } {
  const later = tokens.map((_, i) => tokens.slice(i).find(({ unit }) => unit !== null)?.unit ?? null);
  const read = (withUnits: boolean): { readonly mm: readonly number[] } | { readonly wrong: NumberToken } => {
    const mm: number[] = [];
    for (const [i, token] of tokens.entries()) {
      const reading = parseLength(token.unit === null && withUnits && later[i] ? `${token.text} ${later[i]}` : token.text, units);
      if (!reading.ok || reading.mm <= 0) return { wrong: token };
      mm.push(reading.mm);
    }
    return { mm };
  };
  const shared = read(true);
  return 'mm' in shared && shared.mm.every((mm) => mm <= LONG) ? shared : read(false);
}

/** Whether the first of these is a count rather than a width: it is whole, and as a width it would make no cushion. */
function firstIsCount([first, ...others]: readonly Labelled[], wanted: number, { tall, mayBeDeep }: Expected): boolean {
  if (!first?.token.whole || !others.length) return false;
  if (others.length >= wanted) return !mayBeDeep || others.length > wanted || first.mm < NARROW;
  if (others.length < wanted - 1) return false;
  const last = others.at(-1)?.mm ?? 0;
  return first.mm < NARROW || (!tall && others.length === wanted - 1 && last > HIGH && first.mm < last);
}

/** How many, and which of the numbers is the width, the depth and the height. */
export function measuresOf(tokens: readonly Token[], units: UnitSystem, expected: Expected): MeasuresRead {
  const counted = countIn(tokens);
  const numbers = tokens.filter((one): one is NumberToken => one.is === 'number' && one !== counted);
  const lengths = lengthsOf(numbers, units);
  if ('wrong' in lengths) return { ok: false, code: 'measure-unreadable', token: lengths.wrong };
  const said = axes(tokens);
  const labelled = numbers.map((token, i): Labelled => ({ token, axis: said.get(token) ?? null, mm: lengths.mm[i] ?? 0 }));
  const bare = labelled.filter(({ axis }) => axis === null);
  const wanted = (expected.oneAcross ? 2 : 3) - labelled.filter(({ axis }) => axis !== null).length;
  const first = counted === null && firstIsCount(bare, wanted, expected) ? (bare[0]?.token ?? null) : null;
  const count = counted ?? first;
  const quantity = count ? Number(count.text) : null;
  if (quantity !== null && (quantity < 1 || quantity > MOST_QUICK)) return { ok: false, code: 'quantity-unclear', token: count };
  const left = labelled.filter(({ token }) => token !== first);
  // One measure more than there is room for, and the first is no whole number: it was meant as a count.
  const threeOfTwo = expected.mayBeDeep && left.length === 3;
  const surplus = left.filter(({ axis }) => axis === null)[wanted + (threeOfTwo ? 1 : 0)];
  if (surplus) {
    const wrong = bare[0]?.token ?? null;
    return wrong && !wrong.whole && bare.length === wanted + 1
      ? { ok: false, code: 'quantity-unclear', token: wrong }
      : { ok: false, code: 'measure-unreadable', token: surplus.token };
  }
  const value = placed(left, { ...expected, oneAcross: expected.oneAcross && !threeOfTwo });
  return value.acrossMm === undefined ? { ok: false, code: 'no-measures', token: null } : { ok: true, value: { ...value, quantity } };
}

/** Those whose axis is said at their place, the rest in the order of the trade: across, deep, high. */
function placed(left: readonly Labelled[], { oneAcross }: Expected): Omit<Measures, 'quantity'> {
  const order = oneAcross ? (['acrossMm', 'highMm'] as const) : (['acrossMm', 'deepMm', 'highMm'] as const);
  const found: { -readonly [K in keyof Omit<Measures, 'quantity'>]: number } = {};
  const least = Math.min(...left.map(({ mm }) => mm));
  for (const { axis, mm } of left) {
    // `24 x 22, 4 deep`: of three measures the smallest is never the depth of a seat.
    if (axis === 'deep') found[(left.length === 3 || oneAcross) && mm === least ? 'highMm' : 'deepMm'] = mm;
    else if (axis === 'high') found.highMm = mm;
    else if (axis !== null) found.acrossMm = mm;
  }
  for (const { axis, mm } of left) {
    const free = order.find((one) => found[one] === undefined);
    if (axis === null && free) found[free] = mm;
  }
  return found;
}
