import { distance, type Point } from './point';

/** How far a point is from the stretch between two others. */
function away(p: Point, a: Point, b: Point): number {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const long = dx * dx + dy * dy;
  const share = long === 0 ? 0 : Math.max(0, Math.min(1, ((p.x - a.x) * dx + (p.y - a.y) * dy) / long));
  return distance(p, { x: a.x + share * dx, y: a.y + share * dy });
}

/** A line with those of its points left out that stray from it by less than `most` (Douglas and Peucker, 1973); both ends stay. */
export function thinned(line: readonly Point[], most: number): Point[] {
  if (line.length < 3) return [...line];
  const keep = new Set([0, line.length - 1]);
  const open: [number, number][] = [[0, line.length - 1]];
  for (let stretch = open.pop(); stretch; stretch = open.pop()) {
    const [from, to] = stretch;
    let [worst, at] = [most, -1];
    for (let i = from + 1; i < to; i++) {
      const strays = away(line[i] as Point, line[from] as Point, line[to] as Point);
      if (strays > worst) [worst, at] = [strays, i];
    }
    if (at < 0) continue;
    keep.add(at);
    open.push([from, at], [at, to]);
  }
  return line.filter((_, i) => keep.has(i));
}
