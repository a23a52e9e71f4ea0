import type { Point } from '../geometry/point';
import { bounds } from '../geometry/outline';

/** Where a level line runs inside an outline: from one crossing of its edge to the next. */
export interface Chord {
  readonly from: number;
  readonly to: number;
}

/** The stretches of the line on which `axis` is `at` that lie inside a polygon, ascending. */
export function chordsOf(polygon: readonly Point[], axis: 'x' | 'y', at: number): Chord[] {
  const other = axis === 'x' ? 'y' : 'x';
  const crossings: number[] = [];
  polygon.forEach((a, i) => {
    const b = polygon[(i + 1) % polygon.length] as Point;
    if (a[axis] > at === b[axis] > at) return;
    crossings.push(a[other] + ((at - a[axis]) / (b[axis] - a[axis])) * (b[other] - a[other]));
  });
  crossings.sort((p, q) => p - q);
  return Array.from({ length: Math.floor(crossings.length / 2) }, (_, i) => ({ from: crossings[2 * i] as number, to: crossings[2 * i + 1] as number }));
}

/** A square grid of nodes, row by row from the front left; mm. */
interface Grid {
  readonly x0: number;
  readonly y0: number;
  readonly step: number;
  readonly columns: number;
  readonly rows: number;
}

/** Heights on a grid, as shares of the highest. */
export interface Surface extends Grid {
  /** Outside the edge it goes on below nothing, so that level lines near the edge lie where they should. */
  readonly values: Float64Array;
}

/** The membrane over an outline on a grid: ∇²u = −1 inside, 0 on the edge, scaled so that its highest point is 1. */
export interface Membrane extends Surface {
  readonly polygon: readonly Point[];
  /** The highest point. */
  readonly top: Point;
}

/** Grid steps across an outline as wide as its area's root: errors of lengths come out well under half a per cent. */
const STEPS = 96;
/** A node nearer to the edge than this share of a step lies on it. */
const ON_EDGE = 1e-3;
/** Heights that change less than this share of the highest in a round have settled: what is left is some sixteen times that, far below the grid’s own error. */
const SETTLED = 1e-6;
const MOST_ROUNDS = 4000;

/** For each node the clear way to the edge in one direction, at most one step; 0 for a node that is not inside. */
interface Reach {
  readonly left: Float64Array;
  readonly right: Float64Array;
  readonly down: Float64Array;
  readonly up: Float64Array;
}

function reaches(polygon: readonly Point[], { x0, y0, step, columns, rows }: Grid): Reach {
  const make = (): Float64Array => new Float64Array(columns * rows);
  const reach: Reach = { left: make(), right: make(), down: make(), up: make() };
  for (let row = 0; row < rows; row++)
    for (const { from, to } of chordsOf(polygon, 'y', y0 + row * step))
      for (let column = Math.max(0, Math.ceil((from - x0) / step)); column < columns && x0 + column * step < to; column++) {
        const x = x0 + column * step;
        reach.left[row * columns + column] = Math.min(step, x - from);
        reach.right[row * columns + column] = Math.min(step, to - x);
      }
  for (let column = 0; column < columns; column++)
    for (const { from, to } of chordsOf(polygon, 'x', x0 + column * step))
      for (let row = Math.max(0, Math.ceil((from - y0) / step)); row < rows && y0 + row * step < to; row++) {
        const y = y0 + row * step;
        reach.down[row * columns + column] = Math.min(step, y - from);
        reach.up[row * columns + column] = Math.min(step, to - y);
      }
  return reach;
}

/**
 * Solves the membrane over a simple polygon by finite differences with the edge where it really is (Shortley and Weller, 1938) and successive
 * over-relaxation. `steps` is the fineness; the error falls with its square on smooth outlines.
 */
export function membrane(polygon: readonly Point[], areaMm2: number, steps = STEPS): Membrane {
  const { inside, reach, height, ...surface } = relaxed(polygon, areaMm2, steps);
  const { values, columns, step } = surface;
  for (const i of inside) values[i] = (values[i] as number) / (height || 1);
  goOnBelow(values, inside, reach, columns, step);
  return { polygon, ...surface };
}

/** A grid coarser than this is not worth starting from a coarser one still. */
const COARSEST = 24;

interface Relaxed extends Surface {
  readonly top: Point;
  readonly height: number;
  /** Nodes inside the outline. */
  readonly inside: readonly number[];
  readonly reach: Reach;
}

/** Heights before they are scaled, nothing outside. Begun from the same surface on half as many steps, which is most of the way. */
function relaxed(polygon: readonly Point[], areaMm2: number, steps: number): Relaxed {
  const box = bounds(polygon);
  const step = Math.sqrt(areaMm2) / steps;
  // Half a step of odds keeps straight edges off the nodes.
  const [x0, y0] = [box.minX - step * 0.5, box.minY - step * 0.5];
  const columns = Math.ceil((box.maxX - x0) / step) + 2;
  const rows = Math.ceil((box.maxY - y0) / step) + 2;
  const grid: Grid = { x0, y0, step, columns, rows };
  const reach = reaches(polygon, grid);
  const { left, right, down, up } = reach;
  const least = ON_EDGE * step;
  const inside: number[] = [];
  for (let i = 0; i < columns * rows; i++)
    if ((left[i] ?? 0) > least && (right[i] ?? 0) > least && (down[i] ?? 0) > least && (up[i] ?? 0) > least) inside.push(i);

  const count = inside.length;
  const weights = new Float64Array(count * 5);
  inside.forEach((i, n) => {
    const [l, r, d, u] = [left[i] ?? step, right[i] ?? step, down[i] ?? step, up[i] ?? step];
    const [wl, wr, wd, wu] = [2 / (l * (l + r)), 2 / (r * (l + r)), 2 / (d * (d + u)), 2 / (u * (d + u))];
    // A neighbour beyond the edge counts as the edge itself, which is at nothing.
    weights[5 * n] = l < step * (1 - 1e-12) ? 0 : wl;
    weights[5 * n + 1] = r < step * (1 - 1e-12) ? 0 : wr;
    weights[5 * n + 2] = d < step * (1 - 1e-12) ? 0 : wd;
    weights[5 * n + 3] = u < step * (1 - 1e-12) ? 0 : wu;
    weights[5 * n + 4] = 1 / (wl + wr + wd + wu);
  });
  const values = new Float64Array(columns * rows);
  const start = steps >= 2 * COARSEST ? relaxed(polygon, areaMm2, steps / 2) : null;
  if (start) for (const i of inside) values[i] = heightAt(start, { x: x0 + (i % columns) * step, y: y0 + Math.floor(i / columns) * step });
  const span = Math.max(columns, rows);
  const relax = 2 / (1 + Math.sin(Math.PI / span));
  for (let round = 0; round < MOST_ROUNDS; round++) {
    let [change, most] = [0, 0];
    for (let n = 0; n < count; n++) {
      const i = inside[n] as number;
      const k = 5 * n;
      const around =
        (weights[k] as number) * (values[i - 1] as number) +
        (weights[k + 1] as number) * (values[i + 1] as number) +
        (weights[k + 2] as number) * (values[i - columns] as number) +
        (weights[k + 3] as number) * (values[i + columns] as number);
      const now = values[i] as number;
      const by = relax * ((1 + around) * (weights[k + 4] as number) - now);
      values[i] = now + by;
      change = Math.max(change, Math.abs(by));
      most = Math.max(most, now);
    }
    if (change <= SETTLED * most) break;
  }
  const { top, height } = highest(values, grid);
  return { ...grid, values, top, height, inside, reach };
}

/** The highest point between nodes, by the parabolas through the highest node and its neighbours. */
function highest(values: Float64Array, { x0, y0, step, columns, rows }: Grid): { readonly top: Point; readonly height: number } {
  let best = 0;
  for (let i = 0; i < columns * rows; i++) if ((values[i] ?? 0) > (values[best] ?? 0)) best = i;
  const at = values[best] ?? 0;
  const peak = (before: number, after: number): readonly [shift: number, more: number] => {
    const bend = before - 2 * at + after;
    if (bend >= 0) return [0, 0];
    const shift = (before - after) / (2 * bend);
    return [shift, -((before - after) ** 2) / (8 * bend)];
  };
  const [dx, mx] = peak(values[best - 1] ?? 0, values[best + 1] ?? 0);
  const [dy, my] = peak(values[best - columns] ?? 0, values[best + columns] ?? 0);
  return { top: { x: x0 + ((best % columns) + dx) * step, y: y0 + (Math.floor(best / columns) + dy) * step }, height: at + mx + my };
}

/** Nodes just outside go on below nothing along the way that crosses the edge there. */
function goOnBelow(values: Float64Array, inside: readonly number[], reach: Reach, columns: number, step: number): void {
  const isInside = new Uint8Array(values.length);
  for (const i of inside) isInside[i] = 1;
  const below = (i: number, neighbour: number, clear: number): void => {
    if (isInside[neighbour]) return;
    const value = (-(values[i] ?? 0) * (step - clear)) / clear;
    values[neighbour] = (values[neighbour] ?? 0) === 0 ? value : Math.max(values[neighbour] ?? 0, value);
  };
  for (const i of inside) {
    below(i, i - 1, reach.left[i] ?? step);
    below(i, i + 1, reach.right[i] ?? step);
    below(i, i - columns, reach.down[i] ?? step);
    below(i, i + columns, reach.up[i] ?? step);
  }
}

/** Height at a point by the four nodes round it, 0 to 1; nothing outside. */
export function heightAt({ x0, y0, step, columns, rows, values }: Surface, { x, y }: Point): number {
  const [cx, cy] = [(x - x0) / step, (y - y0) / step];
  const [column, row] = [Math.floor(cx), Math.floor(cy)];
  if (column < 0 || row < 0 || column >= columns - 1 || row >= rows - 1) return 0;
  const [fx, fy] = [cx - column, cy - row];
  const at = (dx: number, dy: number): number => values[(row + dy) * columns + column + dx] ?? 0;
  return Math.max(0, (at(0, 0) * (1 - fx) + at(1, 0) * fx) * (1 - fy) + (at(0, 1) * (1 - fx) + at(1, 1) * fx) * fy);
}
