import { contains, polygonArea } from '../geometry/polygon';
import type { Point } from '../geometry/point';

interface OnRing {
  readonly edge: number;
  readonly at: Point;
}

function lengthOf(ring: readonly Point[]): number {
  return ring.reduce((sum, a, i) => sum + Math.hypot(a.x - (ring[(i + 1) % ring.length] as Point).x, a.y - (ring[(i + 1) % ring.length] as Point).y), 0);
}

/** The place so far along a ring. */
function alongRing(ring: readonly Point[], distance: number): OnRing {
  let left = distance;
  for (let edge = 0; edge < ring.length; edge++) {
    const [a, b] = [ring[edge] as Point, ring[(edge + 1) % ring.length] as Point];
    const length = Math.hypot(a.x - b.x, a.y - b.y);
    if (left <= length) return { edge, at: { x: a.x + ((b.x - a.x) * left) / length, y: a.y + ((b.y - a.y) * left) / length } };
    left -= length;
  }
  return { edge: 0, at: ring[0] as Point };
}

/** The corners of a ring from one place on it on to another. */
function walk(ring: readonly Point[], from: OnRing, to: OnRing): Point[] {
  const corners: Point[] = [from.at];
  for (let edge = from.edge + 1; ; edge++) {
    corners.push(ring[edge % ring.length] as Point);
    if (edge % ring.length === to.edge) return [...corners, to.at];
  }
}

/** Whether a line stays inside a ring but for its ends. */
function staysInside(ring: readonly Point[], line: readonly Point[]): boolean {
  return line.slice(1).every((b, i) => {
    const a = line[i] as Point;
    return Array.from({ length: 19 }, (_, k) => (k + 1) / 20).every((t) => contains(ring, { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t }));
  });
}

/**
 * A rectangle `along` × `width` cut into crooked pieces, so that the length of its best lay is known. The largest piece is cut in two, again and again, by the shortest of six random
 * lines that leave each side at least 30 %; half of the lines have a kink. Each piece has an origin of its own, and half of them are turned by 180°.
 */
export function perfectCut(count: number, width: number, along: number, random: () => number): Point[][] {
  let parts: Point[][] = [
    [
      { x: 0, y: 0 },
      { x: along, y: 0 },
      { x: along, y: width },
      { x: 0, y: width },
    ],
  ];
  const size = (ring: readonly Point[]): number => Math.abs(polygonArea(ring));
  for (let tries = 0; parts.length < count && tries < 20_000; tries++) {
    parts.sort((a, b) => size(b) - size(a));
    const ring = parts[0] as Point[];
    const round = lengthOf(ring);
    const lines = Array.from({ length: 6 }, () => {
      const start = random() * round;
      return [alongRing(ring, start), alongRing(ring, (start + round * (0.4 + 0.2 * random())) % round)] as const;
    }).filter(([a, b]) => a.edge !== b.edge);
    const span = ([a, b]: readonly [OnRing, OnRing]): number => Math.hypot(a.at.x - b.at.x, a.at.y - b.at.y);
    const chosen = [...lines].sort((p, q) => span(p) - span(q))[0];
    if (!chosen) continue;
    const [a, b] = chosen;
    const bend = (random() - 0.5) * 0.4;
    const kink = random() < 0.5 ? [{ x: (a.at.x + b.at.x) / 2 + (b.at.y - a.at.y) * bend, y: (a.at.y + b.at.y) / 2 - (b.at.x - a.at.x) * bend }] : [];
    if (!staysInside(ring, [a.at, ...kink, b.at])) continue;
    const halves = [
      [...walk(ring, a, b), ...[...kink].reverse()],
      [...walk(ring, b, a), ...kink],
    ];
    const fair =
      halves.every((half) => size(half) > 0.3 * size(ring)) && Math.abs(halves.reduce((sum, half) => sum + size(half), 0) - size(ring)) < 1e-6 * size(ring);
    if (fair) parts = [...parts.slice(1), ...halves];
  }
  return parts.map((ring) => {
    const turn = random() < 0.5 ? -1 : 1;
    const origin = ring[0] as Point;
    return ring.map((p) => ({ x: turn * (p.x - origin.x), y: turn * (p.y - origin.y) }));
  });
}
