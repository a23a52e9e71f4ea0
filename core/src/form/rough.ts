import { distanceTo } from '../geometry/measure';
import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { contains } from '../geometry/polygon';
import type { ClosedLines, EdgeLine, Point3 } from './form';
import { projected, USUAL_VIEW, type View3 } from './stage';

/** What is known of a cushion without planning it. */
export interface RoughCushion {
  /** From above, counter-clockwise, mm, the front at the least y; of a roll its end. */
  readonly rim: readonly Point[];
  readonly heightMm: number;
  readonly lines: ClosedLines;
}

/** What a stroke or an area of the drawing is. Areas hide what was drawn before them. */
export type StrokeKind = 'face' | 'band' | 'hatch' | 'edge' | 'welt' | 'ridge' | 'roll' | 'seam';

/** A polyline in the plane of the picture, mm, y upward, to be drawn in order; closed where it is an area or goes all round. */
export interface Stroke {
  readonly kind: StrokeKind;
  readonly points: readonly Point[];
  readonly closed: boolean;
}

export interface RoughDrawing {
  readonly strokes: readonly Stroke[];
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** Strips of a domed face, and places along each. */
const STRIPS = 6;
const SAMPLES = 20;
/** A side within this of the foremost line belongs to the front, as a share of the depth. */
const FRONT_SHARE = 0.01;
/** A turn sharper than this is a corner, radians. */
const CORNER_TURN = 0.6;
/** A side that faces the eye by less is seen from its edge. */
const EDGE_ON = 1e-6;

/** One side of the rim as it is looked at: its ends in the rim, and where they fall across the picture and away from the eye. */
interface Side {
  readonly index: number;
  readonly from: Point;
  readonly to: Point;
}

/** How far away a side is where it passes a place across the picture. */
function awayAt({ from, to }: Side, across: number): number {
  return from.y + ((to.y - from.y) * (across - from.x)) / (to.x - from.x || 1);
}

/** Whether one side stands behind another where both pass the same places across the picture. Sides of an outline do not cross: one such place decides. */
function isBehind(one: Side, other: Side): boolean {
  const low = Math.max(Math.min(one.from.x, one.to.x), Math.min(other.from.x, other.to.x));
  const high = Math.min(Math.max(one.from.x, one.to.x), Math.max(other.from.x, other.to.x));
  if (high - low < 1e-6) return false;
  return awayAt(one, (low + high) / 2) > awayAt(other, (low + high) / 2) + 1e-9;
}

/** Sides in the order in which they are painted: each after all that stand behind it. */
function rearFirst(sides: readonly Side[]): Side[] {
  const ordered: Side[] = [];
  const met = new Set<Side>();
  const paint = (side: Side): void => {
    if (met.has(side)) return;
    met.add(side);
    for (const other of sides) if (isBehind(other, side)) paint(other);
    ordered.push(side);
  };
  sides.forEach(paint);
  return ordered;
}

/** Where lines of constant `away` cross a polygon, as pairs of places across. */
function crossings(polygon: readonly Point[], away: number): (readonly [number, number])[] {
  const xs: number[] = [];
  polygon.forEach((a, i) => {
    const b = polygon[(i + 1) % polygon.length] as Point;
    if (a.y > away !== b.y > away) xs.push(a.x + ((b.x - a.x) * (away - a.y)) / (b.y - a.y));
  });
  xs.sort((p, q) => p - q);
  return xs.flatMap((x, i) => (i % 2 === 0 && xs[i + 1] !== undefined ? [[x, xs[i + 1] as number] as const] : []));
}

/** How a face between two plates rises, as a share: 0 at the edge, 1 where it is furthest from it, with the profile of a cloth under even pressure. */
function riseOf(rim: readonly Point[]): (p: Point) => number {
  const { minX, minY, maxX, maxY } = bounds(rim);
  let deepest = 0;
  const steps = 12;
  for (let i = 1; i < steps; i++)
    for (let j = 1; j < steps; j++) {
      const p = { x: minX + ((maxX - minX) * i) / steps, y: minY + ((maxY - minY) * j) / steps };
      if (contains(rim, p)) deepest = Math.max(deepest, distanceTo(rim, p));
    }
  return (p) => {
    if (deepest <= 0 || !contains(rim, p)) return 0;
    const near = Math.min(1, distanceTo(rim, p) / deepest);
    return near * (2 - near);
  };
}

/** A line along an edge; none along a soft one. */
const edge = (kind: EdgeLine, points: readonly Point[], closed = false): Stroke[] =>
  kind === 'soft' ? [] : [{ kind: kind === 'seam' ? 'edge' : kind, points, closed }];

/** What a cushion is drawn with: where its places fall, and its rim turned so that x runs across the picture and y away from the eye. */
interface Drawn {
  readonly cushion: RoughCushion;
  /** A place of the outline at a share of the height, `riseMm` above it. */
  readonly at: (p: Point, share: number, riseMm?: number) => Point;
  readonly facing: readonly number[];
  readonly turned: readonly Point[];
  readonly back: (p: Point) => Point;
}

function drawnFrom(cushion: RoughCushion, view: View3): Drawn {
  const place = projected(view);
  const to = (p: Point3): Point => place(p);
  const a = (view.turnDeg * Math.PI) / 180;
  const { rim, heightMm, lines } = cushion;
  const isRoll = lines.solid === 'roll';
  const high = lines.solid === 'faces' ? 0 : heightMm;
  const origin = place({ x: 0, y: 0, z: 0 }).depth;
  // A roll's sides run along it: which stands behind which is seen in the plane of its end.
  const [deeper, higher] = [place({ x: 0, y: 1, z: 0 }).depth - origin, place({ x: 0, y: 0, z: 1 }).depth - origin];
  const endOn = ({ x, y }: Point): Point => ({ x: x * higher - y * deeper, y: x * deeper + y * higher });
  const facing = rim.map((p, i) => {
    const q = rim[(i + 1) % rim.length] as Point;
    const [x, y] = [q.y - p.y, p.x - q.x];
    return origin - place(isRoll ? { x: 0, y: x, z: y } : { x, y, z: 0 }).depth;
  });
  return {
    cushion,
    at: (p, share, riseMm = 0) => to(isRoll ? { x: high * share, y: p.x, z: p.y } : { x: p.x, y: p.y, z: high * share + riseMm }),
    facing,
    turned: rim.map(isRoll ? endOn : ({ x, y }) => ({ x: x * Math.cos(a) + y * Math.sin(a), y: -x * Math.sin(a) + y * Math.cos(a) })),
    back: ({ x, y }) => ({ x: x * Math.cos(a) - y * Math.sin(a), y: x * Math.sin(a) + y * Math.cos(a) }),
  };
}

/** A domed plate in strips from behind to the front, each of which hides what stands behind it. */
function domePaint({ cushion: { rim, heightMm }, at, turned, back }: Drawn, sign: 1 | -1, rise: (p: Point) => number): Stroke[] {
  const proudMm = (sign * heightMm) / 2;
  const [least, most] = [Math.min(...turned.map(({ y }) => y)), Math.max(...turned.map(({ y }) => y))];
  const strips = Array.from({ length: STRIPS - 1 }, (_, i) => most - ((most - least) * (i + 1)) / STRIPS).flatMap((away) =>
    crossings(turned, away).flatMap(([from, until]): Stroke[] => {
      const line = Array.from({ length: SAMPLES + 1 }, (_, k) => {
        const p = back({ x: from + ((until - from) * k) / SAMPLES, y: away });
        return at(p, 1, proudMm * rise(p));
      });
      const foot = [at(back({ x: until, y: away }), 1), at(back({ x: from, y: away }), 1)];
      return [
        { kind: 'face', points: [...line, ...foot], closed: true },
        { kind: 'hatch', points: line, closed: false },
      ];
    }),
  );
  return [{ kind: 'face', points: rim.map((p) => at(p, 1)), closed: true }, ...strips];
}

/** The places of a rim that are corners. */
function cornersOf(rim: readonly Point[]): ReadonlySet<number> {
  const at = (i: number): Point => rim[(i + rim.length) % rim.length] as Point;
  const turn = (i: number): number => {
    const [a, b, c] = [at(i - 1), at(i), at(i + 1)];
    const [first, second] = [Math.atan2(b.y - a.y, b.x - a.x), Math.atan2(c.y - b.y, c.x - b.x)];
    return Math.abs(Math.atan2(Math.sin(second - first), Math.cos(second - first)));
  };
  return new Set(rim.flatMap((_, i) => (turn(i) > CORNER_TURN ? [i] : [])));
}

/** The sides that face the eye, each with what runs along it, those behind first. */
function sidesPaint({ cushion: { rim, lines }, at, facing, turned }: Drawn, isFront: (i: number) => boolean): Stroke[] {
  const count = rim.length;
  const corners = cornersOf(rim);
  const sides = rim.flatMap((_, index): Side[] => {
    const [from, to] = [turned[index] as Point, turned[(index + 1) % count] as Point];
    return (facing[index] ?? 0) > EDGE_ON ? [{ index, from, to }] : [];
  });
  return rearFirst(sides).flatMap(({ index }): Stroke[] => {
    const [after, before] = [(index + 1) % count, (index + count - 1) % count];
    const [a, b] = [rim[index] as Point, rim[after] as Point];
    const upright = (p: Point, kind: 'edge' | 'seam'): Stroke => ({ kind, points: [at(p, 0), at(p, 1)], closed: false });
    const soft = lines.bottom === 'soft' || (lines.softFront && isFront(index));
    return [
      { kind: 'band', points: [at(a, 0), at(b, 0), at(b, 1), at(a, 1)], closed: true },
      ...edge(soft ? 'seam' : lines.bottom, [at(a, 0), at(b, 0)]),
      // Where the next side turns away from the eye the band has an outline.
      ...((facing[before] ?? 0) <= EDGE_ON ? [upright(a, 'edge')] : []),
      ...((facing[after] ?? 0) <= EDGE_ON ? [upright(b, 'edge')] : []),
      ...[index, after].filter((corner) => lines.corners && corners.has(corner)).map((corner) => upright(rim[corner] as Point, 'seam')),
    ];
  });
}

/** The line round the upper face: what runs along it in one, so that it turns its corners whole; a soft edge only where nothing of the cushion is behind it. */
function rimPaint({ cushion: { rim, lines }, at, facing }: Drawn, isFront: (i: number) => boolean): Stroke[] {
  const isSoft = (i: number): boolean => lines.top === 'soft' || (lines.softFront && isFront(i));
  if (!rim.some((_, i) => isSoft(i)))
    return edge(
      lines.top,
      rim.map((p) => at(p, 1)),
      true,
    );
  return rim.flatMap((a, i) => {
    const line = [at(a, 1), at(rim[(i + 1) % rim.length] as Point, 1)];
    if (!isSoft(i)) return edge(lines.top, line);
    return (facing[i] ?? 0) <= EDGE_ON ? edge('seam', line) : [];
  });
}

/** The seams between channels across the upper face, from front to back. */
function channelPaint({ cushion: { rim, heightMm, lines }, at }: Drawn, rise: (p: Point) => number): Stroke[] {
  const { channels = 0, solid } = lines;
  const { minX, maxX } = bounds(rim);
  const lying = rim.map(({ x, y }) => ({ x: y, y: x }));
  const proudMm = solid === 'faces' ? heightMm / 2 : 0;
  return Array.from({ length: Math.max(0, channels - 1) }, (_, i) => minX + ((maxX - minX) * (i + 1)) / channels).flatMap((x) =>
    crossings(lying, x).map(([from, until]): Stroke => {
      const line = Array.from({ length: SAMPLES + 1 }, (_, k) => ({ x, y: from + ((until - from) * k) / SAMPLES }));
      return { kind: 'seam', points: line.map((p) => at(p, 1, proudMm * rise(p))), closed: false };
    }),
  );
}

/**
 * A closed cushion for a small picture in a list, from its outline, height and construction alone. With a band its faces are drawn flat. Hidden lines are removed by painting from back to
 * front: seen from above, the upper face covers all sides, and each side covers those behind it.
 */
export function drawRough(cushion: RoughCushion, view: View3 = USUAL_VIEW): RoughDrawing {
  const { rim, heightMm, lines } = cushion;
  const drawn = drawnFrom(cushion, view);
  const { minY: front, maxY: rear } = bounds(rim);
  const atFront = (p: Point): boolean => p.y - front <= (rear - front) * FRONT_SHARE;
  const isFront = (i: number): boolean => atFront(rim[i] as Point) && atFront(rim[(i + 1) % rim.length] as Point);
  const faces = lines.solid === 'faces' && heightMm > 0;
  const rise = faces ? riseOf(rim) : () => 0;
  const strokes: Stroke[] = [
    // Without a band the underside bulges out below the rim.
    ...(faces ? domePaint(drawn, -1, rise) : heightMm > 0 ? sidesPaint(drawn, isFront) : []),
    ...(faces ? domePaint(drawn, 1, rise) : [{ kind: 'face' as const, points: rim.map((p) => drawn.at(p, 1)), closed: true }]),
    ...rimPaint(drawn, isFront),
    ...channelPaint(drawn, rise),
  ];
  const { minX, minY, maxX, maxY } = bounds(strokes.flatMap(({ points }) => points));
  return { strokes, minX, minY, maxX, maxY };
}
