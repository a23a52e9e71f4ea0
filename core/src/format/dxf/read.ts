import { arcAsCubics, IDENTITY, mapSegment, within, type Affine } from '../../geometry/affine';
import type { Point } from '../../geometry/point';
import { arcAbout, line, type Segment } from '../../geometry/segment';
import { issue, type Issue } from '../../kernel/issue';
import { arcBetween } from '../../template/outline-json';
import { chained, outlineOfChains, unitsNotSaid } from '../chains';
import { MOST_ENTITIES, scaleOf, type FileUnits, type ReadOutline } from '../outline-file';
import { reading, Unreadable } from '../unreadable';
import { entitiesIn, number, numberIn, pairsOf, section, text, type Entity, type Pair } from './pairs';
import { splineOf } from './spline';

/** Blocks inside blocks deeper than this are no drawing. */
const DEEPEST = 16;
/** A bulge over this is an arc that all but closes on its chord: no seat has one. */
const MOST_BULGE = 1000;

const UNITS_MM: Readonly<Record<string, number>> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000, 8: 25.4e-6, 9: 0.0254, 10: 914.4, 13: 0.001, 14: 100 };

/** Millimetres for a unit of the header variable $INSUNITS; null where it says none. */
function headerScale(pairs: readonly Pair[]): number | null {
  const header = section(pairs, 'HEADER');
  const at = header.findIndex(({ code, value }) => code === 9 && value === '$INSUNITS');
  return at === -1 ? null : (UNITS_MM[header[at + 1]?.value ?? ''] ?? null);
}

interface Block {
  readonly base: Point;
  readonly entities: readonly Entity[];
}

function blocksOf(pairs: readonly Pair[]): Map<string, Block> {
  const blocks = new Map<string, Block>();
  const all = entitiesIn(section(pairs, 'BLOCKS'));
  for (let i = 0; i < all.length; i++) {
    const head = all[i] as Entity;
    if (head.type !== 'BLOCK') continue;
    const end = all.findIndex((one, k) => k > i && one.type === 'ENDBLK');
    const entities = all.slice(i + 1, end === -1 ? undefined : end);
    blocks.set(text(head, 2), { base: { x: number(head, 10), y: number(head, 20) }, entities });
    i += entities.length;
  }
  return blocks;
}

interface Vertex {
  readonly x: number;
  readonly y: number;
  readonly bulge: number;
  readonly line: number;
}

/** Sides through vertices; a bulge is the tangent of a quarter of the arc's angle. */
function sides(vertices: readonly Vertex[], closed: boolean): Segment[] {
  const pairs = vertices.slice(0, closed ? undefined : -1).map((a, i) => [a, vertices[(i + 1) % vertices.length] as Vertex] as const);
  return pairs.map(([a, b]) => {
    if (Math.abs(a.bulge) > MOST_BULGE) throw new Unreadable(a.line, `a bulge of ${a.bulge}`);
    return arcBetween('front', { x: a.x, y: a.y }, { x: b.x, y: b.y }, 4 * Math.atan(a.bulge));
  });
}

const closedFlag = (entity: Entity): boolean => (number(entity, 70) & 1) === 1;

function lightPolyline(entity: Entity): Segment[] {
  const vertices: { x: number; y: number; bulge: number; line: number }[] = [];
  for (const pair of entity.pairs) {
    if (pair.code === 10) vertices.push({ x: numberIn(pair), y: 0, bulge: 0, line: pair.line });
    const last = vertices.at(-1);
    if (last && pair.code === 20) last.y = numberIn(pair);
    if (last && pair.code === 42) last.bulge = numberIn(pair);
  }
  return sides(vertices, closedFlag(entity));
}

/** Vertices that shape a fitted polyline without lying on it are left out. */
const CONTROL_VERTEX = 16;

function oldPolyline(entity: Entity, vertices: readonly Entity[]): Segment[] {
  if (number(entity, 70) & (16 | 64)) throw new Unreadable(entity.line, 'a mesh');
  const on = vertices.filter((one) => !(number(one, 70) & CONTROL_VERTEX));
  return sides(
    on.map((one): Vertex => ({ x: number(one, 10), y: number(one, 20), bulge: number(one, 42), line: one.line })),
    closedFlag(entity),
  );
}

/** A full circle as four arcs, so that it has ends to be cut and named at. */
function quarters(centre: Point, radius: number): Segment[] {
  return [0, 1, 2, 3].map((q) => {
    const angle = (q * Math.PI) / 2 - Math.PI / 4;
    return arcAbout('front', centre, { x: centre.x + radius * Math.cos(angle), y: centre.y + radius * Math.sin(angle) }, Math.PI / 2);
  });
}

const TURN = 2 * Math.PI;
/** From one angle on to the next, counter-clockwise; once round where both are one. */
const onwards = (from: number, to: number): number => (((to - from) % TURN) + TURN) % TURN || TURN;

/** An ellipse by its centre, the end of its long axis and the ratio of the short one, from one parameter to another. */
function ellipse(entity: Entity): Segment[] {
  const major = { x: number(entity, 11), y: number(entity, 21) };
  const ratio = number(entity, 40, 1) * (number(entity, 230, 1) < 0 ? -1 : 1);
  const map: Affine = [major.x, major.y, -major.y * ratio, major.x * ratio, number(entity, 10), number(entity, 20)];
  const [from, to] = [number(entity, 41, 0), number(entity, 42, TURN)];
  const sweep = onwards(from, to);
  const start = { x: Math.cos(from), y: Math.sin(from) };
  const parts = Array.from({ length: 4 }, (_, i) => {
    const angle = from + (sweep * i) / 4;
    return arcAbout('front', { x: 0, y: 0 }, i === 0 ? start : { x: Math.cos(angle), y: Math.sin(angle) }, sweep / 4);
  });
  return parts.flatMap(arcAsCubics).flatMap((segment) => mapSegment(map, segment));
}

/** What an entity draws in its own plane; null for one that draws no line. */
function segmentsOf(entity: Entity): Segment[] | null {
  const p = (x: number, y: number): Point => ({ x: number(entity, x), y: number(entity, y) });
  const radians = (code: number): number => (number(entity, code) * Math.PI) / 180;
  switch (entity.type) {
    case 'LINE':
      return [line('front', p(10, 20), p(11, 21))];
    case 'CIRCLE':
      return quarters(p(10, 20), Math.abs(number(entity, 40)));
    case 'ARC': {
      const [centre, radius, from] = [p(10, 20), Math.abs(number(entity, 40)), radians(50)];
      const start = { x: centre.x + radius * Math.cos(from), y: centre.y + radius * Math.sin(from) };
      return [arcAbout('front', centre, start, onwards(from, radians(51)))];
    }
    case 'ELLIPSE':
      return ellipse(entity);
    case 'LWPOLYLINE':
      return lightPolyline(entity);
    case 'SPLINE':
      return splineOf(entity);
    default:
      return null;
  }
}

/** Given in the drawing's own plane whatever their extrusion; all others lie in the plane that the extrusion names. */
const IN_WORLD: ReadonlySet<string> = new Set(['LINE', 'SPLINE', 'ELLIPSE']);
/** Draw lines that could be an edge, and are not read. */
const NOT_READ: ReadonlySet<string> = new Set(['REGION', '3DFACE', 'SOLID', 'TRACE', 'MLINE', 'HELIX', '3DSOLID', 'BODY', 'SURFACE', 'MESH']);

/** The plane of an entity: as it is, or seen from behind and so mirrored. Throws `Unreadable` for a slanting one. */
function planeOf(entity: Entity): Affine {
  const [x, y, z] = [number(entity, 210), number(entity, 220), number(entity, 230, 1)];
  if (Math.abs(x) > 1e-6 || Math.abs(y) > 1e-6) throw new Unreadable(entity.line, `a ${entity.type} on a slanting plane`);
  return z < 0 && !IN_WORLD.has(entity.type) ? [-1, 0, 0, 1, 0, 0] : IDENTITY;
}

interface Drawn {
  readonly layer: string;
  readonly segments: readonly Segment[];
}

class Drawing {
  readonly drawn: Drawn[] = [];
  readonly left = new Set<string>();
  #count = 0;

  constructor(private readonly blocks: ReadonlyMap<string, Block>) {}

  add(entities: readonly Entity[], map: Affine, depth: number, inherited: string): void {
    for (const [i, entity] of entities.entries()) {
      // On paper space lies the sheet's frame, not the thing drawn.
      if (number(entity, 67) === 1 && depth === 0) continue;
      if (++this.#count > MOST_ENTITIES) throw new Unreadable(0, 'it holds too much');
      const own = text(entity, 8).toUpperCase();
      const layer = own === '0' && inherited ? inherited : own;
      if (entity.type === 'INSERT') {
        this.#insert(entity, map, depth, layer);
        continue;
      }
      if (NOT_READ.has(entity.type)) this.left.add(entity.type);
      const segments = entity.type === 'POLYLINE' ? oldPolyline(entity, verticesAfter(entities, i)) : segmentsOf(entity);
      if (!segments?.length) continue;
      const placed = within(map, planeOf(entity));
      this.drawn.push({ layer, segments: segments.flatMap((segment) => mapSegment(placed, segment)) });
    }
  }

  #insert(entity: Entity, map: Affine, depth: number, layer: string): void {
    const name = text(entity, 2);
    const block = this.blocks.get(name);
    if (!block) throw new Unreadable(entity.line, `the block “${name.slice(0, 40)}” is not in the file`);
    if (depth >= DEEPEST) throw new Unreadable(entity.line, 'blocks nested too deeply');
    const angle = (number(entity, 50) * Math.PI) / 180;
    const [sx, sy] = [number(entity, 41, 1), number(entity, 42, 1)];
    const [columns, rows] = [Math.max(1, number(entity, 70, 1)), Math.max(1, number(entity, 71, 1))];
    if (columns * rows > MOST_ENTITIES) throw new Unreadable(entity.line, 'a block repeated too often');
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    for (let row = 0; row < rows; row++)
      for (let column = 0; column < columns; column++) {
        const [dx, dy] = [column * number(entity, 44), row * number(entity, 45)];
        const turned: Affine = [cos, sin, -sin, cos, number(entity, 10) + cos * dx - sin * dy, number(entity, 20) + sin * dx + cos * dy];
        const inBlock = within(turned, [sx, 0, 0, sy, -sx * block.base.x, -sy * block.base.y]);
        this.add(block.entities, within(map, within(planeOf(entity), inBlock)), depth + 1, layer);
      }
  }
}

function verticesAfter(entities: readonly Entity[], index: number): readonly Entity[] {
  const end = entities.findIndex((one, i) => i > index && one.type !== 'VERTEX');
  return entities.slice(index + 1, end === -1 ? undefined : end);
}

/** Reads the outline of a drawing-exchange file. What is read is read right; what cannot be is refused with its line. `units`: where the file does not say. */
export function readDxf(source: string, units: FileUnits | null): ReadOutline {
  return reading('DXF', () => {
    const pairs = pairsOf(source);
    const drawing = new Drawing(blocksOf(pairs));
    drawing.add(entitiesIn(section(pairs, 'ENTITIES')), IDENTITY, 0, '');
    // A drawing of ours keeps its cut line on a layer of its own.
    const cut = drawing.drawn.filter(({ layer }) => layer === 'CUT');
    const said = headerScale(pairs);
    const by = said ?? scaleOf(units);
    const segments = (cut.length ? cut : drawing.drawn).flatMap((one) => one.segments).flatMap((segment) => mapSegment([by, 0, 0, by, 0, 0], segment));
    const far = segments.some(({ from, to }) => [from.x, from.y, to.x, to.y].some((n) => !(Math.abs(n) < 1e6)));
    if (far) throw new Unreadable(0, 'a part of it lies a kilometre away: its units cannot be right');
    const left: Issue[] = drawing.left.size ? [issue('note', 'entities-not-read', '', { kinds: [...drawing.left].sort().join(', ') })] : [];
    return outlineOfChains(chained(segments), [...(units === null && said === null ? [unitsNotSaid()] : []), ...left]);
  });
}
