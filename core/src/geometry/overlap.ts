import type { Point } from './point';

interface Edge {
  readonly from: Point;
  readonly to: Point;
}

const edgesOf = (ring: readonly Point[]): Edge[] => ring.map((from, i) => ({ from, to: ring[(i + 1) % ring.length] as Point }));

/** Where two edges cross, along x; null when they do not. */
function crossingX(a: Edge, b: Edge): number | null {
  const [ux, uy, vx, vy] = [a.to.x - a.from.x, a.to.y - a.from.y, b.to.x - b.from.x, b.to.y - b.from.y];
  const turn = ux * vy - uy * vx;
  if (turn === 0) return null;
  const [dx, dy] = [b.from.x - a.from.x, b.from.y - a.from.y];
  const s = (dx * vy - dy * vx) / turn;
  const t = (dx * uy - dy * ux) / turn;
  return s >= 0 && s <= 1 && t >= 0 && t <= 1 ? a.from.x + s * ux : null;
}

/** Heights at which an upright line enters and leaves a polygon, from below (even-odd). */
function heightsAt(edges: readonly Edge[], x: number): number[] {
  return edges
    .filter(({ from, to }) => from.x > x !== to.x > x)
    .map(({ from, to }) => from.y + ((to.y - from.y) * (x - from.x)) / (to.x - from.x))
    .sort((a, b) => a - b);
}

/**
 * Area that two simple polygons have in common, mm². Between two neighbouring corners or crossings, along x, what they share is bounded by straight
 * lines, so its height in the middle times the width is its area: exact but for rounding. Plain and slow; made for checking, not for searching.
 */
export function overlapArea(a: readonly Point[], b: readonly Point[]): number {
  const [one, other] = [edgesOf(a), edgesOf(b)];
  const xs = [...a, ...b].map((p) => p.x);
  for (const p of one) {
    for (const q of other) {
      const x = crossingX(p, q);
      if (x !== null) xs.push(x);
    }
  }
  xs.sort((p, q) => p - q);
  let area = 0;
  for (let i = 0; i + 1 < xs.length; i++) {
    const [from, to] = [xs[i] as number, xs[i + 1] as number];
    if (to - from <= 0) continue;
    const middle = (from + to) / 2;
    const [h, k] = [heightsAt(one, middle), heightsAt(other, middle)];
    let shared = 0;
    for (let p = 0; p + 1 < h.length; p += 2)
      for (let q = 0; q + 1 < k.length; q += 2)
        shared += Math.max(0, Math.min(h[p + 1] as number, k[q + 1] as number) - Math.max(h[p] as number, k[q] as number));
    area += shared * (to - from);
  }
  return area;
}
