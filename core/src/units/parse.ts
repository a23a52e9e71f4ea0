import { MM_PER_FOOT, MM_PER_INCH, MM_PER_YARD, type UnitSystem } from './length';

export type LengthProblem = 'empty' | 'not-a-length' | 'zero-denominator' | 'too-long';

/** What was read: millimetres, or why not and the part of the text that could not be read. */
export type LengthReading = { readonly ok: true; readonly mm: number } | { readonly ok: false; readonly code: LengthProblem; readonly rest: string };

/** Longest text that is looked at; nobody writes a measure longer than this. */
const MAX_TEXT = 40;

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
  '⅓': '1/3',
  '⅔': '2/3',
};

const UNIT_MM: Record<string, number> = {
  mm: 1,
  cm: 10,
  m: 1000,
  '"': MM_PER_INCH,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  "'": MM_PER_FOOT,
  ft: MM_PER_FOOT,
  yd: MM_PER_YARD,
};

/** One quantity: whole or decimal, a whole with a fraction (space or hyphen between), or a fraction alone; then a unit mark or none. */
const QUANTITY = /^(?:(\d+)(?:\s+|\s*-\s*)(\d+)\/(\d+)|(\d+)\/(\d+)|(\d+(?:\.\d+)?|\.\d+))\s*(mm|cm|m|inches|inch|in|ft|yd|"|')?/;

function plainText(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[\u202f\u00a0\u2009]/g, ' ')
    .replace(/[”″“]|''/g, '"')
    .replace(/[’′‘]/g, "'")
    .replace(/[−–]/g, '-')
    .replace(/(\d)\s*([½¼¾⅛⅜⅝⅞⅓⅔])/g, '$1 $2')
    .replace(/[½¼¾⅛⅜⅝⅞⅓⅔]/g, (mark) => VULGAR[mark] ?? mark)
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/^(-?\d{1,3})((?: \d{3})+)(?=\s*(?:mm)?$)/, (_, head: string, groups: string) => head + groups.replace(/ /g, ''));
}

/**
 * Reads a length as it is written at the bench: `23 1/2`, `23-1/2`, `23½`, `23.5"`, `1' 11 1/2`, `59,7 cm`, `597`, `1 196`.
 * A number without a unit mark is in `system` (inches after feet). A leading minus is kept; ranges are the caller's matter.
 */
export function parseLength(text: string, system: UnitSystem): LengthReading {
  if (text.length > MAX_TEXT) return { ok: false, code: 'too-long', rest: text.slice(MAX_TEXT) };
  let rest = plainText(text);
  if (rest === '') return { ok: false, code: 'empty', rest: '' };
  const negative = rest.startsWith('-');
  if (negative) rest = rest.slice(1).trimStart();

  let total = 0;
  let lastUnitMm = Infinity;
  while (rest !== '') {
    const match = QUANTITY.exec(rest);
    if (!match) return { ok: false, code: 'not-a-length', rest };
    const [whole, wholeNum, wholeDen, num, den, decimal, unit] = match.slice(1);
    if (Number(wholeDen) === 0 || Number(den) === 0) return { ok: false, code: 'zero-denominator', rest };
    const amount = decimal ? Number(decimal) : whole ? Number(whole) + Number(wholeNum) / Number(wholeDen) : Number(num) / Number(den);
    const bareMm = system === 'inch' || lastUnitMm === MM_PER_FOOT ? MM_PER_INCH : 1;
    const unitMm = unit ? (UNIT_MM[unit] ?? 1) : bareMm;
    // Parts go from large to small (feet, then inches): anything else is a slip of the pen.
    if (unitMm >= lastUnitMm) return { ok: false, code: 'not-a-length', rest };
    total += amount * unitMm;
    lastUnitMm = unitMm;
    rest = rest.slice(match[0].length).trimStart();
  }
  return { ok: true, mm: negative ? -total : total };
}
