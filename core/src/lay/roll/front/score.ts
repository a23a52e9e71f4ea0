import { areaUnder, type Front } from './front';
import type { Kind } from './kinds';

/** What a lay in the making is judged by. */
export interface Weights {
  /** How much an uneven front counts. */
  readonly uneven: number;
  /** How much room across counts that no sum of heights fills. */
  readonly misfit: number;
  /** How much of the waste of pieces that fill their box badly counts before they are laid. */
  readonly owed: number;
  /** How much small pieces are saved for later. */
  readonly save: number;
  /** By how much a judgement is off at random, as a share. */
  readonly noise: number;
}

/** A lay in the making, as far as it is judged. */
export interface Judged {
  readonly front: Front;
  /** Copies that are left of each kind. */
  readonly left: Uint16Array;
  readonly placedMm2: number;
  /** Area under the front, mm². */
  readonly underMm2: number;
}

/** Walls that differ by less are level, mm. */
const LEVEL_MM = 2;
/** Heights are added up in half millimetres. */
const PARTS = 2;

/** The largest sum of heights that is not above a width, for each half millimetre of it: what pieces can fill. */
function fillable(kinds: readonly Kind[], widthMm: number): Float32Array {
  const cells = Math.ceil(widthMm * PARTS) + 2;
  const can = new Uint8Array(cells);
  can[0] = 1;
  for (const { copies, variants } of kinds)
    for (const height of new Set(variants.map(({ h }) => Math.ceil(h * PARTS - 0.2)))) {
      // So often at most as there are copies.
      const used = new Uint16Array(cells).fill(65535);
      for (let v = 0; v < cells; v++) {
        if (can[v]) used[v] = 0;
        else if (v >= height && (used[v - height] as number) < copies.length) used[v] = (used[v - height] as number) + 1;
      }
      for (let v = 0; v < cells; v++) if (used[v] !== 65535) can[v] = 1;
    }
  const best = new Float32Array(cells);
  for (let v = 0, last = 0; v < cells; v++) {
    if (can[v]) last = v;
    best[v] = last / PARTS;
  }
  return best;
}

/** Judges lays in the making: the less, the better. Mm along the roll that are lost or will be. */
export class Score {
  readonly #fillable: Float32Array;
  readonly #owed: readonly number[];
  readonly #small: readonly number[];
  readonly #totalMm2: number;
  readonly #depthMm: number;

  constructor(
    private readonly kinds: readonly Kind[],
    private readonly widthMm: number,
    private readonly weights: Weights,
    private readonly random: () => number,
  ) {
    const pieces = kinds.reduce((sum, { copies }) => sum + copies.length, 0);
    this.#totalMm2 = kinds.reduce((sum, { copies, areaMm2 }) => sum + copies.length * areaMm2, 0);
    this.#fillable = weights.misfit > 0 ? fillable(kinds, widthMm) : new Float32Array(1);
    this.#depthMm = Math.sqrt(this.#totalMm2 / pieces);
    this.#owed = kinds.map(({ areaMm2, variants }) => Math.min(areaMm2 * 0.6, Math.min(...variants.map(({ w, h }) => w * h)) - areaMm2) * weights.owed);
    this.#small = kinds.map(({ areaMm2 }) => Math.sqrt(areaMm2) * areaMm2);
  }

  of({ front, left, placedMm2, underMm2 }: Judged): number {
    const { uneven, misfit, owed, save, noise } = this.weights;
    const total = (each: readonly number[]): number => each.reduce((sum, one, k) => sum + (left[k] as number) * one, 0);
    const rest = this.#totalMm2 - placedMm2;
    let lostMm = (underMm2 - placedMm2) / this.widthMm;
    if (uneven > 0) lostMm += uneven * this.#unevenness(front, underMm2 / this.widthMm);
    if (misfit > 0) lostMm += (misfit * this.#unfilled(front)) / this.widthMm;
    if (owed > 0) lostMm += total(this.#owed) / this.widthMm;
    if (save > 0 && rest > 0) lostMm += (save * total(this.#small)) / this.#totalMm2;
    return lostMm * (1 + noise * (this.random() - 0.5));
  }

  /** Mean distance of a front from its mean. */
  #unevenness(front: Front, mean: number): number {
    let off = 0;
    for (let i = 0; i < front.length; i += 4)
      off += Math.abs(((front[i + 2] as number) + (front[i + 3] as number)) / 2 - mean) * ((front[i + 1] as number) - (front[i] as number));
    return off / this.widthMm;
  }

  /** Area of the front's level pits beside what heights of pieces can fill of them, mm². */
  #unfilled(front: Front): number {
    let lost = 0;
    for (let i = 0; i < front.length;) {
      const level = front[i + 3] as number;
      let to = front[i + 1] as number;
      let j = i + 4;
      for (; j < front.length && this.#isLevel(front, j, level); j += 4) to = front[j + 1] as number;
      if (Math.abs((front[i + 2] as number) - level) < LEVEL_MM) {
        const wide = to - (front[i] as number);
        const before = i > 0 ? (front[i - 1] as number) : Infinity;
        const after = j < front.length ? (front[j + 2] as number) : Infinity;
        const deep = Math.min(before, after) - level;
        const cell = Math.min(this.#fillable.length - 1, Math.floor(wide * PARTS + 0.1));
        if (deep > 0) lost += (wide - (this.#fillable[cell] as number)) * Math.min(deep, this.#depthMm);
      }
      i = j;
    }
    return lost;
  }

  #isLevel(front: Front, j: number, level: number): boolean {
    return Math.abs((front[j + 2] as number) - level) < LEVEL_MM && Math.abs((front[j + 3] as number) - level) < LEVEL_MM;
  }

  /** Kinds that are left of a lay in the making. */
  leftKinds(left: Uint16Array): number[] {
    return this.kinds.flatMap((_, k) => (left[k] ? [k] : []));
  }
}

/** A lay in the making with a front. */
export const judgedWith = (front: Front, left: Uint16Array, placedMm2: number): Judged => ({ front, left, placedMm2, underMm2: areaUnder(front) });
