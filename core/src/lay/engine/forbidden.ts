import type { Point } from '../../geometry/point';
import { minkowskiSum } from './convex';

/** Contacts are exact to this, mm: a piece as near as this to another touches it. Over 10 m of edge it is a hundredth of a square millimetre. */
export const TOUCH_MM = 1e-6;

/** Most planes used to measure depth: those of the edges when they are few, otherwise sixteen directions. */
const FEW_EDGES = 16;

/** The second coordinate at `t` along a chain of corners from `first` to `last` whose first coordinates rise all the way. Corners come back exactly as stored. */
function alongRising(ts: Float64Array, vs: Float64Array, first: number, last: number, t: number): number {
  let low = first;
  let high = last;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((ts[middle] as number) <= t) low = middle;
    else high = middle;
  }
  return between(ts, vs, low, high, t);
}

/** The same along a chain whose first coordinates fall all the way. */
function alongFalling(ts: Float64Array, vs: Float64Array, first: number, last: number, t: number): number {
  let low = first;
  let high = last;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if ((ts[middle] as number) >= t) low = middle;
    else high = middle;
  }
  return between(ts, vs, low, high, t);
}

function between(ts: Float64Array, vs: Float64Array, low: number, high: number, t: number): number {
  const [t0, t1, v0, v1] = [ts[low] as number, ts[high] as number, vs[low] as number, vs[high] as number];
  return t1 === t0 ? v0 : v0 + ((v1 - v0) * (t - t0)) / (t1 - t0);
}

/** One convex region that a piece's origin may not enter. Query it only for places inside its bounds. */
export class Region {
  readonly minX: number;
  readonly maxX: number;
  readonly minY: number;
  readonly maxY: number;
  readonly corners: number;
  /** The corners counter-clockwise, stored twice, so that the chain between any two corners is contiguous. */
  readonly xs: Float64Array;
  readonly ys: Float64Array;
  readonly #lowest: number;
  readonly #highest: number;
  readonly #leftmost: number;
  readonly #rightmost: number;
  /** Three numbers for each plane: normal x, normal y, offset. Made on the first query of depth. */
  #planes: Float64Array | null = null;

  /** `ring`: convex, counter-clockwise. */
  constructor(ring: readonly Point[]) {
    const n = ring.length;
    const xs = new Float64Array(2 * n);
    const ys = new Float64Array(2 * n);
    let [lowest, highest, leftmost, rightmost] = [0, 0, 0, 0];
    for (let i = 0; i < n; i++) {
      const { x, y } = ring[i] as Point;
      xs[i] = xs[i + n] = x;
      ys[i] = ys[i + n] = y;
      if (y < (ys[lowest] as number)) lowest = i;
      if (y > (ys[highest] as number)) highest = i;
      if (x < (xs[leftmost] as number)) leftmost = i;
      if (x > (xs[rightmost] as number)) rightmost = i;
    }
    this.corners = n;
    this.xs = xs;
    this.ys = ys;
    this.minX = xs[leftmost] as number;
    this.maxX = xs[rightmost] as number;
    this.minY = ys[lowest] as number;
    this.maxY = ys[highest] as number;
    this.#lowest = lowest;
    this.#highest = highest;
    this.#leftmost = leftmost;
    this.#rightmost = rightmost;
  }

  /** Ends of the region on the line at y: counter-clockwise from its lowest corner it rises on the right and falls on the left. */
  leftAt(y: number): number {
    const last = this.#lowest > this.#highest ? this.#lowest : this.#lowest + this.corners;
    return alongFalling(this.ys, this.xs, this.#highest, last, y);
  }
  rightAt(y: number): number {
    const last = this.#highest > this.#lowest ? this.#highest : this.#highest + this.corners;
    return alongRising(this.ys, this.xs, this.#lowest, last, y);
  }
  /** The same on the line at x. */
  lowerAt(x: number): number {
    const last = this.#rightmost > this.#leftmost ? this.#rightmost : this.#rightmost + this.corners;
    return alongRising(this.xs, this.ys, this.#leftmost, last, x);
  }
  upperAt(x: number): number {
    const last = this.#leftmost > this.#rightmost ? this.#leftmost : this.#leftmost + this.corners;
    return alongFalling(this.xs, this.ys, this.#rightmost, last, x);
  }

  #makePlanes(): Float64Array {
    const { xs, ys, corners } = this;
    const planes: number[] = [];
    for (let i = 0; i < corners; i++) {
      const [x, y] = [xs[i] as number, ys[i] as number];
      const [nx, ny] = [(ys[i + 1] as number) - y, x - (xs[i + 1] as number)];
      const length = Math.hypot(nx, ny);
      if (length > 1e-9) planes.push(nx / length, ny / length, (nx * x + ny * y) / length);
    }
    if (planes.length <= 3 * FEW_EDGES) return Float64Array.from(planes);
    return Float64Array.from(
      Array.from({ length: 16 }, (_, k) => {
        const [nx, ny] = [Math.cos((k * Math.PI) / 8), Math.sin((k * Math.PI) / 8)];
        let far = -Infinity;
        for (let i = 0; i < corners; i++) far = Math.max(far, nx * (xs[i] as number) + ny * (ys[i] as number));
        return [nx, ny, far];
      }).flat(),
    );
  }

  /** The root of how far a point inside is from the nearest edge line, √mm; never 0. */
  cost(x: number, y: number): number {
    const planes = (this.#planes ??= this.#makePlanes());
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
   * The cost of overlap at this place: the square root of the depth, √mm; 0 when clear. The root makes two small
   * overlaps cost more than a deep one, so that most contacts come out exact.
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
