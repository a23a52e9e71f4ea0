import type { Point } from '../../geometry/point';
import { minkowskiSum } from './convex';

/** Contacts are exact to this, mm: a piece as near as this to another touches it. Over 10 m of edge it is a hundredth of a square millimetre. */
export const TOUCH_MM = 1e-6;

/** A chain of points with rising first coordinate, and the second along it. */
class Chain {
  readonly #t: Float64Array;
  readonly #v: Float64Array;

  constructor(points: readonly (readonly [number, number])[]) {
    this.#t = Float64Array.from(points, ([t]) => t);
    this.#v = Float64Array.from(points, ([, v]) => v);
  }

  /** The second coordinate at a place between the chain's ends. Corners come back exactly as they are stored. */
  at(t: number): number {
    const [ts, vs] = [this.#t, this.#v];
    let low = 0;
    let high = ts.length - 1;
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if ((ts[middle] as number) <= t) low = middle;
      else high = middle;
    }
    const [t0, t1] = [ts[low] as number, ts[high] as number];
    if (t <= t0 || t1 === t0) return vs[low] as number;
    if (t >= t1) return vs[high] as number;
    const [v0, v1] = [vs[low] as number, vs[high] as number];
    return v0 + ((v1 - v0) * (t - t0)) / (t1 - t0);
  }
}

/** Planes that measure how deep a point lies: the edges' own when they are few, sixteen directions round otherwise. */
const FEW_EDGES = 16;

/** One convex region where a piece's origin may not lie. */
export class Region {
  readonly minX: number;
  readonly maxX: number;
  readonly minY: number;
  readonly maxY: number;
  /** Places along x and along y at which a corner lies. */
  readonly xs: Float64Array;
  readonly ys: Float64Array;
  readonly #left: Chain;
  readonly #right: Chain;
  readonly #lower: Chain;
  readonly #upper: Chain;
  /** Normal x, normal y, offset; three numbers a plane. */
  readonly #planes: Float64Array;

  constructor(ring: readonly Point[]) {
    this.xs = Float64Array.from(ring, (p) => p.x);
    this.ys = Float64Array.from(ring, (p) => p.y);
    this.minX = Math.min(...this.xs);
    this.maxX = Math.max(...this.xs);
    this.minY = Math.min(...this.ys);
    this.maxY = Math.max(...this.ys);
    const n = ring.length;
    const edges = ring.map((a, i) => [a, ring[(i + 1) % n] as Point] as const).filter(([a, b]) => Math.hypot(b.x - a.x, b.y - a.y) > 1e-9);
    // Counter-clockwise: edges that rise are on the right, edges that run to the right are below.
    const chain = (wanted: (a: Point, b: Point) => boolean, key: (p: Point) => readonly [number, number]): Chain => {
      const points = edges.filter(([a, b]) => wanted(a, b)).flatMap(([a, b]) => [key(a), key(b)]);
      points.sort((p, q) => p[0] - q[0]);
      return new Chain(points.filter((p, i) => i === 0 || p[0] !== (points[i - 1] as readonly [number, number])[0]));
    };
    this.#right = chain(
      (a, b) => b.y > a.y,
      (p) => [p.y, p.x],
    );
    this.#left = chain(
      (a, b) => b.y < a.y,
      (p) => [p.y, p.x],
    );
    this.#lower = chain(
      (a, b) => b.x > a.x,
      (p) => [p.x, p.y],
    );
    this.#upper = chain(
      (a, b) => b.x < a.x,
      (p) => [p.x, p.y],
    );
    const normals =
      edges.length <= FEW_EDGES
        ? edges.map(([a, b]) => ({ x: b.y - a.y, y: a.x - b.x, of: a }))
        : Array.from({ length: 16 }, (_, k) => {
            const normal = { x: Math.cos((k * Math.PI) / 8), y: Math.sin((k * Math.PI) / 8) };
            return { ...normal, of: ring.reduce((far, p) => (p.x * normal.x + p.y * normal.y > far.x * normal.x + far.y * normal.y ? p : far)) };
          });
    this.#planes = Float64Array.from(
      normals.flatMap(({ x, y, of }) => {
        const length = Math.hypot(x, y);
        return [x / length, y / length, (x * of.x + y * of.y) / length];
      }),
    );
  }

  leftAt = (y: number): number => this.#left.at(y);
  rightAt = (y: number): number => this.#right.at(y);
  lowerAt = (x: number): number => this.#lower.at(x);
  upperAt = (x: number): number => this.#upper.at(x);

  /** The root of how far a point inside is from the nearest edge line, √mm; never 0. */
  cost(x: number, y: number): number {
    const planes = this.#planes;
    let least = Infinity;
    for (let i = 0; i < planes.length; i += 3) {
      const inside = (planes[i + 2] as number) - (planes[i] as number) * x - (planes[i + 1] as number) * y;
      if (inside < least) {
        least = inside;
        if (least <= TOUCH_MM) return Math.sqrt(TOUCH_MM);
      }
    }
    return Math.sqrt(least);
  }
}

/** Where the origin of one turned piece may not lie relative to the origin of another: convex regions that overlap each other. */
export class Forbidden {
  readonly regions: readonly Region[];
  readonly minX: number;
  readonly maxX: number;
  readonly minY: number;
  readonly maxY: number;

  constructor(rings: readonly (readonly Point[])[]) {
    this.regions = rings.map((ring) => new Region(ring));
    this.minX = Math.min(...this.regions.map((region) => region.minX));
    this.maxX = Math.max(...this.regions.map((region) => region.maxX));
    this.minY = Math.min(...this.regions.map((region) => region.minY));
    this.maxY = Math.max(...this.regions.map((region) => region.maxY));
  }

  /**
   * What it costs that a piece at this place lies in the other: the root of how deep it lies, √mm; 0 when it is clear. The root makes two small
   * overlaps dearer than a deep one, so that most contacts come out exact.
   */
  cost(x: number, y: number): number {
    if (x <= this.minX + TOUCH_MM || x >= this.maxX - TOUCH_MM || y <= this.minY + TOUCH_MM || y >= this.maxY - TOUCH_MM) return 0;
    let most = 0;
    for (const region of this.regions) {
      if (x <= region.minX + TOUCH_MM || x >= region.maxX - TOUCH_MM || y <= region.minY + TOUCH_MM || y >= region.maxY - TOUCH_MM) continue;
      if (x <= region.leftAt(y) + TOUCH_MM || x >= region.rightAt(y) - TOUCH_MM) continue;
      if (y <= region.lowerAt(x) + TOUCH_MM || y >= region.upperAt(x) - TOUCH_MM) continue;
      most = Math.max(most, region.cost(x, y));
    }
    return most;
  }
}

/** Where a piece may not lie when another lies at the origin: from that one's parts, and from its own turned by half a turn about its origin. */
export function forbiddenBy(lying: readonly (readonly Point[])[], against: readonly (readonly Point[])[]): Forbidden {
  return new Forbidden(lying.flatMap((part) => against.map((other) => minkowskiSum(part, other))));
}
