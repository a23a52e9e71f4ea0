import { bounds } from '../../geometry/outline';
import type { Point } from '../../geometry/point';

/** Material added outside a curve at most, mm: a round edge that is laid by so much wider has few corners. */
const ADDED_MM = 0.15;
/** A piece of more corners than this, or of more inward corners, is made simpler more boldly: each inward corner asks for another convex part. */
const ENOUGH = 48;
const ENOUGH_INWARD = 5;
/** The boldest there is, mm. */
const BOLDEST_MM = 12;

/** A corner that can go: the corner itself (inward), or it and the next with the meeting of their outer sides in their place. */
interface Removal {
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
 * edges of an outward curve carried on until they meet, whatever adds least first. Straight sides stay where they are.
 */
export function wider(ring: readonly Point[]): Point[] {
  const box = bounds(ring);
  const inBox = (p: Point): boolean => p.x >= box.minX - 1e-9 && p.x <= box.maxX + 1e-9 && p.y >= box.minY - 1e-9 && p.y <= box.maxY + 1e-9;
  const now = [...ring];
  const at = (i: number): Point => now[i % now.length] as Point;

  function removal(i: number): Removal | null {
    const [a, b, c, d] = [at(i), at(i + 1), at(i + 2), at(i + 3)];
    const turn = cross(a, b, c);
    if (turn <= 0) return { tip: null, addedMm: Math.abs(turn) / Math.max(1e-9, Math.hypot(c.x - a.x, c.y - a.y)) };
    if (cross(b, c, d) <= 0) return null;
    const tip = meeting(a, b, c, d);
    return tip && inBox(tip) ? { tip, addedMm: Math.abs(cross(b, c, tip)) / Math.hypot(c.x - b.x, c.y - b.y) } : null;
  }
  /** Whether another corner lies in what would be added: then it is not free. */
  function taken(i: number, { tip }: Removal): boolean {
    const [a, b, c] = [at(i), at(i + 1), at(i + 2)];
    const triangle: readonly Point[] = tip ? [b, tip, c] : [a, c, b];
    return now.some((p) => !triangle.includes(p) && triangle.every((from, k) => cross(from, triangle[(k + 1) % 3] as Point, p) > 0));
  }

  let boldness = ADDED_MM;
  while (now.length > 4) {
    const found = now
      .map((_, i) => ({ i, removal: removal(i) }))
      .filter((one): one is { i: number; removal: Removal } => one.removal !== null && one.removal.addedMm <= boldness)
      .sort((one, other) => one.removal.addedMm - other.removal.addedMm)
      .find((one) => !taken(one.i, one.removal));
    if (found) {
      const drop = (found.i + 1) % now.length;
      if (found.removal.tip) {
        now[drop] = found.removal.tip;
        now.splice((drop + 1) % now.length, 1);
      } else now.splice(drop, 1);
    } else if (boldness < BOLDEST_MM && (now.length > ENOUGH || now.filter((_, i) => cross(at(i), at(i + 1), at(i + 2)) < -1e-7).length > ENOUGH_INWARD))
      boldness *= 2;
    else break;
  }
  return now;
}
