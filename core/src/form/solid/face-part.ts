import { aheadOn } from '../../geometry/around';
import { flatten, type Outline } from '../../geometry/outline';
import { distanceTo } from '../../geometry/measure';
import { distance, type Point } from '../../geometry/point';
import { contains } from '../../geometry/polygon';
import type { SkinFace } from '../skin';
import { spread, type FaceAsk, type FaceMesh } from './face-mesh';
import { fallAt, rolledOut, rolledUp, type RoundedEdge } from './front';
import { plateAt, type PlateLines } from './plate-lines';
import type { RimPoint } from './rim';
import { PartBuilder, type SolidPart } from './solid';

/** A face in space: its rim, and how it rises over it. */
export interface FaceShape {
  readonly rim: readonly RimPoint[];
  /** Height of the face's edge at each point of the rim. */
  readonly edgeZ: readonly number[];
  /** Its front edge, where that is rounded. */
  readonly rounded: RoundedEdge | null;
  /** How far it stands proud at a place of the plan, mm. */
  readonly rise: (p: Point) => number;
  /** 1 for the upper face, −1 for the underside. */
  readonly sign: 1 | -1;
  /** The height of its level, before it rises: sloping on a wedge. */
  readonly levelZ: (p: Point) => number;
  readonly pitchMm: number;
  /** Rows of points so far inside the rim, where the surface bends more, mm. */
  readonly insetsMm: readonly number[];
}

export interface FaceParts extends FaceShape {
  readonly side: 'top' | 'bottom';
  /** How it lies on its plates; null for a board. */
  readonly face: SkinFace | null;
  readonly plates: readonly PlateLines[];
  readonly box: { readonly minX: number; readonly minY: number };
  readonly materialOf: (piece: string) => string;
  readonly asCut: (piece: string, p: Point) => Point;
  /** Divides a face into triangles. */
  readonly divide: (ask: FaceAsk) => FaceMesh;
}

/** A line that runs this near along the rim is no line across the face, mm: both are drawn by chords of their own. */
const ON_RIM_MM = 0.6;

/** The stretches of a plate's edge that run across the face, not along its rim; their ends put exactly on the rim's points. */
function across(line: readonly Point[], rim: readonly Point[], toPlane: (p: Point) => Point): Point[][] {
  const settled = line.map((p) => rim.find((at) => distance(at, p) < 0.5) ?? p);
  return settled.slice(1).flatMap((b, i) => {
    const a = settled[i] as Point;
    const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
    return distance(a, b) > 1e-6 && contains(rim, middle) && distanceTo(rim, middle) > ON_RIM_MM ? [[toPlane(a), toPlane(b)]] : [];
  });
}

/** Points in rows inside the rim. */
function insetPoints(rim: readonly RimPoint[], insetsMm: readonly number[]): Point[] {
  const ring = rim.map(({ at }) => at);
  return insetsMm.flatMap((mm) =>
    rim
      .filter(({ fromCornerMm }) => fromCornerMm > 0.5)
      .map(({ at, outward }) => ({ x: at.x - outward.x * mm, y: at.y - outward.y * mm }))
      .filter((p) => contains(ring, p) && distanceTo(ring, p) > mm * 0.9),
  );
}

/** Places along a polygon by their distance from its first point. */
function alongPolygon(polygon: readonly Point[]): { readonly totalMm: number; readonly at: (mm: number) => Point; readonly nearest: (p: Point) => number } {
  const starts: number[] = [];
  let totalMm = 0;
  polygon.forEach((p, i) => {
    starts.push(totalMm);
    totalMm += distance(p, polygon[(i + 1) % polygon.length] as Point);
  });
  const at = (mm: number): Point => {
    const place = aheadOn(totalMm, 0, mm);
    let i = starts.findIndex((start) => start > place) - 1;
    if (i < 0) i = polygon.length - 1;
    const [a, b] = [polygon[i] as Point, polygon[(i + 1) % polygon.length] as Point];
    const t = (place - (starts[i] ?? 0)) / (distance(a, b) || 1);
    return { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t };
  };
  const nearest = (p: Point): number => starts[polygon.reduce((best, one, i) => (distance(one, p) < distance(polygon[best] as Point, p) ? i : best), 0)] ?? 0;
  return { totalMm, at, nearest };
}

/** What a domed plate's seam line stands out further than the plan's, at each point of the rim: from corner to corner, where both are alike, by shares of the way. */
function domedBy(domed: Outline, rim: readonly RimPoint[]): Point[] {
  const own = alongPolygon(flatten(domed, 0.02));
  const totalMm = (rim.at(-1)?.mm ?? 0) + distance(rim.at(-1)?.at as Point, rim[0]?.at as Point);
  const corners = rim.filter(({ fromCornerMm }) => fromCornerMm < 1e-6);
  const knots = (corners.length ? corners : rim.slice(0, 1)).map(({ mm, at }) => ({ mm, own: own.nearest(at) }));
  return rim.map(({ at, mm }) => {
    const i = knots.findLastIndex((knot) => knot.mm <= mm + 1e-9);
    const [from, to] = [knots.at(i) as (typeof knots)[number], knots[(i + 1) % knots.length] as (typeof knots)[number]];
    const ahead = (a: number, b: number, round: number): number => aheadOn(round, a, b) || round;
    const share = from.mm === mm ? 0 : ahead(from.mm, mm, totalMm) / ahead(from.mm, to.mm, totalMm);
    const place = own.at(from.own + share * ahead(from.own, to.own, own.totalMm));
    return { x: place.x - at.x, y: place.y - at.y };
  });
}

/** A face in triangles, each part of its plates a part of the solid. */
export function faceParts(ask: FaceParts): SolidPart[] {
  const { rim, edgeZ, rounded, rise, sign, levelZ, pitchMm, insetsMm, side, face, plates, materialOf, asCut, divide } = ask;
  const toPlane = (p: Point): Point => (rounded ? rolledOut(rounded, p) : p);
  const toPlan = (p: Point): Point => (rounded ? rolledUp(rounded, p) : p);
  const ring = rim.map(({ at }) => at);
  const mesh = divide({
    rim: ring.map(toPlane),
    lines: plates.flatMap(({ line }) => (line.length ? across(line, ring, toPlane) : [])),
    more: insetPoints(rim, insetsMm).map(toPlane),
    pitchMm,
  });
  const plan = mesh.points.map((p, i) => (i < rim.length ? (ring[i] as Point) : toPlan(p)));
  // Where a bulged band draws the rim down or up the face follows it evenly.
  const fall = (p: Point): number => (rounded ? fallAt(rounded, p.y) : 0);
  const drawn = spread(
    mesh,
    rim.map(({ at }, i) => (edgeZ[i] ?? 0) - (levelZ(at) - sign * fall(at))),
  );
  const z = plan.map((p, i) => (i < rim.length ? (edgeZ[i] ?? 0) : levelZ(p) - sign * fall(p) + (drawn[i] ?? 0) + sign * rise(p)));
  const uv = placesOn(ask, mesh, plan.map(toPlane));
  const builders = new Map<string, PartBuilder>();
  const builderOf = (piece: string): PartBuilder => {
    const found = builders.get(piece);
    if (found) return found;
    const head = { id: `${piece}:${side}`, piece, kind: face ? 'cover' : 'board', material: face ? materialOf(piece) : 'board' } as const;
    const made = new PartBuilder(head);
    builders.set(piece, made);
    return made;
  };
  for (const [a, b, c] of mesh.triangles) {
    const corners = sign > 0 ? [a, b, c] : [a, c, b];
    const piece = face ? plateAt(plates, middleOf(plan[a] as Point, plan[b] as Point, plan[c] as Point)) : 'board';
    const builder = builderOf(piece);
    const [p, q, r] = corners.map((i) => {
      const { x, y } = plan[i] as Point;
      const on = asCut(piece, uv[i] as Point);
      return builder.vertex(String(i), { x, y, z: z[i] as number }, on.x, on.y);
    }) as [number, number, number];
    builder.triangle(p, q, r);
  }
  return [...builders.values()].filter(({ empty }) => !empty).map((builder) => builder.part());
}

const middleOf = (a: Point, b: Point, c: Point): Point => ({ x: (a.x + b.x + c.x) / 3, y: (a.y + b.y + c.y) / 3 });

/** Where each point of a face, rolled out flat, lies on its plate. */
function placesOn({ face, rim, box: { minX, minY } }: Pick<FaceParts, 'face' | 'rim' | 'box'>, mesh: FaceMesh, flat: readonly Point[]): readonly Point[] {
  if (!face) return flat;
  const { lie, domed } = face;
  const lain = lie ? flat.map(({ x, y }) => ({ x: lie.from.x + (x - minX) * lie.across, y: lie.from.y + (y - minY) * lie.deep })) : flat;
  if (!domed) return lain;
  const moved = domedBy(domed, rim);
  const [dx, dy] = [
    spread(
      mesh,
      moved.map(({ x }) => x),
    ),
    spread(
      mesh,
      moved.map(({ y }) => y),
    ),
  ];
  return lain.map(({ x, y }, i) => ({ x: x + (dx[i] ?? 0), y: y + (dy[i] ?? 0) }));
}
