import type { Lattice, Origins } from './lattice';
import { NoFitMaker, TOUCH_MM, type NoFit } from './no-fit';
import type { Shape } from './shape';

/** An overlap counts by this power of the product of both areas over the mean area, because a large piece finds a clear place less easily than a strip. */
const SIZE_POWER = 0.25;

/** The pieces of a layout. Each has consecutive shapes, one for each of its turns. */
export interface Pieces {
  readonly shapes: readonly Shape[];
  /** First shape of each piece. */
  readonly firstShape: Int32Array;
  /** How many turns each piece has. */
  readonly turns: Int32Array;
  readonly areaMm2: Float64Array;
  /** Pieces that stay where they are. */
  readonly fixed: Uint8Array;
}

/** The places of all pieces on one strip of material, as typed arrays, with a weight for each pair. Pieces may overlap. */
export class Layout {
  readonly n: number;
  readonly x: Float64Array;
  readonly y: Float64Array;
  /** The current shape of each piece, which tells its turn. */
  readonly s: Int32Array;
  readonly shapes: readonly Shape[];
  readonly firstShape: Int32Array;
  readonly turns: Int32Array;
  readonly areaMm2: Float64Array;
  readonly fixed: Uint8Array;
  /** Weights of pairs, n × n. */
  readonly weights: Float64Array;
  readonly size: Float64Array;
  readonly minX: Float64Array;
  readonly maxX: Float64Array;
  readonly minY: Float64Array;
  readonly maxY: Float64Array;
  /** The shape of the same piece turned by 180°; −1 where that turn is not allowed. */
  readonly half: Int32Array;
  /** Usable length of the strip, mm. */
  length = 0;
  /** Where along the roll a motif of the pattern's first row lies, mm; without a pattern it does not count. */
  phase = 0;
  readonly #maker: NoFitMaker;
  readonly #noFits: (NoFit | undefined)[];
  readonly #sign: Int8Array;

  constructor(
    { shapes, firstShape, turns, areaMm2, fixed }: Pieces,
    readonly width: number,
    readonly gap: number,
    /** The pattern that some pieces have to match; null where none has to. */
    readonly lattice: Lattice | null = null,
  ) {
    const n = firstShape.length;
    this.n = n;
    this.shapes = shapes;
    this.firstShape = firstShape;
    this.turns = turns;
    this.areaMm2 = areaMm2;
    this.fixed = fixed;
    this.x = new Float64Array(n);
    this.y = new Float64Array(n);
    this.s = Int32Array.from(firstShape);
    this.weights = new Float64Array(n * n).fill(1);
    const mean = areaMm2.reduce((a, b) => a + b, 0) / n;
    this.size = areaMm2.map((one) => (one / mean) ** SIZE_POWER);
    this.minX = Float64Array.from(shapes, (one) => one.minX);
    this.maxX = Float64Array.from(shapes, (one) => one.maxX);
    this.minY = Float64Array.from(shapes, (one) => one.minY);
    this.maxY = Float64Array.from(shapes, (one) => one.maxY);
    this.#maker = new NoFitMaker(gap);
    this.#noFits = new Array<NoFit | undefined>(shapes.length * shapes.length);
    this.#sign = new Int8Array(shapes.length * shapes.length);
    this.half = halves(this);
  }

  /**
   * The no-fit polygon of a pair of shapes, made on first use. The polygon of (b, a), and that of both turned by 180°, are the polygon of (a, b) turned by 180°: one of the four is
   * kept, and `sign` says whether to query it at the place or at the place turned.
   */
  noFit(lying: number, moving: number): NoFit {
    const count = this.shapes.length;
    const at = lying * count + moving;
    const known = this.#noFits[at];
    if (known) return known;
    const [lyingHalf, movingHalf] = [this.half[lying] as number, this.half[moving] as number];
    const halved = lyingHalf >= 0 && movingHalf >= 0;
    const ways: readonly (readonly [at: number, sign: number])[] = [
      ...(halved ? [[movingHalf * count + lyingHalf, 1] as const] : []),
      [moving * count + lying, -1],
      ...(halved ? [[lyingHalf * count + movingHalf, -1] as const] : []),
    ];
    const [kept, sign] = ways.find(([one]) => this.#sign[one]) ?? [at, 1];
    const made = this.#noFits[kept] ?? this.#maker.of(this.shapes[lying] as Shape, this.shapes[moving] as Shape);
    this.#sign[at] = kept === at ? 1 : sign * (this.#sign[kept] as number);
    return (this.#noFits[at] = made);
  }

  /** 1, or −1 where the stored no-fit polygon is this one turned by 180°. Call after `noFit`. */
  sign(lying: number, moving: number): number {
    return this.#sign[lying * this.shapes.length + moving] as number;
  }

  /** The unweighted cost of the overlap of two pieces: √depth, scaled by their sizes; 0 where they are clear. */
  overlap(i: number, j: number): number {
    const [a, b] = [this.s[i] as number, this.s[j] as number];
    const dx = (this.x[i] as number) - (this.x[j] as number);
    const dy = (this.y[i] as number) - (this.y[j] as number);
    const clear = this.gap - TOUCH_MM;
    if (dx + (this.minX[a] as number) >= (this.maxX[b] as number) + clear || dx + (this.maxX[a] as number) <= (this.minX[b] as number) - clear) return 0;
    if (dy + (this.minY[a] as number) >= (this.maxY[b] as number) + clear || dy + (this.maxY[a] as number) <= (this.minY[b] as number) - clear) return 0;
    const noFit = this.noFit(b, a);
    const sign = this.sign(b, a);
    const depth = noFit.depth(sign * dx, sign * dy);
    return depth > 0 ? Math.sqrt(depth) * (this.size[i] as number) * (this.size[j] as number) : 0;
  }

  /** The weighted overlap of a piece with all others. */
  costOf(i: number): number {
    let cost = 0;
    for (let j = 0, row = i * this.n; j < this.n; j++) {
      if (j === i) continue;
      const one = this.overlap(i, j);
      if (one > 0) cost += one * (this.weights[row + j] as number);
    }
    return cost;
  }

  /** Whether no two pieces overlap. */
  isClear(): boolean {
    for (let i = 0; i < this.n; i++) for (let j = i + 1; j < this.n; j++) if (this.overlap(i, j) > 0) return false;
    return true;
  }

  /** The far end of a piece along the roll, mm. */
  reachOf(i: number): number {
    return (this.x[i] as number) + (this.maxX[this.s[i] as number] as number);
  }

  /** The far end of all pieces, mm. */
  end(): number {
    let far = 0;
    for (let i = 0; i < this.n; i++) far = Math.max(far, this.reachOf(i));
    return far;
  }

  centreX(i: number): number {
    const s = this.s[i] as number;
    return (this.x[i] as number) + ((this.minX[s] as number) + (this.maxX[s] as number)) / 2;
  }

  centreY(i: number): number {
    const s = this.s[i] as number;
    return (this.y[i] as number) + ((this.minY[s] as number) + (this.maxY[s] as number)) / 2;
  }

  /** Where the origin of a shape may be on the strip. */
  originsOf(s: number): Origins {
    return {
      lowX: -(this.minX[s] as number),
      highX: this.length - (this.maxX[s] as number),
      lowY: -(this.minY[s] as number),
      highY: this.width - (this.maxY[s] as number),
    };
  }

  /** Moves a piece to the nearest place at which its box is inside the strip and, where it has to match, a motif where it should be. Fixed pieces stay. */
  clamp(i: number): void {
    if (this.fixed[i]) return;
    const s = this.s[i] as number;
    if (this.lattice?.matches(s)) return this.#match(i, this.lattice);
    const { lowX, highX, lowY, highY } = this.originsOf(s);
    this.x[i] = Math.max(lowX, Math.min(this.x[i] as number, highX));
    this.y[i] = Math.max(lowY, Math.min(this.y[i] as number, highY));
  }

  /** Moves a matched piece to its nearest place on the pattern, in the first turn from its own that has one. */
  #match(i: number, lattice: Lattice): void {
    const [first, turns] = [this.firstShape[i] as number, this.turns[i] as number];
    const own = (this.s[i] as number) - first;
    const wanted = { x: this.x[i] as number, y: this.y[i] as number };
    for (let c = 0; c < turns; c++) {
      const s = first + ((own + c) % turns);
      const at = lattice.nearest(s, this.phase, this.originsOf(s), wanted);
      if (!at) continue;
      [this.x[i], this.y[i], this.s[i]] = [at.x, at.y, s];
      return;
    }
  }

  /** The shapes of a piece, one for each of its turns. */
  shapesOf(i: number): number[] {
    const first = this.firstShape[i] as number;
    return Array.from({ length: this.turns[i] as number }, (_, t) => first + t);
  }

  /** Whether a piece has to match the pattern. */
  isMatched(i: number): boolean {
    const { lattice } = this;
    return lattice !== null && this.shapesOf(i).some((s) => lattice.matches(s));
  }

  /** No lay with the present phase is shorter, mm: every matched piece needs a place on the pattern. 0 without a pattern. */
  leastMm(): number {
    const { lattice } = this;
    if (!lattice) return 0;
    const reachesOf = (s: number): number[] =>
      lattice.lines(s, this.phase, { ...this.originsOf(s), highX: Infinity }, 0).map(({ x }) => x + (this.maxX[s] as number));
    const ends = this.movable().flatMap((i) => (this.isMatched(i) ? Math.min(...this.shapesOf(i).flatMap(reachesOf)) : []));
    return Math.max(0, ...ends);
  }

  clampAll(): void {
    for (let i = 0; i < this.n; i++) this.clamp(i);
  }

  /** The pieces that may be moved. */
  movable(): number[] {
    return Array.from({ length: this.n }, (_, i) => i).filter((i) => !this.fixed[i]);
  }
}

/** For each shape, the shape of the same piece turned by 180°. */
function halves({ n, shapes, firstShape, turns }: Layout): Int32Array {
  const half = new Int32Array(shapes.length).fill(-1);
  for (let i = 0; i < n; i++) {
    const first = firstShape[i] as number;
    const own = Array.from({ length: turns[i] as number }, (_, k) => first + k);
    for (const a of own) for (const b of own) if (Math.abs((shapes[a] as Shape).turn - (shapes[b] as Shape).turn) === 180) half[a] = b;
  }
  return half;
}

/** Places of all pieces, to go back to. */
export interface Snapshot {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly s: Int32Array;
  readonly length: number;
  readonly phase: number;
}

export const snapshot = ({ x, y, s, length, phase }: Layout): Snapshot => ({ x: x.slice(), y: y.slice(), s: s.slice(), length, phase });

export function restore(all: Layout, { x, y, s, length, phase }: Snapshot): void {
  all.x.set(x);
  all.y.set(y);
  all.s.set(s);
  all.length = length;
  all.phase = phase;
}
