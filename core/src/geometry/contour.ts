import type { Point } from './point';

/**
 * The longest contour on which a field of values crosses a level, by marching squares with the crossing set between cells by their values; cells are
 * points at their indices. Counter-clockwise in a frame with y upwards is not promised: see the area's sign.
 */
export function contour(field: Float32Array | Float64Array, width: number, height: number, level: number): Point[] {
  const at = (x: number, y: number): number => (x < 0 || y < 0 || x >= width || y >= height ? 0 : (field[y * width + x] ?? 0));
  const between = (a: number, b: number): number => (a === b ? 0.5 : (level - a) / (b - a));
  // Edges of cells by a number: twice the corner's index, plus 1 for the upright one. Each crossing joins two edges of a cell.
  const joins = new Map<number, number[]>();
  const points = new Map<number, Point>();
  const [w, h] = [width + 2, height + 2];
  const edge = (x: number, y: number, upright: boolean): number => {
    const key = ((y + 1) * w + x + 1) * 2 + (upright ? 1 : 0);
    if (!points.has(key)) points.set(key, upright ? { x, y: y + between(at(x, y), at(x, y + 1)) } : { x: x + between(at(x, y), at(x + 1, y)), y });
    return key;
  };
  const join = (a: number, b: number): void => {
    joins.set(a, [...(joins.get(a) ?? []), b]);
    joins.set(b, [...(joins.get(b) ?? []), a]);
  };
  for (let y = -1; y < h - 2; y++)
    for (let x = -1; x < w - 2; x++) {
      const [p, q, r, s] = [at(x, y) >= level, at(x + 1, y) >= level, at(x + 1, y + 1) >= level, at(x, y + 1) >= level];
      const kind = (p ? 1 : 0) + (q ? 2 : 0) + (r ? 4 : 0) + (s ? 8 : 0);
      if (kind === 0 || kind === 15) continue;
      const top = (): number => edge(x, y, false);
      const right = (): number => edge(x + 1, y, true);
      const bottom = (): number => edge(x, y + 1, false);
      const left = (): number => edge(x, y, true);
      const crossed = [p !== q ? top : null, q !== r ? right : null, r !== s ? bottom : null, s !== p ? left : null].flatMap((one) => (one ? [one()] : []));
      if (crossed.length === 2) join(crossed[0] as number, crossed[1] as number);
      else {
        join(crossed[0] as number, crossed[3] as number);
        join(crossed[1] as number, crossed[2] as number);
      }
    }
  let longest: Point[] = [];
  const seen = new Set<number>();
  for (const start of joins.keys()) {
    if (seen.has(start)) continue;
    const ring: Point[] = [];
    let here: number | undefined = start;
    while (here !== undefined && !seen.has(here)) {
      seen.add(here);
      ring.push(points.get(here) as Point);
      here = joins.get(here)?.find((next) => !seen.has(next));
    }
    if (ring.length > longest.length) longest = ring;
  }
  return longest;
}
