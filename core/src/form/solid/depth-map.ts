import type { Point } from '../../geometry/point';
import type { SolidPart } from './solid';

/** A place on the picture, mm with y upwards, and how far behind the picture's plane it lies. */
export interface Seen extends Point {
  readonly depth: number;
}

/** How near the nearest thing is at each dot of a picture, rows of dots from the lowest up; infinitely far where nothing is. */
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

  /** Draws the triangles of a part that face the eye into it: those that turn away lie behind others of a closed solid. */
  draw({ triangles }: SolidPart, seen: readonly Seen[]): void {
    const dots = new Float64Array(3 * seen.length);
    seen.forEach((p, i) => {
      const { x, y } = this.dot(p);
      dots.set([x, y, p.depth], 3 * i);
    });
    for (let t = 0; t < triangles.length; t += 3)
      this.triangle(dots, 3 * (triangles[t] as number), 3 * (triangles[t + 1] as number), 3 * (triangles[t + 2] as number));
  }

  private triangle(dots: Float64Array, a: number, b: number, c: number): void {
    const [ax, ay, ad] = [dots[a] as number, dots[a + 1] as number, dots[a + 2] as number];
    const [bx, by, cx, cy] = [(dots[b] as number) - ax, (dots[b + 1] as number) - ay, (dots[c] as number) - ax, (dots[c + 1] as number) - ay];
    const twice = bx * cy - cx * by;
    if (twice <= 0) return;
    const [bd, cd] = [(dots[b + 2] as number) - ad, (dots[c + 2] as number) - ad];
    const [left, right] = [Math.ceil(ax + Math.min(0, bx, cx)), Math.floor(ax + Math.max(0, bx, cx))];
    const [low, high] = [Math.ceil(ay + Math.min(0, by, cy)), Math.floor(ay + Math.max(0, by, cy))];
    for (let y = low; y <= high; y++)
      for (let x = left; x <= right; x++) {
        const u = ((x - ax) * cy - cx * (y - ay)) / twice;
        const v = (bx * (y - ay) - (x - ax) * by) / twice;
        if (u < 0 || v < 0 || u + v > 1) continue;
        const depth = ad + u * bd + v * cd;
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
