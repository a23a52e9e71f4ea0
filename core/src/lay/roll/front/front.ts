import type { Profile } from './profile';

/** The front of a lay: how far it reaches at each place across, straight from row to row with jumps. Rows of y0, y1, x at y0, x at y1, mm. */
export type Front = Float64Array;

/** Rows thinner than this are none, mm. */
const THIN_MM = 1e-3;
const SAME_SLOPE = 1e-4;
/** What lies this near to a level is at it, mm. */
const AT_LEVEL_MM = 1e-6;

const n = (row: Float64Array, i: number): number => row[i] as number;

/** The front of a roll on which nothing lies. */
export const emptyFront = (widthMm: number): Front => Float64Array.of(0, widthMm, 0, 0);

/** Area under a front, mm². */
export function areaUnder(front: Front): number {
  let area = 0;
  for (let i = 0; i < front.length; i += 4) area += ((n(front, i + 2) + n(front, i + 3)) / 2) * (n(front, i + 1) - n(front, i));
  return area;
}

/** How far a front reaches, mm. */
export function reachOf(front: Front): number {
  let reach = 0;
  for (let i = 0; i < front.length; i += 4) reach = Math.max(reach, n(front, i + 2), n(front, i + 3));
  return reach;
}

/** Where a piece comes to lie when it is pushed back against a front, in rows that are used again. */
export class Drop {
  /** How far along its box begins, mm. */
  x = 0;
  /** What it shuts in between itself and the front, mm². */
  shut = 0;
  /** By how much the area under the front grows, mm². */
  gain = 0;

  /** Pushes a piece back at a height across. */
  at(front: Front, { rows, h }: Profile, y: number): void {
    let i = 0;
    while (i < front.length && n(front, i + 1) <= y + THIN_MM) i += 4;
    let x = 0;
    let under = 0;
    let left = 0;
    let right = 0;
    for (let j = 0; i < front.length && j < rows.length;) {
      const a0 = n(front, i);
      const a1 = n(front, i + 1);
      const b0 = n(rows, j) + y;
      const b1 = n(rows, j + 1) + y;
      const from = a0 > b0 ? a0 : b0;
      const to = a1 < b1 ? a1 : b1;
      const high = to - from;
      if (high > THIN_MM) {
        const steep = (n(front, i + 3) - n(front, i + 2)) / (a1 - a0);
        const side = (n(rows, j + 3) - n(rows, j + 2)) / (b1 - b0);
        const far = (n(rows, j + 5) - n(rows, j + 4)) / (b1 - b0);
        const f0 = n(front, i + 2) + steep * (from - a0);
        const l0 = n(rows, j + 2) + side * (from - b0);
        const f1 = f0 + steep * high;
        const l1 = l0 + side * high;
        if (f0 - l0 > x) x = f0 - l0;
        if (f1 - l1 > x) x = f1 - l1;
        under += ((f0 + f1) / 2) * high;
        left += ((l0 + l1) / 2) * high;
        right += (n(rows, j + 4) + far * ((from + to) / 2 - b0)) * high;
      }
      if (a1 < b1) i += 4;
      else j += 6;
    }
    this.x = x;
    this.shut = x * h + left - under;
    this.gain = x * h + right - under;
  }
}

/** Rows that a front has at most while it is put together. */
const MOST_ROWS = 4096;

/** Puts the rows of a front together, in a row that is used again: those that go on in one line become one. */
export class FrontMaker {
  readonly #out = new Float64Array(4 * MOST_ROWS);
  #end = 0;

  #push(y0: number, y1: number, x0: number, x1: number): void {
    if (y1 - y0 < THIN_MM) return;
    const out = this.#out;
    const k = this.#end - 4;
    if (k >= 0 && Math.abs(n(out, k + 3) - x0) < THIN_MM) {
      const before = (n(out, k + 3) - n(out, k + 2)) / (n(out, k + 1) - n(out, k));
      if (Math.abs(before - (x1 - x0) / (y1 - y0)) < SAME_SLOPE) {
        out[k + 1] = y1;
        out[k + 3] = x1;
        return;
      }
    }
    out[this.#end] = y0;
    out[this.#end + 1] = y1;
    out[this.#end + 2] = x0;
    out[this.#end + 3] = x1;
    this.#end += 4;
  }

  /** Part of a row of another front. */
  #cut(front: Front, i: number, from: number, to: number): void {
    const y0 = n(front, i);
    const x0 = n(front, i + 2);
    const steep = (n(front, i + 3) - x0) / (n(front, i + 1) - y0);
    this.#push(from, to, x0 + steep * (from - y0), x0 + steep * (to - y0));
  }

  /** A front with a piece on it, its box beginning at (x, y). */
  withPiece(front: Front, { rows, h }: Pick<Profile, 'rows' | 'h'>, x: number, y: number): Front {
    this.#end = 0;
    const last = n(front, front.length - 3);
    let i = 0;
    for (; i < front.length && n(front, i + 1) <= y + THIN_MM; i += 4) this.#cut(front, i, n(front, i), n(front, i + 1));
    if (i < front.length && n(front, i) < y - THIN_MM) this.#cut(front, i, n(front, i), y);
    for (let j = 0; j < rows.length; j += 6) {
      const from = j === 0 && y < THIN_MM ? 0 : n(rows, j) + y;
      this.#push(from, Math.min(last, n(rows, j + 1) + y), n(rows, j + 4) + x, n(rows, j + 5) + x);
    }
    for (const to = y + h; i < front.length; i += 4) if (n(front, i + 1) > to + THIN_MM) this.#cut(front, i, Math.max(n(front, i), to), n(front, i + 1));
    return this.#out.slice(0, this.#end);
  }

  /** A front raised to a level from one place across to another. */
  raised(front: Front, low: number, high: number, levelMm: number): Front {
    return this.withPiece(front, { rows: Float64Array.of(0, high - low, 0, 0, 0, 0), h: high - low }, levelMm, low);
  }
}

/** The deepest pit of a front: from where to where it lies below its lower wall, and how far along that wall reaches; Infinity where it has none. */
export interface Pit {
  readonly low: number;
  readonly high: number;
  readonly levelMm: number;
}

/** The first value met beyond `most`, going from a row one way. */
function wall(front: Front, at: number, step: 4 | -4, most: number): number {
  const [near, far] = step > 0 ? [2, 3] : [3, 2];
  if (n(front, at + far) > most) return n(front, at + far);
  for (let i = at + step; i >= 0 && i < front.length; i += step) {
    if (n(front, i + near) > most) return n(front, i + near);
    if (n(front, i + far) > most) return n(front, i + far);
  }
  return Infinity;
}

/** Where a row crosses a level. */
function crossing(front: Front, i: number, levelMm: number): number {
  const [y0, y1, x0, x1] = [n(front, i), n(front, i + 1), n(front, i + 2), n(front, i + 3)];
  return Math.abs(x1 - x0) < 1e-9 ? y0 : y0 + ((y1 - y0) * (levelMm - x0)) / (x1 - x0);
}

/** How far from a row one way a front lies below a level. */
function edge(front: Front, at: number, step: 4 | -4, levelMm: number): number {
  const [near, far, end] = step > 0 ? [2, 3, 1] : [3, 2, 0];
  if (levelMm === Infinity) return step > 0 ? n(front, front.length - 3) : 0;
  if (n(front, at + far) > levelMm + AT_LEVEL_MM) return crossing(front, at, levelMm);
  let to = n(front, at + end);
  for (let i = at + step; i >= 0 && i < front.length; i += step) {
    if (n(front, i + near) >= levelMm - AT_LEVEL_MM) break;
    if (n(front, i + far) >= levelMm - AT_LEVEL_MM) return crossing(front, i, levelMm);
    to = n(front, i + end);
  }
  return to;
}

/** The deepest pit; a front that rises by no more than `slackMm` beside it has no wall there. */
export function deepestPit(front: Front, slackMm: number): Pit {
  let [least, at] = [Infinity, 0];
  for (let i = 0; i < front.length; i += 4) {
    const x = Math.min(n(front, i + 2), n(front, i + 3));
    if (x < least - AT_LEVEL_MM) [least, at] = [x, i];
  }
  const most = least + slackMm;
  const levelMm = Math.min(wall(front, at, -4, most), wall(front, at, 4, most));
  return { low: edge(front, at, -4, levelMm), high: edge(front, at, 4, levelMm), levelMm };
}
