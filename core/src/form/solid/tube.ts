import type { SolidPart, Vertex } from './solid';

const AROUND = 8;

const minus = (a: Vertex, b: Vertex): Vertex => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });
const dot = (a: Vertex, b: Vertex): number => a.x * b.x + a.y * b.y + a.z * b.z;
const crossed = (a: Vertex, b: Vertex): Vertex => ({ x: a.y * b.z - a.z * b.y, y: a.z * b.x - a.x * b.z, z: a.x * b.y - a.y * b.x });
const lengthOf = (a: Vertex): number => Math.hypot(a.x, a.y, a.z);
const scaled = (a: Vertex, by: number): Vertex => ({ x: a.x * by, y: a.y * by, z: a.z * by });
const unit = (a: Vertex): Vertex => scaled(a, 1 / (lengthOf(a) || 1));
const plus = (a: Vertex, b: Vertex): Vertex => ({ x: a.x + b.x, y: a.y + b.y, z: a.z + b.z });

/** A line in space, closed unless it is said to be open, with a direction at each point that the tube's first seam looks in. */
export interface Loop {
  readonly open?: true;
  readonly points: readonly Vertex[];
  readonly out: readonly Vertex[];
}

/** A cord along a closed line: a ring of eight sides, closed in itself. u runs along its strip, v round it from `flangeMm` up. */
export function tube(head: Pick<SolidPart, 'id' | 'piece' | 'kind' | 'material'>, { points, out }: Loop, radiusMm: number, flangeMm: number): SolidPart {
  const count = points.length;
  const at = (i: number): Vertex => points[((i % count) + count) % count] as Vertex;
  const positions: number[] = [];
  const uvs: number[] = [];
  const triangles: number[] = [];
  let along = 0;
  // The first ring stands twice, at the beginning of the strip and at its end.
  for (let i = 0; i <= count; i++) {
    const [before, after] = [unit(minus(at(i), at(i - 1))), unit(minus(at(i + 1), at(i)))];
    const way = unit(plus(before, after));
    const raw = out[i % count] as Vertex;
    const first = unit(minus(raw, scaled(way, dot(raw, way))));
    const second = crossed(way, first);
    // At a bend the ring stands half-way and is stretched, so that both arms keep their thickness.
    const stretch = Math.min(2, 1 / Math.max(0.5, dot(way, after)));
    const across = unit(minus(before, after));
    for (let k = 0; k < AROUND; k++) {
      const a = (2 * Math.PI * k) / AROUND;
      const spoke = plus(scaled(first, radiusMm * Math.cos(a)), scaled(second, radiusMm * Math.sin(a)));
      const bent = dot(spoke, across);
      const p = plus(at(i), plus(spoke, scaled(across, bent * (stretch - 1))));
      positions.push(p.x, p.y, p.z);
      uvs.push(along, flangeMm + (2 * Math.PI * radiusMm * k) / AROUND);
    }
    along += lengthOf(minus(at(i + 1), at(i)));
  }
  for (let i = 0; i < count; i++)
    for (let k = 0; k < AROUND; k++) {
      const [a, b] = [i * AROUND + k, i * AROUND + ((k + 1) % AROUND)];
      const [c, d] = [a + AROUND, b + AROUND];
      triangles.push(a, b, c, b, d, c);
    }
  return { ...head, positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles), uvs: Float64Array.from(uvs) };
}

/** A row of stitches along a line: each a slender body of eight sides, `longMm` of every `pitchMm`. */
export function stitchRow(
  head: Pick<SolidPart, 'id' | 'piece' | 'kind' | 'material'>,
  { points, out, open }: Loop,
  { pitchMm, longMm, thickMm }: { readonly pitchMm: number; readonly longMm: number; readonly thickMm: number },
): SolidPart {
  const positions: number[] = [];
  const uvs: number[] = [];
  const triangles: number[] = [];
  const count = points.length;
  let [done, next] = [0, pitchMm / 2];
  (open ? points.slice(0, -1) : points).forEach((from, i) => {
    const to = points[(i + 1) % count] as Vertex;
    const long = lengthOf(minus(to, from));
    const way = unit(minus(to, from));
    const raw = out[i] as Vertex;
    const up = unit(minus(raw, scaled(way, dot(raw, way))));
    const side = crossed(way, up);
    for (; next < done + long; next += pitchMm) {
      const middle = plus(from, scaled(way, next - done));
      const first = positions.length / 3;
      const ring = [up, side, scaled(up, -1), scaled(side, -1)].map((d) => plus(middle, scaled(d, thickMm / 2)));
      for (const p of [plus(middle, scaled(way, -longMm / 2)), ...ring, plus(middle, scaled(way, longMm / 2))]) {
        positions.push(p.x, p.y, p.z);
        uvs.push(next, 0);
      }
      for (let k = 0; k < 4; k++) {
        const [a, b] = [first + 1 + k, first + 1 + ((k + 1) % 4)];
        triangles.push(first, b, a, first + 5, a, b);
      }
    }
    done += long;
  });
  return { ...head, positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles), uvs: Float64Array.from(uvs) };
}
