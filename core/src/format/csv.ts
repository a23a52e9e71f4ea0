import Papa from 'papaparse';
import { flatten, type Outline } from '../geometry/outline';
import { distance } from '../geometry/point';
import { line } from '../geometry/segment';
import { issue } from '../kernel/issue';
import { outlineOfChains, unitsNotSaid } from './chains';
import { figure, scaleOf, type FileUnits, type OutlineFormat, type ReadOutline } from './outline-file';

/** Points are written so near to curves, mm. */
const WRITTEN_MM = 0.02;

const numberOf = (text: string | undefined): number => (text === undefined || text.trim() === '' ? NaN : Number(text.trim().replace(',', '.')));

function read(text: string, units: FileUnits | null): ReadOutline {
  // A decimal comma can only be told from a column's when columns are apart by something else.
  const delimiter = text.includes(';') ? ';' : text.includes('\t') ? '\t' : ',';
  const { data } = Papa.parse<string[]>(text.trim(), { delimiter, skipEmptyLines: 'greedy', preview: 20_001 });
  if (data.length > 20_000) return { ok: false, problems: [issue('error', 'outline-too-fine', '', { most: 20_000 })] };
  const [head] = data;
  const named = head !== undefined && !Number.isFinite(numberOf(head[0]));
  const said = named ? (/\bin(ch(es)?)?\b|_in\b/i.exec(head.join(' ')) ? 25.4 : /mm/i.test(head.join(' ')) ? 1 : null) : null;
  const rows = named ? data.slice(1) : data;
  const by = units === null ? (said ?? 1) : scaleOf(units);
  const points = rows.map((row) => ({ x: numberOf(row[0]) * by, y: numberOf(row[1]) * by }));
  const wrong = points.findIndex(({ x, y }) => !Number.isFinite(x) || !Number.isFinite(y) || Math.abs(x) > 1e5 || Math.abs(y) > 1e5);
  if (wrong !== -1) return { ok: false, problems: [issue('error', 'row-not-a-point', `rows.${wrong + (named ? 2 : 1)}`, { row: wrong + (named ? 2 : 1) })] };
  const distinct = points.filter((p, i) => i === 0 || distance(p, points[i - 1] as { x: number; y: number }) > 1e-6);
  const [first, last] = [distinct[0], distinct.at(-1)];
  const open = first && last && distinct.length > 1 && distance(first, last) <= 1e-6 ? distinct.slice(0, -1) : distinct;
  if (open.length < 3) return { ok: false, problems: [issue('error', 'file-without-outline', '')] };
  const sides = open.map((from, i) => line('front', from, open[(i + 1) % open.length] as typeof from));
  return outlineOfChains([sides], units === null && said === null ? [unitsNotSaid()] : []);
}

const write = (outline: Outline): string => ['x_mm,y_mm', ...flatten(outline, WRITTEN_MM).map(({ x, y }) => `${figure(x)},${figure(y)}`), ''].join('\n');

/** Points, one a row, in order round the outline: x to the right, y to the back. Written within 0.02 mm of curves. */
export const csv: OutlineFormat = { ending: 'csv', name: 'points, CSV', read, write };
