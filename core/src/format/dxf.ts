import type { Outline } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { arcAbout, line, startAngle, type Cubic, type Segment } from '../geometry/segment';
import { issue } from '../kernel/issue';
import { arcBetween } from '../template/outline-json';
import { chained, outlineOfChains, unitsNotSaid } from './chains';
import { figure, frameOf, MOST_ENTITIES, scaleOf, type FileUnits, type OutlineFormat, type ReadOutline } from './outline-file';

/** One pair of a DXF file: what the value is, and the value. */
type Pair = readonly [code: number, value: string];

function pairsOf(text: string): Pair[] | null {
  const lines = text.split(/\r\n|\n|\r/);
  const pairs: Pair[] = [];
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const code = Number((lines[i] ?? '').trim());
    if (!Number.isInteger(code)) return null;
    pairs.push([code, (lines[i + 1] ?? '').trim()]);
  }
  return pairs;
}

interface Entity {
  readonly type: string;
  readonly pairs: readonly Pair[];
}

/** Entities of the section ENTITIES; vertices of an old polyline follow it as entities of their own. */
function entitiesOf(pairs: readonly Pair[]): Entity[] {
  const start = pairs.findIndex(([code, value], i) => code === 2 && value === 'ENTITIES' && pairs[i - 1]?.[1] === 'SECTION');
  const entities: { type: string; pairs: Pair[] }[] = [];
  for (const [code, value] of pairs.slice(start + 1)) {
    if (code === 0 && value === 'ENDSEC') break;
    if (code === 0) entities.push({ type: value, pairs: [] });
    else entities.at(-1)?.pairs.push([code, value]);
  }
  return entities;
}

const number = (entity: Entity, code: number, otherwise = 0): number => {
  const found = entity.pairs.find(([one]) => one === code);
  const value = found ? Number(found[1]) : otherwise;
  return Number.isFinite(value) ? value : otherwise;
};
const layer = (entity: Entity): string => (entity.pairs.find(([code]) => code === 8)?.[1] ?? '').toUpperCase();

/** Millimetres for a unit of the header variable $INSUNITS; null where it says none. */
function headerScale(pairs: readonly Pair[]): number | null {
  const at = pairs.findIndex(([code, value]) => code === 9 && value === '$INSUNITS');
  const scales: Record<string, number> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000 };
  return at === -1 ? null : (scales[pairs[at + 1]?.[1] ?? ''] ?? null);
}

interface Vertex {
  readonly x: number;
  readonly y: number;
  readonly bulge: number;
}

/** Sides through vertices; a bulge is the tangent of a quarter of the arc's angle. */
function sides(vertices: readonly Vertex[], closed: boolean): Segment[] {
  const pairs = vertices.slice(0, closed ? undefined : -1).map((a, i) => [a, vertices[(i + 1) % vertices.length] as Vertex] as const);
  return pairs.map(([a, b]) => arcBetween('front', { x: a.x, y: a.y }, { x: b.x, y: b.y }, 4 * Math.atan(a.bulge)));
}

/** The Béziers of a clamped spline of degree 3, by inserting each inner knot until it stands three times (Boehm). */
export function splineCubics(controls: readonly Point[], knots: readonly number[]): Cubic[] {
  let points = [...controls];
  let ks = [...knots];
  const inner = [...new Set(ks)].filter((k) => k > (ks[3] ?? 0) && k < (ks[ks.length - 4] ?? 0));
  for (const knot of inner)
    while (ks.filter((k) => k === knot).length < 3) {
      const span = ks.findIndex((k, i) => k <= knot && knot < (ks[i + 1] ?? -Infinity));
      const next = points.slice(0, span - 2);
      for (let i = span - 2; i <= span; i++) {
        const [low, high] = [ks[i] ?? 0, ks[i + 3] ?? 1];
        const t = high === low ? 0 : (knot - low) / (high - low);
        const [p, q] = [points[i - 1] as Point, points[i] as Point];
        next.push({ x: p.x + (q.x - p.x) * t, y: p.y + (q.y - p.y) * t });
      }
      points = [...next, ...points.slice(span)];
      ks = [...ks.slice(0, span + 1), knot, ...ks.slice(span + 1)];
    }
  return Array.from({ length: Math.max(0, Math.floor((points.length - 1) / 3)) }, (_, i): Cubic => {
    const [from, c1, c2, to] = points.slice(3 * i, 3 * i + 4) as [Point, Point, Point, Point];
    return { kind: 'cubic', edge: 'front', from, c1, c2, to };
  });
}

function splineOf(entity: Entity): Segment[] {
  const knots = entity.pairs.filter(([code]) => code === 40).map(([, value]) => Number(value));
  const xs = entity.pairs.filter(([code]) => code === 10).map(([, value]) => Number(value));
  const ys = entity.pairs.filter(([code]) => code === 20).map(([, value]) => Number(value));
  const controls = xs.map((x, i): Point => ({ x, y: ys[i] ?? 0 }));
  const sound = [...knots, ...xs, ...ys].every(Number.isFinite) && number(entity, 71, 3) === 3 && controls.length >= 4 && knots.length === controls.length + 4;
  return sound && controls.length <= 500 ? splineCubics(controls, knots) : [];
}

/** A full circle as four arcs, so that it has ends to be cut and named at. */
function quarters(centre: Point, radius: number): Segment[] {
  return [0, 1, 2, 3].map((q) =>
    arcAbout(
      'front',
      centre,
      { x: centre.x + radius * Math.cos((q * Math.PI) / 2 - Math.PI / 4), y: centre.y + radius * Math.sin((q * Math.PI) / 2 - Math.PI / 4) },
      Math.PI / 2,
    ),
  );
}

function segmentsOf(entity: Entity): Segment[] {
  const p = (x: number, y: number): Point => ({ x: number(entity, x), y: number(entity, y) });
  const radians = (code: number): number => (number(entity, code) * Math.PI) / 180;
  switch (entity.type) {
    case 'LINE':
      return [line('front', p(10, 20), p(11, 21))];
    case 'CIRCLE':
      return quarters(p(10, 20), Math.abs(number(entity, 40)));
    case 'ARC': {
      const [centre, radius, from] = [p(10, 20), Math.abs(number(entity, 40)), radians(50)];
      const turn = 2 * Math.PI;
      const sweep = (((radians(51) - from) % turn) + turn) % turn || turn;
      return [arcAbout('front', centre, { x: centre.x + radius * Math.cos(from), y: centre.y + radius * Math.sin(from) }, sweep)];
    }
    case 'LWPOLYLINE': {
      const vertices: { x: number; y: number; bulge: number }[] = [];
      for (const [code, value] of entity.pairs) {
        const n = Number(value);
        if (code === 10) vertices.push({ x: n, y: 0, bulge: 0 });
        const last = vertices.at(-1);
        if (last && code === 20) last.y = n;
        if (last && code === 42) last.bulge = n;
      }
      return sides(vertices, (number(entity, 70) & 1) === 1);
    }
    case 'SPLINE':
      return splineOf(entity);
    default:
      return [];
  }
}

/** Old polylines: POLYLINE, its vertices, SEQEND. */
function polylines(entities: readonly Entity[]): { readonly layer: string; readonly segments: Segment[] }[] {
  const out: { layer: string; segments: Segment[] }[] = [];
  entities.forEach((entity, i) => {
    if (entity.type !== 'POLYLINE') return;
    const rest = entities.slice(i + 1);
    const end = rest.findIndex((one) => one.type !== 'VERTEX');
    const vertices = rest.slice(0, end === -1 ? undefined : end).map((one): Vertex => ({ x: number(one, 10), y: number(one, 20), bulge: number(one, 42) }));
    if (vertices.length > 1) out.push({ layer: layer(entity), segments: sides(vertices, (number(entity, 70) & 1) === 1) });
  });
  return out;
}

const finite = (segment: Segment): boolean =>
  [segment.from, segment.to].every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y) && Math.abs(x) < 1e6 && Math.abs(y) < 1e6);

function scaled(segment: Segment, by: number): Segment {
  const s = (q: Point): Point => ({ x: q.x * by, y: q.y * by });
  const ends = { from: s(segment.from), to: s(segment.to) };
  if (segment.kind === 'arc') return { ...segment, ...ends, centre: s(segment.centre), radius: segment.radius * by };
  return segment.kind === 'cubic' ? { ...segment, ...ends, c1: s(segment.c1), c2: s(segment.c2) } : { ...segment, ...ends };
}

function read(text: string, units: FileUnits | null): ReadOutline {
  const pairs = pairsOf(text);
  if (!pairs || pairs.length < 4) return { ok: false, problems: [issue('error', 'file-not-of-its-kind', '', { kind: 'DXF' })] };
  const entities = entitiesOf(pairs);
  if (entities.length > MOST_ENTITIES) return { ok: false, problems: [issue('error', 'outline-too-fine', '', { most: MOST_ENTITIES })] };
  const drawn = [...entities.map((entity) => ({ layer: layer(entity), segments: segmentsOf(entity) })), ...polylines(entities)];
  // A drawing of ours keeps its cut line on a layer of its own.
  const cut = drawn.filter((one) => one.layer === 'CUT' && one.segments.length);
  const said = headerScale(pairs);
  const by = units === null ? (said ?? 1) : scaleOf(units);
  const segments = (cut.length ? cut : drawn).flatMap((one) => one.segments).map((segment) => scaled(segment, by));
  return outlineOfChains(chained(segments.filter(finite)), units === null && said === null ? [unitsNotSaid()] : []);
}

const xy = (p: Point, codes: readonly [number, number]): string => `${codes[0]}\n${figure(p.x)}\n${codes[1]}\n${figure(p.y)}\n`;

function entity(segment: Segment, on: string): string {
  if (segment.kind === 'line') return `0\nLINE\n8\n${on}\n${xy(segment.from, [10, 20])}${xy(segment.to, [11, 21])}`;
  if (segment.kind === 'cubic') {
    const knots = [0, 0, 0, 0, 1, 1, 1, 1].map((k) => `40\n${k}\n`).join('');
    const controls = [segment.from, segment.c1, segment.c2, segment.to].map((p) => xy(p, [10, 20])).join('');
    return `0\nSPLINE\n8\n${on}\n70\n8\n71\n3\n72\n8\n73\n4\n${knots}${controls}`;
  }
  // DXF arcs run counter-clockwise.
  const degrees = (angle: number): string => ((((angle * 180) / Math.PI) % 360) + 360).toFixed(9);
  const [from, to] =
    segment.sweep > 0 ? [startAngle(segment), startAngle(segment) + segment.sweep] : [startAngle(segment) + segment.sweep, startAngle(segment)];
  return `0\nARC\n8\n${on}\n${xy(segment.centre, [10, 20])}40\n${figure(segment.radius)}\n50\n${degrees(from)}\n51\n${degrees(to)}\n`;
}

/** The outline on the layer CUT, the centre line as the grain, the name as text; in millimetres. */
function write(outline: Outline, name: string): string {
  const { x, y, width, height } = frameOf(outline);
  const middle = x + width / 2;
  const grain = line('front', { x: middle, y: y + height * 0.3 }, { x: middle, y: y + height * 0.7 });
  const words = name.replace(/[\r\n]+/g, ' ').slice(0, 120);
  return [
    '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n',
    '0\nSECTION\n2\nENTITIES\n',
    ...outline.segments.map((segment) => entity(segment, 'CUT')),
    entity(grain, 'GRAIN'),
    `0\nTEXT\n8\nTEXT\n${xy({ x: x + width * 0.1, y: y + height * 0.2 }, [10, 20])}40\n12\n1\n${words}\n`,
    '0\nENDSEC\n0\nEOF\n',
  ].join('');
}

/** Drawing exchange: lines, arcs, circles, polylines with bulges and cubic splines are read; lines, arcs and splines written. */
export const dxf: OutlineFormat = { ending: 'dxf', name: 'DXF drawing', read, write };
