import { bounds } from '../../geometry/outline';
import type { Point } from '../../geometry/point';

/** Most material added outside a curve, mm: a round edge that is this much wider has few corners. */
const ADDED_MM = 0.1;
/** A piece with more corners, or more inward corners, than this is simplified further: each inward corner needs another convex part. */
const ENOUGH = 56;
const ENOUGH_INWARD = 6;
/** Most passes with one tolerance: each starts from the ring before it, so additions add up. */
const PASSES = 6;
/** Largest tolerance by default, mm. */
const BOLDEST_MM = 12;

/** A corner that can go: the corner itself (inward), or it and the next with the meeting of their outer sides in their place. */
interface Removal {
  /** The corners it stands on: the one that goes is the second, and of an edge the third as well. */
  readonly around: readonly Point[];
  readonly tip: Point | null;
  readonly addedMm: number;
}

const cross = (o: Point, a: Point, b: Point): number => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);

/** Where the line from `a` beyond `b` and the line from `d` beyond `c` meet; null when they do not. */
function meeting(a: Point, b: Point, c: Point, d: Point): Point | null {
  const [ux, uy, vx, vy] = [b.x - a.x, b.y - a.y, c.x - d.x, c.y - d.y];
  const turn = ux * vy - uy * vx;
  if (Math.abs(turn) < 1e-12) return null;
  const s = ((d.x - a.x) * vy - (d.y - a.y) * vx) / turn;
  const t = ((d.x - a.x) * uy - (d.y - a.y) * ux) / turn;
  return s >= 1 && t >= 1 ? { x: a.x + s * ux, y: a.y + s * uy } : null;
}

/**
 * A simple counter-clockwise ring with fewer corners that holds the given one and has the same box: inward corners are cut across,
 * edges of an outward curve carried on until they meet, whatever adds least first. Straight sides stay where they are. A pass adds `boldestMm` at most.
 */
export function wider(ring: readonly Point[], boldestMm = BOLDEST_MM): Point[] {
  const box = bounds(ring);
  const inBox = (p: Point): boolean => p.x >= box.minX - 1e-9 && p.x <= box.maxX + 1e-9 && p.y >= box.minY - 1e-9 && p.y <= box.maxY + 1e-9;
  let now: readonly Point[] = ring;
  const at = (i: number): Point => now[i % now.length] as Point;

  function removal(i: number): Removal | null {
    const [a, b, c, d] = [at(i), at(i + 1), at(i + 2), at(i + 3)];
    const turn = cross(a, b, c);
    if (turn <= 0) return { around: [a, b, c], tip: null, addedMm: Math.abs(turn) / Math.max(1e-9, Math.hypot(c.x - a.x, c.y - a.y)) };
    if (cross(b, c, d) <= 0) return null;
    const tip = meeting(a, b, c, d);
    return tip && inBox(tip) ? { around: [a, b, c, d], tip, addedMm: Math.abs(cross(b, c, tip)) / Math.hypot(c.x - b.x, c.y - b.y) } : null;
  }
  /** Whether another corner lies in the area that would be added: then it must not be added. */
  function taken({ around: [a, b, c], tip }: Removal): boolean {
    const triangle = (tip ? [b, tip, c] : [a, c, b]) as [Point, Point, Point];
    return now.some((p) => !triangle.includes(p) && triangle.every((from, k) => cross(from, triangle[(k + 1) % 3] as Point, p) > 0));
  }
  /** Removes the corners that add least, touching each corner once at most. Returns whether any was removed. */
  function pass(boldness: number): boolean {
    const touched = new Set<Point>();
    const tips = new Map<Point, Point | null>();
    const found = now
      .map((_, i) => removal(i))
      .filter((one): one is Removal => one !== null && one.addedMm <= boldness)
      .sort((one, other) => one.addedMm - other.addedMm);
    for (const one of found) {
      if (now.length - tips.size <= 4) break;
      if (one.around.some((p) => touched.has(p)) || taken(one)) continue;
      one.around.forEach((p) => touched.add(p));
      if (one.tip) tips.set(one.around[2] as Point, null);
      tips.set(one.around[1] as Point, one.tip);
    }
    now = now.flatMap((p) => {
      const tip = tips.get(p);
      return tip === undefined ? [p] : tip ? [tip] : [];
    });
    return tips.size > 0;
  }

  const inward = (): number => now.filter((_, i) => cross(at(i), at(i + 1), at(i + 2)) < -1e-7).length;
  for (let boldness = ADDED_MM, passes = 0; ;) {
    if (passes++ < PASSES && pass(boldness)) continue;
    if (boldness >= boldestMm || (now.length <= ENOUGH && inward() <= ENOUGH_INWARD)) return [...now];
    boldness = Math.min(boldestMm, boldness * 2);
    passes = 0;
  }
}
