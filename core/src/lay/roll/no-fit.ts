import type { Ring, Shape } from './shape';

/** Contacts are exact to this, mm. */
export const TOUCH_MM = 1e-6;
/** Most planes used to measure depth; all planes decide whether a place is inside. */
const DEPTH_PLANES = 16;
/** Pairs with more regions than this use coarser parts. */
const MOST_REGIONS = 40;
/** Planes and regions that a block of shared rows holds, and planes that one no-fit polygon may need. */
const BLOCK = 1 << 16;
const MOST_PLANES = 4096;
/** An edge shorter than this has no direction, mm. */
const SHORT_MM = 1e-7;

/** A regular octagon round a circle of radius 1: a piece grown by it keeps a gap in every direction, at most 8 % more than asked. */
const OCTAGON: Ring = ((h: number): Ring => ({ xs: Float64Array.of(-h, h, 1, 1, h, -h, -1, -1), ys: Float64Array.of(-1, -1, -h, h, 1, 1, h, -h) }))(
  Math.tan(Math.PI / 8),
);

const scaled = ({ xs, ys }: Ring, by: number): Ring => ({ xs: xs.map((v) => v * by), ys: ys.map((v) => v * by) });

/** The corner from which a ring's edges turn counter-clockwise from the direction of the x axis; of the ring turned by half a turn where `sign` is −1. */
function lowest({ xs, ys }: Ring, sign: number): number {
  let at = 0;
  for (let i = 1; i < xs.length; i++) {
    const dy = sign * ((ys[i] as number) - (ys[at] as number));
    if (dy < 0 || (dy === 0 && sign * ((xs[i] as number) - (xs[at] as number)) < 0)) at = i;
  }
  return at;
}

/** Minkowski sums of convex rings, into rows that are used again. */
class Summed {
  readonly xs = new Float64Array(2048);
  readonly ys = new Float64Array(2048);
  count = 0;

  /** The sum of a ring and `sign` times another: their edges merged by direction, parallel ones joined. */
  of(a: Ring, b: Ring, sign: number): void {
    const [na, nb] = [a.xs.length, b.xs.length];
    let [ia, ib] = [lowest(a, 1), lowest(b, sign)];
    this.count = 0;
    for (let i = 0, j = 0; i < na || j < nb;) {
      const nextA = ia + 1 === na ? 0 : ia + 1;
      const nextB = ib + 1 === nb ? 0 : ib + 1;
      const [ax, ay] = [a.xs[ia] as number, a.ys[ia] as number];
      const [bx, by] = [sign * (b.xs[ib] as number), sign * (b.ys[ib] as number)];
      this.xs[this.count] = ax + bx;
      this.ys[this.count++] = ay + by;
      const [ux, uy] = [(a.xs[nextA] as number) - ax, (a.ys[nextA] as number) - ay];
      const [vx, vy] = [sign * (b.xs[nextB] as number) - bx, sign * (b.ys[nextB] as number) - by];
      const turn = ux * vy - uy * vx;
      const parallel = i < na && j < nb && turn * turn <= 1e-20 * (ux * ux + uy * uy) * (vx * vx + vy * vy);
      const ofA = parallel || j >= nb || (i < na && turn > 0);
      if (ofA) [i, ia] = [i + 1, nextA];
      if (parallel || !ofA) [j, ib] = [j + 1, nextB];
    }
  }

  ring(): Ring {
    return { xs: this.xs.slice(0, this.count), ys: this.ys.slice(0, this.count) };
  }
}

/** Typed arrays shared by many no-fit polygons. */
interface Block {
  /** nx, ny, offset of each plane: inside is offset − n·p > 0. */
  readonly planes: Float64Array;
  /** x, y of the corner where each plane starts. */
  readonly corners: Float64Array;
  /** Of each region its first plane, and one past its last; the latter negative where the region is its box. */
  readonly first: Int32Array;
  /** minX, maxX, minY, maxY of each region. */
  readonly box: Float64Array;
}

const newBlock = (): Block => ({
  planes: new Float64Array(3 * BLOCK),
  corners: new Float64Array(2 * BLOCK),
  first: new Int32Array(2 * BLOCK),
  box: new Float64Array(4 * BLOCK),
});

/** Makes no-fit polygons (Adamowicz and Albano 1976) of one layout, all for one gap. */
export class NoFitMaker {
  readonly #sum = new Summed();
  readonly #grown = new Map<Ring, Ring>();
  readonly #octagon: Ring | null;
  #block = newBlock();
  #planes = 0;
  #regions = 0;

  constructor(gapMm: number) {
    this.#octagon = gapMm > 0 ? scaled(OCTAGON, gapMm) : null;
  }

  /** Where the origin of a moving piece may not lie relative to a lying one's. */
  of(lying: Shape, moving: Shape): NoFit {
    const coarse = lying.parts.length * moving.parts.length > MOST_REGIONS;
    const [still, going] = coarse ? [lying.coarse, moving.coarse] : [lying.parts, moving.parts];
    if (this.#regions + still.length * going.length > BLOCK || this.#planes + MOST_PLANES > BLOCK) {
      this.#block = newBlock();
      this.#regions = this.#planes = 0;
    }
    const from = this.#regions;
    for (const a of still)
      for (const b of going) {
        this.#sum.of(this.#grownBy(a), b, -1);
        this.#addRegion();
      }
    return new NoFit(this.#block, from, this.#regions);
  }

  #grownBy(part: Ring): Ring {
    if (!this.#octagon) return part;
    const found = this.#grown.get(part);
    if (found) return found;
    this.#sum.of(part, this.#octagon, 1);
    const ring = this.#sum.ring();
    this.#grown.set(part, ring);
    return ring;
  }

  /** The ring just summed as a region of half-planes. */
  #addRegion(): void {
    const { planes, corners, first, box } = this.#block;
    const { xs, ys, count } = this.#sum;
    const r = this.#regions++;
    const start = this.#planes;
    let [minX, maxX, minY, maxY, upright] = [Infinity, -Infinity, Infinity, -Infinity, 0];
    for (let i = 0; i < count; i++) {
      const [x, y] = [xs[i] as number, ys[i] as number];
      const next = i + 1 === count ? 0 : i + 1;
      const [ux, uy] = [(xs[next] as number) - x, (ys[next] as number) - y];
      [minX, maxX, minY, maxY] = [Math.min(minX, x), Math.max(maxX, x), Math.min(minY, y), Math.max(maxY, y)];
      const length = Math.sqrt(ux * ux + uy * uy);
      if (length < SHORT_MM) continue;
      const [nx, ny] = [uy / length, -ux / length];
      if (nx === 0 || ny === 0) upright++;
      const p = this.#planes++;
      planes.set([nx, ny, nx * x + ny * y], 3 * p);
      corners.set([x, y], 2 * p);
    }
    const isBox = this.#planes - start === 4 && upright === 4;
    first.set([start, isBox ? -this.#planes : this.#planes], 2 * r);
    box.set([minX, maxX, minY, maxY], 4 * r);
  }
}

/**
 * Where the origin of a moving piece may not lie relative to the other piece's origin: convex regions that may overlap, kept as half-planes and never united,
 * so that contacts are exact. Planes, corners and boxes are slices of shared arrays.
 */
export class NoFit {
  readonly planes: Float64Array;
  readonly corners: Float64Array;
  readonly first: Int32Array;
  readonly box: Float64Array;
  readonly minX: number;
  readonly maxX: number;
  readonly minY: number;
  readonly maxY: number;

  constructor(
    { planes, corners, first, box }: Block,
    /** Its first region … */
    readonly from: number,
    /** … and one past its last. */
    readonly to: number,
  ) {
    this.planes = planes;
    this.corners = corners;
    this.first = first;
    this.box = box;
    let [minX, maxX, minY, maxY] = [Infinity, -Infinity, Infinity, -Infinity];
    for (let b = 4 * from; b < 4 * to; b += 4) {
      minX = Math.min(minX, box[b] as number);
      maxX = Math.max(maxX, box[b + 1] as number);
      minY = Math.min(minY, box[b + 2] as number);
      maxY = Math.max(maxY, box[b + 3] as number);
    }
    this.minX = minX;
    this.maxX = maxX;
    this.minY = minY;
    this.maxY = maxY;
  }

  /** Depth of a place inside a region, mm; measured by a sample of its planes where there are many. */
  depthIn(r: number, x: number, y: number): number {
    const { planes, box } = this;
    const from = this.first[2 * r] as number;
    const to = this.first[2 * r + 1] as number;
    if (to < 0) {
      const b = 4 * r;
      return Math.min(x - (box[b] as number), (box[b + 1] as number) - x, y - (box[b + 2] as number), (box[b + 3] as number) - y);
    }
    const every = to - from > DEPTH_PLANES ? 3 * Math.ceil((to - from) / DEPTH_PLANES) : 3;
    let least = Infinity;
    for (let k = 3 * from, end = 3 * to; k < end; k += every) {
      const inside = (planes[k + 2] as number) - (planes[k] as number) * x - (planes[k + 1] as number) * y;
      if (inside < least) least = inside;
    }
    return least;
  }

  /** Greatest depth of a place in any region, mm; 0 outside all of them, within the tolerance of a contact. */
  depth(x: number, y: number): number {
    if (x <= this.minX + TOUCH_MM || x >= this.maxX - TOUCH_MM || y <= this.minY + TOUCH_MM || y >= this.maxY - TOUCH_MM) return 0;
    const { box } = this;
    let most = 0;
    for (let r = this.from; r < this.to; r++) {
      const b = 4 * r;
      if (x <= (box[b] as number) + TOUCH_MM || x >= (box[b + 1] as number) - TOUCH_MM) continue;
      if (y <= (box[b + 2] as number) + TOUCH_MM || y >= (box[b + 3] as number) - TOUCH_MM) continue;
      const least = this.#depthByAll(r, x, y);
      if (least > TOUCH_MM && least > most) most = least;
    }
    return most;
  }

  #depthByAll(r: number, x: number, y: number): number {
    const { planes, first } = this;
    let least = Infinity;
    for (let k = 3 * (first[2 * r] as number), end = 3 * Math.abs(first[2 * r + 1] as number); k < end; k += 3) {
      const inside = (planes[k + 2] as number) - (planes[k] as number) * x - (planes[k + 1] as number) * y;
      if (inside >= least) continue;
      least = inside;
      if (least <= TOUCH_MM) return 0;
    }
    return least;
  }
}
