import { SaxesParser } from 'saxes';
import svgpath from 'svgpath';
import type { Outline } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { line, type Segment } from '../geometry/segment';
import { issue } from '../kernel/issue';
import { arcBetween } from '../template/outline-json';
import { chained, outlineOfChains, unitsNotSaid } from './chains';
import { figure, frameOf, MOST_ENTITIES, scaleOf, type FileUnits, type OutlineFormat, type ReadOutline } from './outline-file';

/** Elements nested deeper than this are no drawing. */
const DEEPEST = 60;
const PER_UNIT: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6 };
/** A pixel of the web, mm. */
const PIXEL_MM = 25.4 / 96;

type Attributes = Readonly<Record<string, string>>;

/** Path data of an element that draws; null for one that does not. */
function pathOf(name: string, a: Attributes): string | null {
  const n = (key: string): number => Number.parseFloat(a[key] ?? '0');
  switch (name) {
    case 'path':
      return a['d'] ?? null;
    case 'polygon':
      return a['points'] ? `M${a['points']}Z` : null;
    case 'polyline':
      return a['points'] ? `M${a['points']}` : null;
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`;
    case 'rect':
      return `M${n('x')} ${n('y')}h${n('width')}v${n('height')}h${-n('width')}Z`;
    case 'circle':
      return ellipse(n('cx'), n('cy'), n('r'), n('r'));
    case 'ellipse':
      return ellipse(n('cx'), n('cy'), n('rx'), n('ry'));
    default:
      return null;
  }
}

const ellipse = (cx: number, cy: number, rx: number, ry: number): string =>
  `M${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx} ${cy + ry}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx} ${cy - ry}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}Z`;

/** The centre-free arc of SVG as one that turns by an angle; the y axis still points down, so clockwise there is counter-clockwise here. */
function arcSweep(from: Point, to: Point, radius: number, large: boolean, clockwise: boolean): number {
  const chord = Math.hypot(to.x - from.x, to.y - from.y);
  const half = Math.asin(Math.min(1, chord / (2 * radius)));
  const sweep = large ? 2 * Math.PI - 2 * half : 2 * half;
  return clockwise ? sweep : -sweep;
}

/** Segments of path data in user units with a transform applied; the y axis as in the file. */
function segmentsOf(data: string, transforms: readonly string[]): Segment[] {
  let path = svgpath(data);
  for (const transform of [...transforms].reverse()) path = path.transform(transform);
  path = path.abs().unshort();
  const segments: Segment[] = [];
  let [at, start]: [Point, Point] = [
    { x: 0, y: 0 },
    { x: 0, y: 0 },
  ];
  const to = (next: Point, made: Segment): void => {
    segments.push(made);
    at = next;
  };
  path.iterate((command) => {
    const [letter, ...n] = command as unknown as [string, ...number[]];
    const p = (i: number): Point => ({ x: n[i] ?? 0, y: n[i + 1] ?? 0 });
    if (letter === 'M') {
      at = p(0);
      start = at;
    } else if (letter === 'Z') {
      if (Math.hypot(at.x - start.x, at.y - start.y) > 1e-9) to(start, line('front', at, start));
      at = start;
    } else if (letter === 'L') to(p(0), line('front', at, p(0)));
    else if (letter === 'H') to({ x: n[0] ?? 0, y: at.y }, line('front', at, { x: n[0] ?? 0, y: at.y }));
    else if (letter === 'V') to({ x: at.x, y: n[0] ?? 0 }, line('front', at, { x: at.x, y: n[0] ?? 0 }));
    else if (letter === 'C') to(p(4), { kind: 'cubic', edge: 'front', from: at, c1: p(0), c2: p(2), to: p(4) });
    else if (letter === 'Q') {
      const [c, end] = [p(0), p(2)];
      const third = (a: Point): Point => ({ x: a.x + ((c.x - a.x) * 2) / 3, y: a.y + ((c.y - a.y) * 2) / 3 });
      to(end, { kind: 'cubic', edge: 'front', from: at, c1: third(at), c2: third(end), to: end });
    } else if (letter === 'A') {
      const [rx = 0, ry = 0, , large = 0, clockwise = 0] = n;
      const end = p(5);
      if (Math.abs(rx - ry) <= 1e-6 * Math.max(rx, ry)) to(end, arcBetween('front', at, end, arcSweep(at, end, rx, large === 1, clockwise === 1)));
      else ellipticArc(at, n).forEach((segment) => to(segment.to, segment));
    }
  });
  return segments;
}

/** Part of an ellipse as cubics. */
function ellipticArc(from: Point, n: readonly number[]): Segment[] {
  const out: Segment[] = [];
  let at = from;
  svgpath(`M${from.x} ${from.y}A${n.join(' ')}`)
    .abs()
    .unarc()
    .iterate((command) => {
      const [letter, x1 = 0, y1 = 0, x2 = 0, y2 = 0, x = 0, y = 0] = command as unknown as [string, ...number[]];
      if (letter !== 'C') return;
      out.push({ kind: 'cubic', edge: 'front', from: at, c1: { x: x1, y: y1 }, c2: { x: x2, y: y2 }, to: { x, y } });
      at = { x, y };
    });
  return out;
}

/** Turned over, so that y points to the back, and brought to millimetres. */
function upright(segment: Segment, by: number): Segment {
  const s = (p: Point): Point => ({ x: p.x * by, y: -p.y * by });
  const ends = { from: s(segment.from), to: s(segment.to) };
  if (segment.kind === 'arc') return { ...segment, ...ends, centre: s(segment.centre), radius: segment.radius * by, sweep: -segment.sweep };
  return segment.kind === 'cubic' ? { ...segment, ...ends, c1: s(segment.c1), c2: s(segment.c2) } : { ...segment, ...ends };
}

/** Millimetres for a user unit, from the root's width and its view box; null where the file has no real measure. */
function rootScale(a: Attributes): number | null {
  const match = /^\s*([\d.eE+-]+)\s*(mm|cm|in|pt|pc)\s*$/.exec(a['width'] ?? '');
  const box = (a['viewBox'] ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  const wide = match ? Number(match[1]) * (PER_UNIT[match[2] ?? ''] ?? NaN) : NaN;
  if (!(wide > 0)) return null;
  const units = box[2];
  if (units !== undefined && units > 0) return wide / units;
  return box.length < 4 ? PIXEL_MM : null;
}

function read(text: string, units: FileUnits | null): ReadOutline {
  const refused = (code: string, data: Record<string, string | number> = {}): ReadOutline => ({ ok: false, problems: [issue('error', code, '', data)] });
  const parser = new SaxesParser();
  const stack: { readonly name: string; readonly transform: string | null; readonly hidden: boolean }[] = [];
  const segments: { readonly layer: string; readonly segments: Segment[] }[] = [];
  let [root, trouble]: [Attributes | null, string | null] = [null, null];
  let count = 0;
  parser.on('error', (error) => {
    trouble ??= error.message;
  });
  parser.on('doctype', () => {
    trouble ??= 'document types are not read';
  });
  parser.on('opentag', (tag) => {
    if (trouble) return;
    const a = tag.attributes as Attributes;
    const name = tag.name.replace(/^svg:/, '');
    if (!root) {
      if (name === 'svg') root = a;
      else trouble = 'it does not begin as a drawing';
    }
    const hidden = ['defs', 'clipPath', 'mask', 'symbol', 'pattern', 'marker', 'metadata'].includes(name);
    stack.push({ name, transform: a['transform'] ?? null, hidden });
    if (stack.length > DEEPEST) trouble = 'it is nested too deeply';
    if (stack.some((one) => one.hidden)) return;
    const data = pathOf(name, a);
    if (data === null) return;
    if (++count > MOST_ENTITIES) trouble = 'it holds too much';
    else {
      const made = segmentsOf(
        data,
        stack.flatMap((one) => (one.transform ? [one.transform] : [])),
      );
      if (made.length > MOST_ENTITIES) trouble = 'it holds too much';
      else segments.push({ layer: a['id'] ?? '', segments: made });
    }
  });
  parser.on('closetag', () => {
    stack.pop();
  });
  try {
    parser.write(text).close();
  } catch (error) {
    trouble ??= String(error);
  }
  if (trouble !== null || !root) return refused('file-not-of-its-kind', { kind: 'SVG', detail: trouble ?? '' });
  const said = rootScale(root);
  const by = said ?? scaleOf(units);
  const cut = segments.filter((one) => one.layer === 'cut');
  const all = (cut.length ? cut : segments).flatMap((one) => one.segments).map((segment) => upright(segment, by));
  const sound = all.every((segment) =>
    [segment.from, segment.to].every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y) && Math.abs(x) < 1e6 && Math.abs(y) < 1e6),
  );
  if (!sound) return refused('file-not-of-its-kind', { kind: 'SVG', detail: 'a figure in it is none' });
  return outlineOfChains(chained(all), said === null && units === null ? [unitsNotSaid()] : []);
}

function command(segment: Segment): string {
  const p = (q: Point): string => `${figure(q.x)} ${figure(-q.y)}`;
  if (segment.kind === 'line') return `L${p(segment.to)}`;
  if (segment.kind === 'cubic') return `C${p(segment.c1)} ${p(segment.c2)} ${p(segment.to)}`;
  const large = Math.abs(segment.sweep) > Math.PI ? 1 : 0;
  return `A${figure(segment.radius)} ${figure(segment.radius)} 0 ${large} ${segment.sweep > 0 ? 0 : 1} ${p(segment.to)}`;
}

const escaped = (text: string): string => text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign] ?? sign);

/** The outline as one path in millimetres, front below; the centre line dashed, the name as its title. */
function write(outline: Outline, name: string): string {
  const { x, y, width, height } = frameOf(outline);
  const [first] = outline.segments;
  const room = 10;
  const view = [x - room, -(y + height) - room, width + 2 * room, height + 2 * room].map(figure);
  const middle = figure(x + width / 2);
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${view[2]}mm" height="${view[3]}mm" viewBox="${view.join(' ')}">
  <title>${escaped(name)}</title>
  <path id="cut" d="M${figure(first?.from.x ?? 0)} ${figure(-(first?.from.y ?? 0))}${outline.segments.map(command).join('')}Z" fill="none" stroke="#a92f26" stroke-width="0.5"/>
  <path id="grain" d="M${middle} ${figure(-(y + height * 0.3))}L${middle} ${figure(-(y + height * 0.7))}" fill="none" stroke="#26303a" stroke-width="0.3" stroke-dasharray="6 3"/>
</svg>
`;
}

/** Scalable vector graphics: paths, polygons, rectangles, circles and ellipses with their transforms are read; nothing of it is run or fetched. */
export const svg: OutlineFormat = { ending: 'svg', name: 'SVG drawing', read, write };
