import { asKey, type Phrase, type Vocabulary } from './vocabulary';

interface Span {
  /** Where it stands in the line: from its first letter to behind its last. */
  readonly from: number;
  readonly to: number;
  readonly text: string;
}

/** A number with what belongs to it: a fraction, a unit, inches after feet. */
export interface NumberToken extends Span {
  readonly is: 'number';
  /** The unit said with it; null where none is. */
  readonly unit: string | null;
  /** A whole number and nothing more: it may be a count. */
  readonly whole: boolean;
}
export interface WordToken extends Span {
  readonly is: 'word';
  readonly phrase: Phrase;
}
export interface TimesToken extends Span {
  readonly is: 'times';
}
export interface UnknownToken extends Span {
  readonly is: 'unknown';
}
export type Token = NumberToken | WordToken | TimesToken | UnknownToken;

const FRACTION = '(?:\\d+\\s*/\\s*\\d+|[½¼¾⅛⅜⅝⅞⅓⅔])';
const AMOUNT = `(?:\\d+(?:(?:\\s+|\\s*[-–]\\s*)\\d+\\s*/\\s*\\d+|\\s*[½¼¾⅛⅜⅝⅞⅓⅔])|${FRACTION}|\\d+(?:[.,]\\d+)?|[.]\\d+)`;
/** A unit ends where its word does; the sign of multiplication may follow at once. */
const UNIT = `(?:(?:mm|cm|inches|inch|in|ft|yd|m)(?!(?!x\\s*\\d)\\p{L})|["”″“'’′]{1,2})`;
/** Feet with inches behind them are one measure. */
const NUMBER = new RegExp(`^(?:${AMOUNT}\\s*(?:ft|['’′])\\s*)?${AMOUNT}(?:\\s*(${UNIT}))?`, 'u');
/** `1 196`: so many millimetres, for nobody writes one cushion with a one. */
const THOUSANDS = /^1 \d{3}(?=\s*(?:[x×*,]|mm|by\b|$))/u;
const TIMES = /^(?:[x×*](?!\p{L})|by\b)/u;
/** A word with hyphens in it; `24x22` ends its word at a digit. */
const WORD = /^\p{L}+(?:[-’']\p{L}+)*/u;
const BETWEEN = /^[\s,;:()/.+–-]+/u;
/** Words that a phrase has at most. */
const MOST_WORDS = 6;

/** The longest phrase that the rest of a line begins with, its words parted by anything but letters and numbers. */
function phraseAt(rest: string, known: Vocabulary): { readonly phrase: Phrase; readonly length: number } | null {
  let found: { readonly phrase: Phrase; readonly length: number } | null = null;
  let length = 0;
  for (let n = 0; n < MOST_WORDS; n++) {
    // A number may follow a word at once: `heron40` is Heron 40.
    const next = (n === 0 ? /^\p{L}+/u : /^[\s,:;/-]*(?:\p{L}+|\p{N}+)/u).exec(rest.slice(length))?.[0];
    if (next === undefined) break;
    length += next.length;
    const key = asKey(rest.slice(0, length));
    const phrase = known.get(key) ?? (key.endsWith('s') ? known.get(key.slice(0, -1)) : undefined);
    if (phrase) found = { phrase, length };
  }
  return found;
}

const unitOf = (text: string | undefined): string | null => {
  if (text === undefined) return null;
  if (/^["”″“]|^['’′]{2}/.test(text)) return 'in';
  return /^['’′]/.test(text) ? 'ft' : text;
};

/** The line in its parts, in order: numbers, words that are known, signs of multiplication, and what is neither. Nothing of it is passed over but spaces and punctuation. */
export function tokensOf(line: string, known: Vocabulary): Token[] {
  const text = line.toLowerCase();
  const tokens: Token[] = [];
  for (let from = 0; from < text.length;) {
    const rest = text.slice(from);
    const span = (length: number): Span => ({ from, to: from + length, text: line.slice(from, from + length) });
    const between = BETWEEN.exec(rest)?.[0];
    const times = TIMES.exec(rest)?.[0];
    const thousands = THOUSANDS.exec(rest)?.[0];
    const named = phraseAt(rest, known);
    const number = NUMBER.exec(rest);
    // A number that a name goes on from is part of the name; else it is a measure.
    if (between !== undefined) from += between.length;
    else if (thousands !== undefined && tokens.length === 0) tokens.push({ is: 'number', ...span(thousands.length), unit: null, whole: false });
    else if (number) tokens.push({ is: 'number', ...span(number[0].length), unit: unitOf(number[1]), whole: /^\d+$/.test(number[0]) });
    else if (named) tokens.push({ is: 'word', ...span(named.length), phrase: named.phrase });
    else if (times !== undefined) tokens.push({ is: 'times', ...span(times.length) });
    else tokens.push({ is: 'unknown', ...span((WORD.exec(rest)?.[0] ?? rest.slice(0, 1)).length) });
    if (between === undefined) from = tokens.at(-1)?.to ?? text.length;
  }
  return tokens;
}
