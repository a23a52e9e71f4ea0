import { SAME_MM, type Lattice, type LatticeLine } from './lattice';
import type { Layout } from './layout';
import { TOUCH_MM, type NoFit } from './no-fit';
import { Stretches, type Line } from './stretches';

/** Turns tried in one search, of all that a piece has. */
const MOST_TURNS = 3;
/** Most rounds of sliding from the best place. */
const SLIDES = 4;
/** A place this near to a contact counts as in contact, mm. */
const AT_CONTACT_MM = 1e-3;
/** Smaller differences of cost, or of reach in mm, do not count. */
const LESS = 1e-9;
const LESS_REACH_MM = 1e-4;
/** Places on one row of motifs that are looked at, the nearest ones. */
const MOST_STEPS = 40;
/** Length searched along the edge of the strip, mm: all of it. */
const WHOLE_MM = 1e9;

/** How much effort one search takes. */
export interface Effort {
  /** Lines for each turn, besides the two through the piece's own place. */
  readonly lines: number;
  /** Length searched in each direction of a line, mm. */
  readonly farMm: number;
}

/** What a place has to beat: it must cost less, or, where both cost nothing, reach less far. */
export interface Limits {
  readonly cost: number;
  readonly reachMm: number;
}

/** Searches for a piece that is not laid yet: other pieces not yet laid are ignored. */
export interface Fresh {
  readonly waiting: Uint8Array;
}

/**
 * Finds the place of least weighted overlap of one piece along lines through contacts. Each region of a neighbour's no-fit polygon is an interval on such a line, and the cost is
 * concave between the ends of intervals: only the ends are tried, so contacts come out exact. A line runs along the roll, across it, or along an edge of a no-fit polygon, so
 * that a piece slides along a slanting neighbour.
 */
export class Mover {
  // The place found last: its position, its shape, its cost, and its reach in the direction of the pull.
  x = 0;
  y = 0;
  s = 0;
  cost = Infinity;
  reach = Infinity;
  /** Among places that cost nothing, the one least far in this direction is best. */
  pullX = 1;
  pullY = 0;
  // The neighbours of the piece in the current turn.
  readonly #who: Int32Array;
  readonly #box: Float64Array;
  readonly #weight: Float64Array;
  readonly #noFit: (NoFit | null)[];
  readonly #sign: Int32Array;
  readonly #deep: Float64Array;
  readonly #hit: Int32Array;
  #count = 0;
  readonly #on = new Stretches();
  // Bounds of the piece's origin for the piece to lie inside the strip.
  #lowX = 0;
  #highX = 0;
  #lowY = 0;
  #highY = 0;
  #turn = 0;
  #turnReach = 0;

  constructor(
    readonly all: Layout,
    readonly random: () => number,
  ) {
    const { n } = all;
    this.#who = new Int32Array(n);
    this.#box = new Float64Array(4 * n);
    this.#weight = new Float64Array(n);
    this.#noFit = new Array<NoFit | null>(n).fill(null);
    this.#sign = new Int32Array(n);
    this.#deep = new Float64Array(n);
    this.#hit = new Int32Array(n);
  }

  /** Searches for the best place of a piece within the limits. Returns true when one is found: it is in x, y and s. */
  find(i: number, { lines, farMm }: Effort, { cost, reachMm }: Limits, fresh: Fresh | null = null): boolean {
    const { all } = this;
    this.cost = cost;
    this.reach = reachMm;
    const has = all.s[i] as number;
    const turns = all.turns[i] as number;
    const begin = turns > 1 ? Math.floor(this.random() * turns) : 0;
    let found = false;
    for (let c = 0; c < Math.min(turns, MOST_TURNS); c++) {
      const s = this.#someTurn(i, c, begin);
      if (!this.#take(i, s, fresh)) continue;
      const before = this.cost;
      const reach = this.reach;
      const pattern = all.lattice?.matches(s) ? all.lattice : null;
      if (pattern) this.#onPattern(pattern, fresh ? null : (all.x[i] as number));
      else {
        if (!fresh) this.#throughOwnPlace(i, has, farMm);
        for (let k = 0; k < lines; k++) this.#alongSomeLine(farMm, fresh || k % 2 ? null : i);
      }
      if (this.s !== s || !(this.cost < before - LESS || this.reach < reach - TOUCH_MM)) continue;
      found = true;
      if (!pattern) this.#refine(farMm);
    }
    return found;
  }

  /** All turns of a piece that has few; otherwise its current turn and some others at random. */
  #someTurn(i: number, c: number, begin: number): number {
    const first = this.all.firstShape[i] as number;
    const turns = this.all.turns[i] as number;
    if (turns <= MOST_TURNS) return first + ((begin + c) % turns);
    return c === 0 ? (this.all.s[i] as number) : first + Math.floor(this.random() * turns);
  }

  /** Sets the piece and turn to search for. Returns false where it does not fit the strip. */
  #take(i: number, s: number, fresh: Fresh | null): boolean {
    const { minX, maxX, minY, maxY, n, gap, size, weights, x, y, s: shapes, length, width } = this.all;
    const [left, right, lower, upper] = [minX[s] as number, maxX[s] as number, minY[s] as number, maxY[s] as number];
    this.#turn = s;
    [this.#lowX, this.#highX, this.#lowY, this.#highY] = [-left, length - right, -lower, width - upper];
    if (this.#highX < this.#lowX - TOUCH_MM || this.#highY < this.#lowY - TOUCH_MM) return false;
    this.#highX = Math.max(this.#lowX, this.#highX);
    this.#highY = Math.max(this.#lowY, this.#highY);
    this.#turnReach = this.pullX * (this.pullX > 0 ? right : left) + this.pullY * (this.pullY > 0 ? upper : lower);
    const clear = gap - TOUCH_MM;
    let count = 0;
    for (let j = 0; j < n; j++) {
      if (j === i || fresh?.waiting[j]) continue;
      const lying = shapes[j] as number;
      const b = 4 * count;
      this.#who[count] = j;
      this.#box[b] = (x[j] as number) + (minX[lying] as number) - right - clear;
      this.#box[b + 1] = (x[j] as number) + (maxX[lying] as number) - left + clear;
      this.#box[b + 2] = (y[j] as number) + (minY[lying] as number) - upper - clear;
      this.#box[b + 3] = (y[j] as number) + (maxY[lying] as number) - lower + clear;
      this.#weight[count] = (weights[i * n + j] as number) * (size[i] as number) * (size[j] as number);
      this.#noFit[count++] = null;
    }
    this.#count = count;
    return true;
  }

  #noFitOf(k: number): NoFit {
    const known = this.#noFit[k];
    if (known) return known;
    const lying = this.all.s[this.#who[k] as number] as number;
    const noFit = this.all.noFit(lying, this.#turn);
    this.#sign[k] = this.all.sign(lying, this.#turn);
    return (this.#noFit[k] = noFit);
  }

  /** Searches along and across through the piece's place; in another turn, through the middle of its box. */
  #throughOwnPlace(i: number, has: number, farMm: number): void {
    const { minX, maxX, minY, maxY, x, y } = this.all;
    const s = this.#turn;
    const middle = (low: Float64Array, high: Float64Array): number =>
      s === has ? 0 : ((low[has] as number) + (high[has] as number) - (low[s] as number) - (high[s] as number)) / 2;
    const px = Math.max(this.#lowX, Math.min(this.#highX, (x[i] as number) + middle(minX, maxX)));
    const py = Math.max(this.#lowY, Math.min(this.#highY, (y[i] as number) + middle(minY, maxY)));
    this.#along(px, py, 0, 1, farMm);
    this.#along(px, py, 1, 0, farMm);
  }

  /** Searches one line through a place, up to a distance in each direction. */
  #along(px: number, py: number, dx: number, dy: number, farMm: number): void {
    const across = this.#within(px, dx, this.#lowX, this.#highX, farMm);
    const upright = this.#within(py, dy, this.#lowY, this.#highY, farMm);
    if (!across || !upright) return;
    const [t0, t1] = [Math.max(across[0], upright[0]), Math.min(across[1], upright[1])];
    if (t1 < t0) return;
    this.#gather({ px, py, dx, dy, t0, t1 });
    this.#look(px + dx * t0, py + dy * t0, t0);
    this.#look(px + dx * t1, py + dy * t1, t1);
    const { touches, touchCount } = this.#on;
    for (let c = 0; c < touchCount; c++) {
      const t = touches[c] as number;
      this.#look(px + dx * t, py + dy * t, t);
    }
  }

  /** Searches the places at which the piece matches the pattern, those near to a place along; where it lies nowhere yet, from the squared end on. */
  #onPattern(lattice: Lattice, nearX: number | null): void {
    const origins = { lowX: this.#lowX, highX: this.#highX, lowY: this.#lowY, highY: this.#highY };
    for (const line of lattice.lines(this.#turn, this.all.phase, origins, nearX ?? this.#lowX)) {
      if (line.stepMm > 0) this.#atSteps(line, nearX);
      else this.#along(line.x, line.y, line.across ? 0 : 1, line.across ? 1 : 0, WHOLE_MM);
    }
  }

  #atSteps({ x, y, stepMm }: LatticeLine, nearX: number | null): void {
    const count = Math.floor((this.#highX + SAME_MM - x) / stepMm) + 1;
    const from = nearX === null ? 0 : Math.max(0, Math.min(count - MOST_STEPS, Math.round((nearX - x) / stepMm) - MOST_STEPS / 2));
    const to = nearX === null ? count : Math.min(count, from + MOST_STEPS);
    // A little beyond both ends, so that a single place has a line of some length.
    this.#gather({ px: x, py: y, dx: 1, dy: 0, t0: from * stepMm - 1, t1: (to - 1) * stepMm + 1 });
    for (let k = from; k < to; k++) this.#look(x + k * stepMm, y, k * stepMm);
  }

  /** The interval of a line in which one coordinate is within bounds; null where there is none. */
  #within(p: number, d: number, low: number, high: number, farMm: number): readonly [number, number] | null {
    if (Math.abs(d) <= LESS) return p < low - TOUCH_MM || p > high + TOUCH_MM ? null : [-farMm, farMm];
    const [a, b] = [(low - p) / d, (high - p) / d];
    return [Math.max(-farMm, Math.min(a, b)), Math.min(farMm, Math.max(a, b))];
  }

  #gather(line: Line): void {
    const { px, py, dx, dy, t0, t1 } = line;
    const [ax, bx, ay, by] = [px + dx * t0, px + dx * t1, py + dy * t0, py + dy * t1];
    const [minX, maxX, minY, maxY] = [Math.min(ax, bx), Math.max(ax, bx), Math.min(ay, by), Math.max(ay, by)];
    const slant = dx !== 0 && dy !== 0;
    const box = this.#box;
    this.#on.clear();
    for (let k = 0; k < this.#count; k++) {
      const b = 4 * k;
      if (maxX <= (box[b] as number) || minX >= (box[b + 1] as number) || maxY <= (box[b + 2] as number) || minY >= (box[b + 3] as number)) continue;
      if (slant && this.#passes(b, line)) continue;
      const noFit = this.#noFitOf(k);
      const j = this.#who[k] as number;
      this.#on.add(k, { noFit, sign: this.#sign[k] as number, x: this.all.x[j] as number, y: this.all.y[j] as number }, line);
    }
    this.#on.sort();
  }

  /** Whether a slanting line misses a neighbour's box. */
  #passes(b: number, { px, py, dx, dy }: Line): boolean {
    const box = this.#box;
    const [left, right, lower, upper] = [box[b] as number, box[b + 1] as number, box[b + 2] as number, box[b + 3] as number];
    const off = ((left + right) / 2 - px) * dy - ((lower + upper) / 2 - py) * dx;
    return Math.abs(off) >= ((right - left) / 2) * Math.abs(dy) + ((upper - lower) / 2) * Math.abs(dx);
  }

  /** Keeps a place of the line if it beats the best so far. */
  #look(x: number, y: number, t: number): void {
    const reach = this.pullX * x + this.pullY * y + this.#turnReach;
    const nearer = reach < this.reach - LESS_REACH_MM;
    if (this.cost <= 0 && !nearer) return;
    const cost = this.#costAt(t, x, y, this.cost > 0 ? this.cost : 1e-12);
    if (cost > 0 ? cost >= this.cost - LESS : this.cost <= 0 && !nearer) return;
    this.cost = cost;
    this.reach = cost > 0 ? Infinity : reach;
    this.x = Math.max(this.#lowX, Math.min(this.#highX, x));
    this.y = Math.max(this.#lowY, Math.min(this.#highY, y));
    this.s = this.#turn;
  }

  /** The weighted overlap at a place of the line; once the sum reaches `limit` it is not added up any further. */
  #costAt(t: number, x: number, y: number, limit: number): number {
    const { low, high, order, owner, region, count } = this.#on;
    const deep = this.#deep;
    let cost = 0;
    let hits = 0;
    for (let o = 0; o < count && cost < limit; o++) {
      const q = order[o] as number;
      if ((low[q] as number) >= t - TOUCH_MM) break;
      if ((high[q] as number) <= t + TOUCH_MM) continue;
      const k = owner[q] as number;
      const sign = this.#sign[k] as number;
      const j = this.#who[k] as number;
      const depth = (this.#noFit[k] as NoFit).depthIn(region[q] as number, sign * (x - (this.all.x[j] as number)), sign * (y - (this.all.y[j] as number)));
      const here = depth > TOUCH_MM ? Math.sqrt(depth) : 1e-3;
      const before = deep[k] as number;
      if (here <= before) continue;
      if (before === 0) this.#hit[hits++] = k;
      deep[k] = here;
      cost += (here - before) * (this.#weight[k] as number);
    }
    for (let h = 0; h < hits; h++) deep[this.#hit[h] as number] = 0;
    return cost;
  }

  /** A line along an edge of a neighbour's no-fit polygon, through one of its corners along or across, or along an edge of the strip. */
  #alongSomeLine(farMm: number, near: number | null): void {
    const way = this.random();
    if (way < 0.12 || this.#count === 0) {
      const side = this.random();
      if (side < 0.4) this.#along(side < 0.25 ? this.#lowX : this.#highX, (this.#lowY + this.#highY) / 2, 0, 1, WHOLE_MM);
      else this.#along(this.#lowX + this.random() * (this.#highX - this.#lowX), side < 0.7 ? this.#lowY : this.#highY, 1, 0, farMm);
      return;
    }
    const k = near === null ? Math.floor(this.random() * this.#count) : this.#someNear(near);
    const noFit = this.#noFitOf(k);
    const r = noFit.from + Math.floor(this.random() * (noFit.to - noFit.from));
    const first = noFit.first[2 * r] as number;
    const e = first + Math.floor(this.random() * (Math.abs(noFit.first[2 * r + 1] as number) - first));
    const sign = this.#sign[k] as number;
    const j = this.#who[k] as number;
    const px = (this.all.x[j] as number) + sign * (noFit.corners[2 * e] as number);
    const py = (this.all.y[j] as number) + sign * (noFit.corners[2 * e + 1] as number);
    if (way < 0.6) this.#along(px, py, -(noFit.planes[3 * e + 1] as number), noFit.planes[3 * e] as number, farMm);
    else if (way < 0.8) this.#along(px, py, 0, 1, farMm);
    else this.#along(px, py, 1, 0, farMm);
  }

  /** The nearest to a piece of three neighbours taken at random. */
  #someNear(i: number): number {
    const box = this.#box;
    let chosen = 0;
    let least = Infinity;
    for (let tries = 0; tries < 3; tries++) {
      const k = Math.floor(this.random() * this.#count);
      const b = 4 * k;
      const dx = ((box[b] as number) + (box[b + 1] as number)) / 2 - (this.all.x[i] as number);
      const dy = ((box[b + 2] as number) + (box[b + 3] as number)) / 2 - (this.all.y[i] as number);
      if (dx * dx + dy * dy < least) [chosen, least] = [k, dx * dx + dy * dy];
    }
    return chosen;
  }

  /** Slides from the best place along, across, and along the edges of pieces it touches or overlaps, as long as that helps. */
  #refine(farMm: number): void {
    for (let round = 0; round < SLIDES; round++) {
      const { cost, reach } = this;
      this.#along(this.x, this.y, 0, 1, farMm);
      this.#along(this.x, this.y, 1, 0, farMm);
      this.#slide(farMm);
      if (this.cost >= cost - LESS && this.reach >= reach - AT_CONTACT_MM) return;
    }
  }

  /** Searches along the nearest edge of at most two no-fit polygons, taken at random, that the place is in or touches. */
  #slide(farMm: number): void {
    const box = this.#box;
    const { x, y } = this;
    const offset = Math.floor(this.random() * this.#count);
    let tried = 0;
    for (let c = 0; c < this.#count && tried < 2; c++) {
      const k = (c + offset) % this.#count;
      const b = 4 * k;
      if (x < (box[b] as number) - AT_CONTACT_MM || x > (box[b + 1] as number) + AT_CONTACT_MM) continue;
      if (y < (box[b + 2] as number) - AT_CONTACT_MM || y > (box[b + 3] as number) + AT_CONTACT_MM) continue;
      const edge = this.#slantingEdge(k);
      if (!edge) continue;
      tried++;
      // Out to the edge, then along it.
      this.#along(x + edge.nx * edge.inMm, y + edge.ny * edge.inMm, -edge.ny, edge.nx, farMm);
    }
  }

  /** The slanting edge of a neighbour's no-fit polygon nearest to the best place, and the depth inside it; null where there is none at the place. */
  #slantingEdge(k: number): { readonly nx: number; readonly ny: number; readonly inMm: number } | null {
    const { first, planes, from, to } = this.#noFitOf(k);
    const sign = this.#sign[k] as number;
    const j = this.#who[k] as number;
    const qx = sign * (this.x - (this.all.x[j] as number));
    const qy = sign * (this.y - (this.all.y[j] as number));
    for (let r = from; r < to; r++) {
      if ((first[2 * r + 1] as number) < 0) continue;
      let inMm = Infinity;
      let at = -1;
      for (let p = 3 * (first[2 * r] as number), end = 3 * (first[2 * r + 1] as number); p < end && inMm >= -AT_CONTACT_MM; p += 3) {
        const inside = (planes[p + 2] as number) - (planes[p] as number) * qx - (planes[p + 1] as number) * qy;
        if (inside < inMm) [inMm, at] = [inside, p];
      }
      if (inMm < -AT_CONTACT_MM) continue;
      const [nx, ny] = [sign * (planes[at] as number), sign * (planes[at + 1] as number)];
      if (Math.abs(nx) >= TOUCH_MM && Math.abs(ny) >= TOUCH_MM) return { nx, ny, inMm };
    }
    return null;
  }
}

/** A layout and the mover of its pieces. */
export interface Tool {
  readonly all: Layout;
  readonly mover: Mover;
}
