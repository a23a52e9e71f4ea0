/** Longest text taken for a number. */
const MAX_TEXT = 40;

/**
 * Reads a plain number as it is written at the bench or in a file: `12.5`, `12,5`, `-3`, `1 234,5`, `1.234,5`, `1,234.5`, `1e3`. A comma or a point that comes once is the
 * decimal mark; where both stand, or one stands several times, those before the last kind group thousands. Null for anything else.
 */
export function parseNumber(text: string): number | null {
  const plain = text
    .trim()
    .replace(/[−–]/g, '-')
    .replace(/(?<=\d)[\u202f\u00a0\u2009 '’](?=\d{3}(?!\d))/g, '');
  if (plain === '' || plain.length > MAX_TEXT) return null;
  const [commas, points] = [plain.split(',').length - 1, plain.split('.').length - 1];
  const grouping = commas && points ? (plain.lastIndexOf(',') > plain.lastIndexOf('.') ? '.' : ',') : commas > 1 ? ',' : points > 1 ? '.' : null;
  if (grouping !== null && !grouped(plain, grouping)) return null;
  const digits = (grouping === null ? plain : plain.replaceAll(grouping, '')).replace(',', '.');
  if (!/^[+-]?(\d+\.?\d*|\.\d+)(e[+-]?\d+)?$/i.test(digits)) return null;
  const value = Number(digits);
  return Number.isFinite(value) ? value : null;
}

/** Thousands stand in threes before the decimal mark, and nothing is grouped behind it. */
function grouped(text: string, mark: ',' | '.'): boolean {
  const other = mark === ',' ? '.' : ',';
  const [whole = '', ...rest] = text.split(other);
  const groups = whole.replace(/^[+-]/, '').split(mark);
  return rest.length <= 1 && !rest.join('').includes(mark) && /^\d{1,3}$/.test(groups[0] ?? '') && groups.slice(1).every((group) => /^\d{3}$/.test(group));
}
