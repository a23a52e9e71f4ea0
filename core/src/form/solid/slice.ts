import type { Point } from '../../geometry/point';
import { triangulate } from './triangulate';
import type { SolidPart } from './solid';

/** A level plane through a solid: upright across (`x`) or along (`y`), or level (`z`), at so many millimetres. */
export interface SlicePlane {
  readonly axis: 'x' | 'y' | 'z';
  readonly at: number;
}

const AXES = { x: 0, y: 1, z: 2 } as const;
/** Places nearer than this are one, mm. */
const SAME = 1e3;
/** The plane is moved by this much, mm, so that it meets no vertex exactly. */
const OFF = 1.7e-4;

/** What a plane cuts of parts that enclose something together, as triangles in space, x, y, z of each corner; empty where it meets nothing. */
export function sliceOf(parts: readonly SolidPart[], { axis, at }: SlicePlane): Float32Array {
  const level = at + OFF;
  const a = AXES[axis];
  const [u, v] = [0, 1, 2].filter((k) => k !== a) as [number, number];
  const ends = new Map<string, { readonly p: Point; readonly next: string[] }>();
  const key = (p: Point): string => `${Math.round(p.x * SAME)}|${Math.round(p.y * SAME)}`;
  const put = (p: Point): { readonly next: string[] } => {
    const found = ends.get(key(p)) ?? { p, next: [] };
    ends.set(key(p), found);
    return found;
  };
  for (const { positions, triangles } of parts)
    for (let t = 0; t < triangles.length; t += 3) {
      const corners = [0, 1, 2].map((k) => 3 * (triangles[t + k] as number));
      const places: Point[] = [];
      for (let k = 0; k < 3; k++) {
        const [p, q] = [corners[k] as number, corners[(k + 1) % 3] as number];
        const [from, to] = [(positions[p + a] as number) - level, (positions[q + a] as number) - level];
        if (from > 0 === to > 0) continue;
        const share = from / (from - to);
        const on = (axisAt: number): number =>
          (positions[p + axisAt] as number) + ((positions[q + axisAt] as number) - (positions[p + axisAt] as number)) * share;
        places.push({ x: on(u), y: on(v) });
      }
      const [p, q] = places;
      if (!p || !q || key(p) === key(q)) continue;
      put(p).next.push(key(q));
      put(q).next.push(key(p));
    }
  return Float32Array.from(
    loopsOf(ends)
      .flatMap((loop) => filled(loop))
      .flatMap((p) => inSpace(p, { a, u, v, at })),
  );
}

/** The closed lines that the cut's short stretches make. */
function loopsOf(ends: ReadonlyMap<string, { readonly p: Point; readonly next: readonly string[] }>): Point[][] {
  const seen = new Set<string>();
  const loops: Point[][] = [];
  for (const start of ends.keys()) {
    if (seen.has(start)) continue;
    const loop: Point[] = [];
    for (let at: string | undefined = start; at !== undefined && !seen.has(at);) {
      seen.add(at);
      const here: { readonly p: Point; readonly next: readonly string[] } | undefined = ends.get(at);
      if (!here) break;
      loop.push(here.p);
      at = here.next.find((other) => !seen.has(other));
    }
    if (loop.length > 2) loops.push(loop);
  }
  return loops;
}

/** A closed line filled with triangles, their corners one after the other. */
function filled(loop: readonly Point[]): Point[] {
  const edges = loop.map((_, i) => [i, (i + 1) % loop.length] as const);
  return triangulate(loop, loop.length, edges).flatMap((corners) => corners.map((i) => loop[i] as Point));
}

function inSpace({ x, y }: Point, { a, u, v, at }: { readonly a: number; readonly u: number; readonly v: number; readonly at: number }): number[] {
  const place = [0, 0, 0];
  place[a] = at;
  place[u] = x;
  place[v] = y;
  return place;
}
