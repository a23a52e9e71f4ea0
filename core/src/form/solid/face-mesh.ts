import { bounds } from '../../geometry/outline';
import { distance, type Point } from '../../geometry/point';
import { contains, pointSegmentDistance } from '../../geometry/polygon';
import { seededRandom } from '../../kernel/random';
import { distanceTo } from '../../geometry/measure';
import { triangulate, type Triangle } from './triangulate';

/** What a face is divided into triangles with. */
export interface FaceAsk {
  /** Its edge in the plane it is divided in, counter-clockwise. */
  readonly rim: readonly Point[];
  /** Lines across it that triangles' sides follow; their ends lie on points of the rim, or they close. */
  readonly lines: readonly (readonly Point[])[];
  /** Points besides the even ones, where the surface bends more. */
  readonly more: readonly Point[];
  /** How far apart even points lie, mm. */
  readonly pitchMm: number;
}

/** A face in triangles: the rim's points first, in their order, then those inside. */
export interface FaceMesh {
  readonly points: readonly Point[];
  readonly rimCount: number;
  readonly triangles: readonly Triangle[];
  /** The neighbours of each point. */
  readonly neighbours: readonly (readonly number[])[];
}

/** Two points nearer than this are one, mm. */
const SAME_MM = 1e-3;
/** Points inside stray so far from their rows, mm: three in a line make triangles without area, which cannot be told inside from outside. */
const STRAY_MM = 0.05;
const STRAY_SEED = 7;
/** Even points keep this share of their pitch from the rim and from lines. */
const CLEAR = 0.45;

/** Divides a face by constrained Delaunay triangulation over its rim, the lines across it and an even field of points inside. */
export function faceMesh({ rim, lines, more, pitchMm }: FaceAsk): FaceMesh {
  const points: Point[] = [...rim];
  const edges: [number, number][] = rim.map((_, i) => [i, (i + 1) % rim.length]);
  const known = new Set(edges.map(([a, b]) => `${a}-${b}`));
  const indexOf = (p: Point): number => {
    const found = points.findIndex((one) => Math.abs(one.x - p.x) < SAME_MM && Math.abs(one.y - p.y) < SAME_MM);
    return found >= 0 ? found : points.push(p) - 1;
  };
  for (const line of crossed(lines))
    line.slice(1).forEach((to, i) => {
      const steps = divided(line[i] as Point, to, pitchMm).map(indexOf);
      steps.slice(1).forEach((b, k) => {
        const a = steps[k] as number;
        if (a === b || known.has(`${a}-${b}`) || known.has(`${b}-${a}`)) return;
        known.add(`${a}-${b}`);
        edges.push([a, b]);
      });
    });
  const apart = (p: Point, mm: number): boolean => lines.every((line) => line.slice(1).every((b, i) => pointSegmentDistance(p, line[i] as Point, b) > mm));
  const clear = CLEAR * pitchMm;
  const random = seededRandom(STRAY_SEED);
  const strayed = ({ x, y }: Point): Point => ({ x: x + (random() - 0.5) * STRAY_MM, y: y + (random() - 0.5) * STRAY_MM });
  for (const p of more) if (contains(rim, p) && apart(p, clear)) points.push(strayed(p));
  const thick = points.slice(rim.length);
  for (const p of evenPoints(rim, pitchMm))
    if (distanceTo(rim, p) > clear && apart(p, clear) && thick.every((one) => distance(one, p) > clear)) points.push(strayed(p));
  const midpoints = new Map<string, number>();
  const triangles = triangulate(points, rim.length, edges).flatMap((triangle) => withoutChords(points, rim.length, midpoints, triangle));
  return { points, rimCount: rim.length, triangles, neighbours: neighboursOf(points.length, triangles) };
}

const samePoints = (one: readonly Point[], other: readonly Point[]): boolean =>
  one.length === other.length && one.every(({ x, y }, i) => x === other[i]?.x && y === other[i].y);

const sameAsk = (one: FaceAsk, other: FaceAsk): boolean =>
  one.pitchMm === other.pitchMm &&
  samePoints(one.rim, other.rim) &&
  samePoints(one.more, other.more) &&
  one.lines.length === other.lines.length &&
  one.lines.every((line, i) => samePoints(line, other.lines[i] ?? []));

/** Divides the faces of one cushion, those that are divided alike once: the upper and the lower face of most are. */
export function faceDivider(): (ask: FaceAsk) => FaceMesh {
  const made: { readonly ask: FaceAsk; readonly mesh: FaceMesh }[] = [];
  return (ask) => {
    const known = made.find((one) => sameAsk(one.ask, ask));
    if (known) return known.mesh;
    const mesh = faceMesh(ask);
    made.push({ ask, mesh });
    return mesh;
  };
}

/** Lines with a point of both wherever two of them cross: an edge may not run through another. */
function crossed(lines: readonly (readonly Point[])[]): Point[][] {
  const sides = lines.flatMap((line, owner) => line.slice(1).map((b, i) => ({ a: line[i] as Point, b, owner })));
  return lines.map((line, owner) =>
    line.flatMap((a, i) => {
      const b = line[i + 1];
      if (!b) return [a];
      const others = sides.filter((other) => other.owner !== owner);
      const at = others.flatMap((other) => [crossingShare(a, b, other.a, other.b), onStretch(a, b, other.a), onStretch(a, b, other.b)]);
      return [
        a,
        ...at
          .filter((t) => t > 1e-9 && t < 1 - 1e-9)
          .sort((p, q) => p - q)
          .map((t) => ({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t })),
      ];
    }),
  );
}

/** Where a point lies on a stretch, as a share of it; NaN where it does not. */
function onStretch(a: Point, b: Point, p: Point): number {
  const long = (b.x - a.x) ** 2 + (b.y - a.y) ** 2;
  return pointSegmentDistance(p, a, b) < SAME_MM ? ((p.x - a.x) * (b.x - a.x) + (p.y - a.y) * (b.y - a.y)) / (long || 1) : NaN;
}

/** Where two stretches cross, as a share of the first; NaN where they do not. */
function crossingShare(a: Point, b: Point, c: Point, d: Point): number {
  const [ux, uy, vx, vy] = [b.x - a.x, b.y - a.y, d.x - c.x, d.y - c.y];
  const across = ux * vy - uy * vx;
  // Nearly parallel: where they cross means nothing.
  if (Math.abs(across) < 1e-9 * Math.hypot(ux, uy) * Math.hypot(vx, vy)) return NaN;
  const [wx, wy] = [c.x - a.x, c.y - a.y];
  const [t, s] = [(wx * vy - wy * vx) / across, (wx * uy - wy * ux) / across];
  return s > -1e-9 && s < 1 + 1e-9 ? t : NaN;
}

function divided(a: Point, b: Point, pitchMm: number): Point[] {
  const count = Math.max(1, Math.round(distance(a, b) / pitchMm));
  return Array.from({ length: count + 1 }, (_, k) => ({ x: a.x + ((b.x - a.x) * k) / count, y: a.y + ((b.y - a.y) * k) / count }));
}

/** Points in rows, every other row half a pitch across: about equal triangles. */
function evenPoints(rim: readonly Point[], pitchMm: number): Point[] {
  const { minX, minY, maxX, maxY } = bounds(rim);
  const rise = (pitchMm * Math.sqrt(3)) / 2;
  const rows = Math.floor((maxY - minY) / rise);
  const columns = Math.floor((maxX - minX) / pitchMm);
  // The field lies in the middle, so that a face that is alike left and right is divided alike.
  const [x0, y0] = [(minX + maxX - columns * pitchMm) / 2, (minY + maxY - rows * rise) / 2];
  const points: Point[] = [];
  for (let row = 0; row <= rows; row++)
    for (let column = 0; column <= columns; column++) {
      const p = { x: x0 + (column + (row % 2 ? 0.5 : 0)) * pitchMm, y: y0 + row * rise };
      if (contains(rim, p)) points.push(p);
    }
  return points;
}

/**
 * A triangle without sides that cut across a corner of the rim, from rim point to rim point: each is divided in its middle, so that two faces that meet in the rim share
 * nothing but the rim.
 */
function withoutChords(points: Point[], rimCount: number, midpoints: Map<string, number>, [a, b, c]: Triangle): Triangle[] {
  const chord = (i: number, j: number): boolean => i < rimCount && j < rimCount && Math.abs(i - j) !== 1 && Math.abs(i - j) !== rimCount - 1;
  const [low, high] = [Math.min(a, b), Math.max(a, b)];
  if (!chord(a, b)) {
    if (chord(b, c)) return withoutChords(points, rimCount, midpoints, [b, c, a]);
    return chord(c, a) ? withoutChords(points, rimCount, midpoints, [c, a, b]) : [[a, b, c]];
  }
  const key = `${low}-${high}`;
  let middle = midpoints.get(key);
  if (middle === undefined) {
    const [p, q] = [points[a] as Point, points[b] as Point];
    middle = points.push({ x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 }) - 1;
    midpoints.set(key, middle);
  }
  return [...withoutChords(points, rimCount, midpoints, [a, middle, c]), ...withoutChords(points, rimCount, midpoints, [middle, b, c])];
}

function neighboursOf(count: number, triangles: FaceMesh['triangles']): number[][] {
  const sets = Array.from({ length: count }, () => new Set<number>());
  for (const [a, b, c] of triangles)
    for (const [p, q] of [
      [a, b],
      [b, c],
      [c, a],
    ] as const) {
      sets[p]?.add(q);
      sets[q]?.add(p);
    }
  return sets.map((set) => [...set]);
}

/** Rounds of spreading at most; it ends when no value changes by more than this any more, mm: what is left then is far below what can be seen. */
const ROUNDS = 240;
const SETTLED_MM = 1e-4;
const OVER = 1.7;

/** Values that are known on the rim spread over the face, each point inside the mean of its neighbours: a smooth field without highs or lows of its own. */
export function spread({ points, rimCount, neighbours }: FaceMesh, rimValues: ArrayLike<number>): Float64Array {
  const values = new Float64Array(points.length);
  let mean = 0;
  for (let i = 0; i < rimCount; i++) {
    values[i] = rimValues[i] ?? 0;
    mean += (values[i] as number) / rimCount;
  }
  const level = Array.from(rimValues).every((value) => Math.abs(value - (rimValues[0] ?? 0)) < 1e-12);
  values.fill(level ? (rimValues[0] ?? 0) : mean, rimCount);
  if (level) return values;
  for (let round = 0; round < ROUNDS; round++) {
    let most = 0;
    for (let i = rimCount; i < points.length; i++) {
      const near = neighbours[i] as readonly number[];
      let sum = 0;
      for (const n of near) sum += values[n] as number;
      const change = OVER * (sum / (near.length || 1) - (values[i] as number));
      values[i] = (values[i] as number) + change;
      most = Math.max(most, Math.abs(change));
    }
    if (most < SETTLED_MM) break;
  }
  return values;
}
