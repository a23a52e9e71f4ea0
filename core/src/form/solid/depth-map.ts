import type { Point } from '../../geometry/point';
import type { SolidPart } from './solid';

/** A place on the picture, mm with y upwards, and how far behind the picture's plane it lies. */
export interface Seen extends Point {
  readonly depth: number;
}

/** How near the nearest thing is at each dot of a picture: rows of dots from the lowest up. `NaN`-free: where nothing is, it is infinitely far. */
export class DepthMap {
  readonly columns: number;
  readonly rows: number;
  readonly nearest: Float32Array;

  /** A picture of a box, mm, in dots of `dotMm`, with a free dot on every side. */
  constructor(
    private readonly minX: number,
    private readonly minY: number,
    maxX: number,
    maxY: number,
    readonly dotMm: number,
  ) {
    this.columns = Math.ceil((maxX - minX) / dotMm) + 3;
    this.rows = Math.ceil((maxY - minY) / dotMm) + 3;
    this.nearest = new Float32Array(this.columns * this.rows).fill(Infinity);
  }

  /** Where a place falls, in dots. */
  dot({ x, y }: Point): Point {
    return { x: (x - this.minX) / this.dotMm + 1, y: (y - this.minY) / this.dotMm + 1 };
  }

  /** Where a dot lies, mm. */
  place({ x, y }: Point): Point {
    return { x: (x - 1) * this.dotMm + this.minX, y: (y - 1) * this.dotMm + this.minY };
  }

  /** Draws every triangle of a part into it. */
  draw({ triangles }: SolidPart, seen: readonly Seen[]): void {
    for (let t = 0; t < triangles.length; t += 3) {
      const [a, b, c] = [0, 1, 2].map((k) => {
        const p = seen[triangles[t + k] as number] as Seen;
        return { ...this.dot(p), depth: p.depth };
      }) as [Seen, Seen, Seen];
      this.triangle(a, b, c);
    }
  }

  private triangle(a: Seen, b: Seen, c: Seen): void {
    const twice = (b.x - a.x) * (c.y - a.y) - (c.x - a.x) * (b.y - a.y);
    if (twice === 0) return;
    const [left, right] = [Math.ceil(Math.min(a.x, b.x, c.x)), Math.floor(Math.max(a.x, b.x, c.x))];
    const [low, high] = [Math.ceil(Math.min(a.y, b.y, c.y)), Math.floor(Math.max(a.y, b.y, c.y))];
    for (let y = low; y <= high; y++)
      for (let x = left; x <= right; x++) {
        const u = ((x - a.x) * (c.y - a.y) - (c.x - a.x) * (y - a.y)) / twice;
        const v = ((b.x - a.x) * (y - a.y) - (x - a.x) * (b.y - a.y)) / twice;
        if (u < 0 || v < 0 || u + v > 1) continue;
        const depth = a.depth + u * (b.depth - a.depth) + v * (c.depth - a.depth);
        const at = y * this.columns + x;
        if (depth < (this.nearest[at] as number)) this.nearest[at] = depth;
      }
  }

  /** Whether a place on a line is seen: nothing is nearer than it by more than `slackMm` at its dot, or at one beside it. A line along an edge has its edge's far side beside it. */
  sees(p: Seen, slackMm: number): boolean {
    const { x, y } = this.dot(p);
    const [column, row] = [Math.round(x), Math.round(y)];
    for (let dy = -1; dy <= 1; dy++)
      for (let dx = -1; dx <= 1; dx++) if (p.depth <= (this.nearest[(row + dy) * this.columns + column + dx] ?? Infinity) + slackMm) return true;
    return false;
  }
}
