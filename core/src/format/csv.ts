import Papa from 'papaparse';
import { flatten, type Outline } from '../geometry/outline';
import { distance, type Point } from '../geometry/point';
import { line } from '../geometry/segment';
import { issue } from '../kernel/issue';
import { parseNumber } from '../units/number';
import { outlineOfChains, unitsNotSaid } from './chains';
import { figure, scaleOf, type FileUnits, type OutlineFormat, type ReadOutline } from './outline-file';
import { reading, Unreadable } from './unreadable';

/** Points are written so near to curves, mm. */
const WRITTEN_MM = 0.02;
const MOST_ROWS = 20_000;

const UNITS: readonly (readonly [RegExp, number])[] = [
  [/\bmm\b|\bmillimet(?:er|re)s?\b/i, 1],
  [/\bcm\b|\bcentimet(?:er|re)s?\b/i, 10],
  [/\binch(?:es)?\b|\bin\b|"/i, 25.4],
  [/\bm\b|\bmet(?:er|re)s?\b/i, 1000],
];

/** The unit a heading names: `x_mm`, `x (in)`, `x in mm`. In `x in mm` the *in* is a word, not inches. */
function unitIn(heading: string): number | null {
  const words = heading.replace(/_/g, ' ').replace(/\bin\s+(?=[a-z])/gi, ' ');
  return UNITS.find(([pattern]) => pattern.test(words))?.[1] ?? null;
}

interface Columns {
  readonly x: number;
  readonly y: number;
  readonly scale: number | null;
}

/** Which columns hold x and y, by the heading. Throws `Unreadable` where it does not name them. */
function byHeading(head: readonly string[]): Columns {
  const named = (letter: string): number[] => head.flatMap((cell, i) => (new RegExp(`^\\s*${letter}(?![a-z])`, 'i').test(cell.replace(/_/g, ' ')) ? [i] : []));
  const [xs, ys] = [named('x'), named('y')];
  const [x, y] = xs.length === 1 && ys.length === 1 ? [xs[0] ?? 0, ys[0] ?? 1] : head.length === 2 && !xs.length && !ys.length ? [0, 1] : [-1, -1];
  if (x < 0 || y < 0) throw new Unreadable(1, 'the heading does not say which columns are x and y');
  const [a, b] = [unitIn(head[x] ?? ''), unitIn(head[y] ?? '')];
  if (a !== null && b !== null && a !== b) throw new Unreadable(1, 'x and y are in different units');
  return { x, y, scale: a ?? b };
}

/** Without a heading: two columns, or three of which the first only counts the rows or the last never changes. */
function byRows(rows: readonly (readonly string[])[]): Columns {
  const width = Math.max(...rows.map((row) => row.length));
  if (width <= 2) return { x: 0, y: 1, scale: null };
  const column = (i: number): (number | null)[] => rows.map((row) => parseNumber(row[i] ?? ''));
  const first = column(0);
  const counts = first.every((n, i) => n !== null && n === (first[0] ?? 0) + i) && (first[0] === 0 || first[0] === 1);
  if (width === 3 && counts) return { x: 1, y: 2, scale: null };
  if (width === 3 && new Set(column(2)).size === 1) return { x: 0, y: 1, scale: null };
  throw new Unreadable(1, `${width} columns, and no heading that says which are x and y`);
}

/** Numbers as this file writes them: where some have a decimal comma, a point before three digits groups thousands, and the other way round. */
function numbersAs(cells: readonly string[]): (cell: string) => number | null {
  const decimal = (mark: ',' | '.'): boolean => cells.some((cell) => new RegExp(`\\${mark}(\\d{1,2}|\\d{4,})$`).test(cell.trim()));
  const thousands = (mark: ',' | '.'): boolean => cells.some((cell) => new RegExp(`^[+-]?\\d{1,3}\\${mark}\\d{3}$`).test(cell.trim()));
  for (const [mark, group] of [
    [',', '.'],
    ['.', ','],
  ] as const)
    if (decimal(mark) && !decimal(group) && thousands(group)) return (cell) => parseNumber(cell.replaceAll(group, ''));
  return parseNumber;
}

function read(text: string, units: FileUnits | null): ReadOutline {
  return reading('CSV', () => {
    // A decimal comma can only be told from a column's when columns are apart by something else.
    const delimiter = text.includes(';') ? ';' : text.includes('\t') ? '\t' : ',';
    const { data } = Papa.parse<string[]>(text.trim(), { delimiter, skipEmptyLines: 'greedy', preview: MOST_ROWS + 1 });
    if (data.length > MOST_ROWS) return { ok: false, problems: [issue('error', 'outline-too-fine', '', { most: MOST_ROWS })] };
    const [head = []] = data;
    const named = head.some((cell) => /[a-z]/i.test(cell) && parseNumber(cell) === null);
    const rows = named ? data.slice(1) : data;
    if (!rows.length) return { ok: false, problems: [issue('error', 'file-without-outline', '')] };
    const columns = named ? byHeading(head) : byRows(rows);
    const by = columns.scale ?? scaleOf(units);
    const numberOf = numbersAs(rows.flatMap((row) => [row[columns.x] ?? '', row[columns.y] ?? '']));
    const points = rows.map((row, i): Point => {
      const [x, y] = [numberOf(row[columns.x] ?? ''), numberOf(row[columns.y] ?? '')];
      const number = i + (named ? 2 : 1);
      if (x === null || y === null) throw new Unreadable(number, `“${row.join(delimiter).slice(0, 40)}” is not a point`);
      if (Math.abs(x * by) > 1e5 || Math.abs(y * by) > 1e5) throw new Unreadable(number, 'a point that lies a hundred metres away');
      return { x: x * by, y: y * by };
    });
    const distinct = points.filter((p, i) => i === 0 || distance(p, points[i - 1] as Point) > 1e-6);
    const [first, last] = [distinct[0], distinct.at(-1)];
    const open = first && last && distinct.length > 1 && distance(first, last) <= 1e-6 ? distinct.slice(0, -1) : distinct;
    if (open.length < 3) return { ok: false, problems: [issue('error', 'file-without-outline', '')] };
    const sides = open.map((from, i) => line('front', from, open[(i + 1) % open.length] as Point));
    return outlineOfChains([sides], units === null && columns.scale === null ? [unitsNotSaid()] : []);
  });
}

const write = (outline: Outline): string => ['x_mm,y_mm', ...flatten(outline, WRITTEN_MM).map(({ x, y }) => `${figure(x)},${figure(y)}`), ''].join('\n');

/** Points, one a row, in order round the outline: x to the right, y to the back. Written within 0.02 mm of curves. */
export const csv: OutlineFormat = { ending: 'csv', name: 'points, CSV', read, write };
