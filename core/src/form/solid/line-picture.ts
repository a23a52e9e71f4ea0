import { contour } from '../../geometry/contour';
import { thinned } from '../../geometry/thinned';
import type { Point } from '../../geometry/point';
import { projected, type View3 } from '../stage';
import { DepthMap, type Seen } from './depth-map';
import { shaded } from './normals';
import type { Solid, SolidPart } from './solid';

/** A line of the picture: a seam between two pieces, where a surface turns away from the eye, a cord, or a thread of a ridge, a roll or a stitch. */
export interface PictureLine {
  readonly kind: 'seam' | 'turn' | 'cord' | 'stitch';
  readonly points: readonly Point[];
}

/** A solid as a line drawing: only what is seen of it. Millimetres in the plane of the picture, y upwards. */
export interface LinePicture {
  /** All that the solid covers, counted once: its outer line. */
  readonly outline: readonly Point[];
  readonly lines: readonly PictureLine[];
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** Dots along the picture's longer side where it is not said: what is hidden is found to one of them. */
export const PICTURE_DOTS = 640;
/** Points of a line that stray less than this from it are left out, dots. */
const STRAY_DOTS = 0.4;
/** A line is looked at in steps of so many dots. */
const STEP_DOTS = 0.75;
/** A thing this much nearer than a line hides it, dots. */
const SLACK_DOTS = 1.5;
/** The middle of a cord lies behind its own surface, and half of it may be drawn into the seam, mm. */
const CORD_SLACK_MM = 9;
/** Rings of a thread further apart than so many times the usual belong to two stitches. */
const GAP = 6;
/** The outer line follows dots: it is smoothed over as many. */
const OUTER_STRAY_DOTS = 0.8;

type Stretch = readonly [Seen, Seen];

/** Places that agree to this are one, mm. */
const SAME_MM = 1e-3;
const placeKey = ({ positions }: SolidPart, i: number): string => [0, 1, 2].map((axis) => Math.round((positions[3 * i + axis] as number) / SAME_MM)).join();

/** The direction that a triangle of a part looks in, as long as twice its area. */
function normalOf({ positions, triangles }: SolidPart, t: number): readonly [number, number, number] {
  const [a, b, c] = [0, 1, 2].map((k) => 3 * (triangles[t + k] as number)) as [number, number, number];
  const side = (to: number, axis: number): number => (positions[to + axis] as number) - (positions[a + axis] as number);
  const [ux, uy, uz, vx, vy, vz] = [side(b, 0), side(b, 1), side(b, 2), side(c, 0), side(c, 1), side(c, 2)];
  return [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
}

/** Whether two directions differ by so much that the cloth between them is folded: by 45° or more. */
function isFold(one: readonly [number, number, number], other: readonly [number, number, number]): boolean {
  const dot = one[0] * other[0] + one[1] * other[1] + one[2] * other[2];
  return dot < Math.SQRT1_2 * Math.hypot(...one) * Math.hypot(...other);
}

/** Sides of triangles on which two parts meet, on which one is folded, or that belong to one triangle only. */
function seamsOf(parts: readonly SolidPart[], seen: readonly (readonly Seen[])[]): Stretch[] {
  const places = new Map<string, number>();
  const numbers = parts.map((part) =>
    Array.from({ length: part.positions.length / 3 }, (_, i) => {
      const key = placeKey(part, i);
      const known = places.get(key) ?? places.size;
      places.set(key, known);
      return known;
    }),
  );
  const sides = new Map<
    number,
    { readonly stretch: Stretch; readonly part: number; readonly normal: readonly [number, number, number]; count: number; seam: boolean }
  >();
  parts.forEach((part, n) => {
    const { triangles } = part;
    for (let t = 0; t < triangles.length; t += 3) {
      const normal = normalOf(part, t);
      for (let k = 0; k < 3; k++) {
        const [a, b] = [triangles[t + k] as number, triangles[t + ((k + 1) % 3)] as number];
        const [one, other] = [numbers[n]?.[a] ?? 0, numbers[n]?.[b] ?? 0];
        const key = Math.min(one, other) * places.size + Math.max(one, other);
        const side = sides.get(key);
        if (!side) sides.set(key, { stretch: [seen[n]?.[a] as Seen, seen[n]?.[b] as Seen], part: n, normal, count: 1, seam: false });
        else {
          side.count++;
          side.seam ||= side.part !== n || isFold(side.normal, normal);
        }
      }
    }
  });
  return [...sides.values()].filter(({ seam, count }) => seam || count === 1).map(({ stretch }) => stretch);
}

/** The middle of a cord or a thread, from ring to ring: the vertices of a ring lie as far along its strip. A gap parts one stitch from the next. */
function middleOf({ positions, uvs }: SolidPart, see: (x: number, y: number, z: number) => Seen): Stretch[] {
  const rings: { u: number; sum: [number, number, number]; count: number }[] = [];
  for (let i = 0; i < positions.length / 3; i++) {
    const u = uvs[2 * i] as number;
    let ring = rings.at(-1);
    if (ring?.u !== u) rings.push((ring = { u, sum: [0, 0, 0], count: 0 }));
    for (const axis of [0, 1, 2] as const) ring.sum[axis] += positions[3 * i + axis] as number;
    ring.count++;
  }
  const middles = rings.map(({ sum, count }) => sum.map((value) => value / count) as [number, number, number]);
  const apart = middles.slice(1).map((p, i) => Math.hypot(...p.map((value, axis) => value - (middles[i]?.[axis] ?? 0))));
  const usual = [...apart].sort((p, q) => p - q)[Math.floor(apart.length / 2)] ?? 0;
  return apart.flatMap((mm, i): Stretch[] =>
    mm > GAP * usual ? [] : [[see(...(middles[i] as [number, number, number])), see(...(middles[i + 1] as [number, number, number]))]],
  );
}

/** Where a surface turns away from the eye: through each triangle on which it does, by its normals. */
function turnsOf(part: SolidPart, see: (x: number, y: number, z: number) => Seen, toward: readonly [number, number, number]): Stretch[] {
  const { positions, normals, triangles } = shaded(part);
  const facing = Float64Array.from({ length: positions.length / 3 }, (_, i) =>
    [0, 1, 2].reduce((sum, axis) => sum + (normals[3 * i + axis] as number) * (toward[axis] as number), 0),
  );
  const stretches: Stretch[] = [];
  for (let t = 0; t < triangles.length; t += 3) {
    const corners = [0, 1, 2].map((k) => triangles[t + k] as number);
    const crossings = corners.flatMap((a, k): Seen[] => {
      const b = corners[(k + 1) % 3] as number;
      const [f, g] = [facing[a] as number, facing[b] as number];
      if (f > 0 === g > 0) return [];
      const [x, y, z] = [0, 1, 2].map((axis) => {
        const [p, q] = [positions[3 * a + axis] as number, positions[3 * b + axis] as number];
        return p + ((q - p) * f) / (f - g);
      }) as [number, number, number];
      return [see(x, y, z)];
    });
    if (crossings.length === 2) stretches.push([crossings[0] as Seen, crossings[1] as Seen]);
  }
  return stretches;
}

/** What is seen of some stretches, joined to lines where their ends meet. */
function seenLines(kind: PictureLine['kind'], stretches: readonly Stretch[], map: DepthMap, slackMm = SLACK_DOTS * map.dotMm): PictureLine[] {
  const { dotMm } = map;
  const pieces = stretches.flatMap(([a, b]): [Point, Point][] => {
    const steps = Math.max(1, Math.ceil(Math.hypot(b.x - a.x, b.y - a.y) / (STEP_DOTS * dotMm)));
    const at = (share: number): Seen => ({ x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share, depth: a.depth + (b.depth - a.depth) * share });
    const runs: [Point, Point][] = [];
    let open = false;
    for (let i = 0; i < steps; i++) {
      const visible = map.sees(at((i + 0.5) / steps), slackMm);
      if (visible && open) (runs.at(-1) as [Point, Point])[1] = at((i + 1) / steps);
      else if (visible) runs.push([at(i / steps), at((i + 1) / steps)]);
      open = visible;
    }
    return runs;
  });
  return joined(pieces, dotMm).map((points) => ({ kind, points: thinned(points, STRAY_DOTS * dotMm) }));
}

/** Stretches joined end to end where their ends are in one place, to a fifth of a dot. */
function joined(pieces: readonly (readonly [Point, Point])[], dotMm: number): Point[][] {
  const key = ({ x, y }: Point): string => `${Math.round((5 * x) / dotMm)},${Math.round((5 * y) / dotMm)}`;
  const ends = new Map<string, number[]>();
  pieces.forEach(([a, b], i) => {
    for (const end of [key(a), key(b)]) ends.set(end, [...(ends.get(end) ?? []), i]);
  });
  const used = new Set<number>();
  const onFrom = (line: Point[]): void => {
    for (;;) {
      const last = line.at(-1) as Point;
      const next = (ends.get(key(last)) ?? []).filter((i) => !used.has(i));
      // At a fork nobody knows which way the line goes on.
      if (next.length !== 1) return;
      const [i] = next as [number];
      used.add(i);
      const [a, b] = pieces[i] as readonly [Point, Point];
      line.push(key(a) === key(last) ? b : a);
    }
  };
  return pieces.flatMap((piece, i) => {
    if (used.has(i)) return [];
    used.add(i);
    const line = [...piece];
    onFrom(line);
    line.reverse();
    onFrom(line);
    return [line];
  });
}

/** The parts that are seen from outside. */
const isOutside = ({ kind }: SolidPart): boolean => kind !== 'core';

/**
 * A solid as a line drawing with hidden lines removed: its outline, its seams, and where its surfaces turn away from the eye. Visibility comes from a depth map, so it holds for any
 * shape. `dots`: samples along the longer side; a small picture needs fewer and is made sooner.
 */
export function linePicture(solid: Solid, view: View3, dots = PICTURE_DOTS): LinePicture {
  const to = projected(view);
  const see = (x: number, y: number, z: number): Seen => to({ x, y, z });
  const parts = solid.parts.filter(isOutside);
  const seen = parts.map(({ positions }) =>
    Array.from({ length: positions.length / 3 }, (_, i) => see(positions[3 * i] as number, positions[3 * i + 1] as number, positions[3 * i + 2] as number)),
  );
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const places of seen)
    for (const { x, y } of places) {
      if (x < minX) minX = x;
      if (x > maxX) maxX = x;
      if (y < minY) minY = y;
      if (y > maxY) maxY = y;
    }
  const map = new DepthMap(minX, minY, maxX, maxY, Math.max(maxX - minX, maxY - minY) / dots);
  parts.forEach((part, i) => map.draw(part, seen[i] ?? []));
  const sewn = parts.map((_, i) => i).filter((i) => ['cover', 'board'].includes(parts[i]?.kind ?? ''));
  const seams = seamsOf(
    sewn.map((i) => parts[i] as SolidPart),
    sewn.map((i) => seen[i] ?? []),
  );
  // Towards the eye: how much nearer a step along each axis is.
  const origin = see(0, 0, 0).depth;
  const toward = [origin - see(1, 0, 0).depth, origin - see(0, 1, 0).depth, origin - see(0, 0, 1).depth] as const;
  const surfaces = parts.filter(({ kind }) => kind === 'cover' || kind === 'board');
  const turns = surfaces.flatMap((part) => turnsOf(part, see, toward));
  const threads = (kind: 'cord' | 'stitch'): PictureLine[] =>
    seenLines(
      kind,
      parts.filter((part) => part.kind === kind).flatMap((part) => middleOf(part, see)),
      map,
      CORD_SLACK_MM,
    );
  const covered = Float32Array.from(map.nearest, (depth) => (depth === Infinity ? 0 : 1));
  return {
    outline: thinned(
      contour(covered, map.columns, map.rows, 0.5).map((p) => map.place(p)),
      OUTER_STRAY_DOTS * map.dotMm,
    ),
    lines: [...seenLines('seam', seams, map), ...seenLines('turn', turns, map), ...threads('stitch'), ...threads('cord')],
    minX,
    minY,
    maxX,
    maxY,
  };
}
