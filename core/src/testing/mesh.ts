import type { Solid, SolidPart } from '../form/solid/solid';

/** A block of 200 × 100 × 50 with its six sides, as a part of cloth that lies on it as it is seen from above. */
export const BLOCK: SolidPart = {
  id: 'plate:top',
  piece: 'plate',
  kind: 'cover',
  material: 'cloth/main',
  positions: Float64Array.from([0, 0, 0, 200, 0, 0, 200, 100, 0, 0, 100, 0, 0, 0, 50, 200, 0, 50, 200, 100, 50, 0, 100, 50]),
  triangles: Uint32Array.from([0, 2, 1, 0, 3, 2, 4, 5, 6, 4, 6, 7, 0, 1, 5, 0, 5, 4, 1, 2, 6, 1, 6, 5, 2, 3, 7, 2, 7, 6, 3, 0, 4, 3, 4, 7]),
  uvs: Float64Array.from([0, 0, 200, 0, 200, 100, 0, 100, 0, 0, 200, 0, 200, 100, 0, 100]),
};

type P3 = readonly [number, number, number];

const at = ({ positions }: SolidPart, i: number): P3 => [positions[3 * i] ?? NaN, positions[3 * i + 1] ?? NaN, positions[3 * i + 2] ?? NaN];

/** The corners of each triangle of a part. */
export function trianglesOf(part: SolidPart): (readonly [P3, P3, P3])[] {
  return Array.from({ length: part.triangles.length / 3 }, (_, t) => {
    const [a, b, c] = [0, 1, 2].map((k) => at(part, part.triangles[3 * t + k] ?? NaN)) as [P3, P3, P3];
    return [a, b, c] as const;
  });
}

/** The parts that enclose a cushion. */
export const skinOf = ({ parts }: Solid): SolidPart[] => parts.filter(({ kind }) => kind === 'cover' || kind === 'board');

/** Sides of triangles that do not have exactly one partner running the other way, vertices within a ten-thousandth of a millimetre taken as one. */
export function openSides(parts: readonly SolidPart[]): number {
  const sides = new Map<string, number>();
  const key = (p: P3): string => p.map((mm) => Math.round(mm * 1e4)).join();
  for (const part of parts)
    for (const corners of trianglesOf(part))
      for (let k = 0; k < 3; k++) {
        const side = `${key(corners[k] as P3)}|${key(corners[(k + 1) % 3] as P3)}`;
        sides.set(side, (sides.get(side) ?? 0) + 1);
      }
  return [...sides].filter(([side, count]) => {
    const [from, to] = side.split('|');
    return count !== 1 || sides.get(`${to}|${from}`) !== 1;
  }).length;
}

/** Enclosed volume by the divergence theorem, mm³. */
export function volumeOf(parts: readonly SolidPart[]): number {
  return parts.reduce(
    (sum, part) =>
      sum +
      trianglesOf(part).reduce(
        (v, [a, b, c]) => v + (a[0] * (b[1] * c[2] - b[2] * c[1]) - a[1] * (b[0] * c[2] - b[2] * c[0]) + a[2] * (b[0] * c[1] - b[1] * c[0])) / 6,
        0,
      ),
    0,
  );
}

/** Area of a part in space, mm². */
export function areaOf(part: SolidPart): number {
  return trianglesOf(part).reduce((sum, [a, b, c]) => {
    const [u, v] = [b.map((x, k) => x - (a[k] ?? 0)), c.map((x, k) => x - (a[k] ?? 0))] as [number[], number[]];
    const cross = (i: number, j: number): number => (u[i] ?? 0) * (v[j] ?? 0) - (u[j] ?? 0) * (v[i] ?? 0);
    return sum + Math.hypot(cross(1, 2), cross(2, 0), cross(0, 1)) / 2;
  }, 0);
}

/** Area of a part on its piece, mm². */
export function areaOnPiece({ triangles, uvs }: SolidPart): number {
  let sum = 0;
  for (let t = 0; t < triangles.length; t += 3) {
    const [a, b, c] = [0, 1, 2].map((k) => [uvs[2 * (triangles[t + k] ?? 0)] ?? NaN, uvs[2 * (triangles[t + k] ?? 0) + 1] ?? NaN]) as [
      number[],
      number[],
      number[],
    ];
    sum += Math.abs(((b[0] ?? 0) - (a[0] ?? 0)) * ((c[1] ?? 0) - (a[1] ?? 0)) - ((c[0] ?? 0) - (a[0] ?? 0)) * ((b[1] ?? 0) - (a[1] ?? 0))) / 2;
  }
  return sum;
}
