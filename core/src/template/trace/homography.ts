import type { Point } from '../../geometry/point';

/** A projective map of the plane: nine numbers, row by row, the last one 1. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

export function mapPoint([a, b, c, d, e, f, g, h, i]: Homography, { x, y }: Point): Point {
  const w = g * x + h * y + i;
  return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w };
}

/** Solves n equations by elimination with pivots; null where they do not decide the unknowns. */
function solve(rows: number[][]): number[] | null {
  const n = rows.length;
  for (let column = 0; column < n; column++) {
    let pivot = column;
    for (let r = column + 1; r < n; r++) if (Math.abs(rows[r]?.[column] ?? 0) > Math.abs(rows[pivot]?.[column] ?? 0)) pivot = r;
    const [top, swap] = [rows[column] as number[], rows[pivot] as number[]];
    [rows[column], rows[pivot]] = [swap, top];
    const lead = swap[column] ?? 0;
    if (Math.abs(lead) < 1e-12) return null;
    for (let r = 0; r < n; r++) {
      if (r === column) continue;
      const row = rows[r] as number[];
      const times = (row[column] ?? 0) / lead;
      for (let k = column; k <= n; k++) row[k] = (row[k] ?? 0) - times * (swap[k] ?? 0);
    }
  }
  return rows.map((row, i) => (row[n] ?? 0) / (row[i] ?? 1));
}

/** Whether no three of four points lie on one line, measured against how far apart they are. */
function spans(points: readonly Point[]): boolean {
  const far = Math.max(...points.map((p) => Math.hypot(p.x - (points[0] as Point).x, p.y - (points[0] as Point).y)));
  return [0, 1, 2, 3].every((skip) => {
    const [a, b, c] = points.filter((_, i) => i !== skip) as [Point, Point, Point];
    return Math.abs((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x)) > 1e-3 * far * far;
  });
}

/** The map that takes four points to four others, exactly; null where three of them lie on a line. */
export function homography(from: readonly [Point, Point, Point, Point], to: readonly [Point, Point, Point, Point]): Homography | null {
  if (!spans(from) || !spans(to)) return null;
  const rows = from.flatMap((p, i) => {
    const q = to[i] as Point;
    return [
      [p.x, p.y, 1, 0, 0, 0, -q.x * p.x, -q.x * p.y, q.x],
      [0, 0, 0, p.x, p.y, 1, -q.y * p.x, -q.y * p.y, q.y],
    ];
  });
  const found = solve(rows);
  return found ? ([...found, 1] as unknown as Homography) : null;
}
