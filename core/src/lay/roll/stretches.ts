import { TOUCH_MM, type NoFit } from './no-fit';

/** Most stretches on one line. More are left out: a better place may be missed, but none is wrongly taken as clear, because overlap is computed again. */
const MOST = 4096;
/** A smaller component of a direction counts as 0. */
const LEVEL = 1e-9;

/** A line that a piece's origin runs on: through (px, py) in a direction of length 1, from t0 to t1. */
export interface Line {
  readonly px: number;
  readonly py: number;
  readonly dx: number;
  readonly dy: number;
  readonly t0: number;
  readonly t1: number;
}

/** A neighbour of the piece being placed: its origin, and the region the piece may not enter, which may be stored turned by 180°. */
export interface Neighbour {
  readonly noFit: NoFit;
  readonly sign: number;
  readonly x: number;
  readonly y: number;
}

/** The stretches of one line on which a piece would overlap a neighbour, and the places where it would touch one. Arrays are reused. */
export class Stretches {
  readonly low = new Float64Array(MOST);
  readonly high = new Float64Array(MOST);
  /** The neighbour and the region. */
  readonly owner = new Int32Array(MOST);
  readonly region = new Int32Array(MOST);
  /** Indices of the stretches in order of their start. */
  readonly order = new Int32Array(MOST);
  count = 0;
  /** Contacts: the ends of the union of one neighbour's regions. */
  readonly touches = new Float64Array(2 * MOST);
  touchCount = 0;
  #begin = 0;
  // The line relative to the current neighbour, and where it enters and leaves the current region.
  #qx = 0;
  #qy = 0;
  #ux = 0;
  #uy = 0;
  #t0 = 0;
  #t1 = 0;
  #enter = 0;
  #leave = 0;

  clear(): void {
    this.count = this.touchCount = 0;
  }

  /** Adds where a line crosses the regions of a neighbour. */
  add(owner: number, { noFit, sign, x, y }: Neighbour, { px, py, dx, dy, t0, t1 }: Line): void {
    // For a region that is stored turned, the line is turned instead.
    this.#qx = sign * (px - x);
    this.#qy = sign * (py - y);
    this.#ux = sign * dx;
    this.#uy = sign * dy;
    this.#t0 = t0;
    this.#t1 = t1;
    this.#begin = this.count;
    const [ax, bx] = [this.#qx + this.#ux * t0, this.#qx + this.#ux * t1];
    const [ay, by] = [this.#qy + this.#uy * t0, this.#qy + this.#uy * t1];
    // Slightly inside, so that a line along the edge of a box does not count as in it.
    const [minX, maxX] = ax < bx ? [ax + TOUCH_MM, bx - TOUCH_MM] : [bx + TOUCH_MM, ax - TOUCH_MM];
    const [minY, maxY] = ay < by ? [ay + TOUCH_MM, by - TOUCH_MM] : [by + TOUCH_MM, ay - TOUCH_MM];
    const { box } = noFit;
    for (let r = noFit.from; r < noFit.to && this.count < MOST; r++) {
      const b = 4 * r;
      if (maxX <= (box[b] as number) || minX >= (box[b + 1] as number) || maxY <= (box[b + 2] as number) || minY >= (box[b + 3] as number)) continue;
      if (this.#crosses(noFit, r)) this.#insert(owner, r);
    }
    this.#addTouches();
  }

  /** Whether the line runs through the inside of a region; stores where it enters and leaves. */
  #crosses(noFit: NoFit, r: number): boolean {
    const end = noFit.first[2 * r + 1] as number;
    const level = this.#ux === 0 || this.#uy === 0;
    if (end < 0 && level) this.#throughBox(noFit.box, 4 * r);
    else if (!this.#throughPlanes(noFit, 3 * (noFit.first[2 * r] as number), 3 * Math.abs(end))) return false;
    return this.#leave > this.#t0 + TOUCH_MM && this.#enter < this.#t1 - TOUCH_MM;
  }

  #throughBox(box: Float64Array, b: number): void {
    const along = this.#ux !== 0;
    const [way, at, low, high] = along ? [this.#ux, this.#qx, box[b], box[b + 1]] : [this.#uy, this.#qy, box[b + 2], box[b + 3]];
    this.#enter = way > 0 ? (low as number) - at : at - (high as number);
    this.#leave = way > 0 ? (high as number) - at : at - (low as number);
  }

  /** Clips the line at each half-plane of a region (Cyrus and Beck 1978). */
  #throughPlanes({ planes }: NoFit, from: number, to: number): boolean {
    const [ux, uy, qx, qy] = [this.#ux, this.#uy, this.#qx, this.#qy];
    const [least, most] = [this.#t0 + TOUCH_MM, this.#t1 - TOUCH_MM];
    let enter = -1e18;
    let leave = 1e18;
    for (let p = from; p < to; p += 3) {
      const nx = planes[p] as number;
      const ny = planes[p + 1] as number;
      const across = nx * ux + ny * uy;
      const inside = (planes[p + 2] as number) - nx * qx - ny * qy;
      if (across > LEVEL) {
        const t = inside / across;
        if (t < leave) leave = t;
        if (leave <= least || leave <= enter + TOUCH_MM) return false;
      } else if (across < -LEVEL) {
        const t = inside / across;
        if (t > enter) enter = t;
        if (enter >= most || leave <= enter + TOUCH_MM) return false;
      } else if (inside <= TOUCH_MM) return false;
    }
    this.#enter = enter;
    this.#leave = leave;
    return true;
  }

  /** Keeps the stretches of one neighbour in order of their start. */
  #insert(owner: number, r: number): void {
    const { low, high, region } = this;
    let at = this.count++;
    for (; at > this.#begin && (low[at - 1] as number) > this.#enter; at--) {
      low[at] = low[at - 1] as number;
      high[at] = high[at - 1] as number;
      region[at] = region[at - 1] as number;
    }
    low[at] = this.#enter;
    high[at] = this.#leave;
    region[at] = r;
    this.owner[this.count - 1] = owner;
  }

  #addTouches(): void {
    const { low, high, touches, count } = this;
    for (let q = this.#begin; q < count;) {
      let end = high[q] as number;
      if ((low[q] as number) >= this.#t0) touches[this.touchCount++] = low[q] as number;
      for (q++; q < count && (low[q] as number) < end - TOUCH_MM; q++) end = Math.max(end, high[q] as number);
      if (end <= this.#t1) touches[this.touchCount++] = end;
    }
  }

  /** Sorts all stretches by their start, once every neighbour has been added. */
  sort(): void {
    const { low, order, count } = this;
    for (let q = 0; q < count; q++) {
      const from = low[q] as number;
      let at = q;
      for (; at > 0 && (low[order[at - 1] as number] as number) > from; at--) order[at] = order[at - 1] as number;
      order[at] = q;
    }
  }
}
