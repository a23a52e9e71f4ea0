import * as z from 'zod';
import { closed, type Outline } from '../../geometry/outline';
import { distance, type Point } from '../../geometry/point';
import { line, segmentLength, type Segment } from '../../geometry/segment';
import { SAME_POINT_MM } from '../../geometry/tolerance';
import { selfCrossing } from '../../geometry/simple';
import { issue, type Issue } from '../../kernel/issue';
import type { ShapeModule } from './shape';

const stationSchema = z.strictObject({
  /** Along the straight front from its left end. */
  atMm: z.number().min(0).max(20_000),
  depthMm: z.number().min(0).max(20_000),
  /** A corner rather than a point of a smooth curve. */
  corner: z.boolean().optional(),
});
const schema = z.strictObject({ shape: z.literal('stations'), stations: z.array(stationSchema).min(2).max(100) });
type Stations = z.infer<typeof schema>;
export type SeatStation = z.infer<typeof stationSchema>;

/** The slope of the curve at a point between two others: the parabola through all three, so that a circle measured finely comes out as one. */
function slope(before: Point, at: Point, after: Point): number {
  const [a, b] = [(at.y - before.y) / (at.x - before.x), (after.y - at.y) / (after.x - at.x)];
  return (a * (after.x - at.x) + b * (at.x - before.x)) / (after.x - before.x);
}

/** Slope at an end: that of the parabola through the end and the next two points. */
function endSlope(at: Point, next: Point, further: Point | undefined): number {
  const chord = (next.y - at.y) / (next.x - at.x);
  return further ? 2 * chord - slope(at, next, further) : chord;
}

/** A run of points without corners inside as cubics from left to right. */
function curve(points: readonly Point[]): Segment[] {
  const slopes = points.map((p, i) => {
    const [before, after] = [points[i - 1], points[i + 1]];
    if (before && after) return slope(before, p, after);
    if (after) return endSlope(p, after, points[i + 2]);
    return before ? endSlope(p, before, points[i - 2]) : 0;
  });
  return points.slice(1).map((to, i): Segment => {
    const from = points[i] as Point;
    const third = (to.x - from.x) / 3;
    const [a, b] = [slopes[i] ?? 0, slopes[i + 1] ?? 0];
    if (points.length === 2) return line('back', from, to);
    return { kind: 'cubic', edge: 'back', from, c1: { x: from.x + third, y: from.y + a * third }, c2: { x: to.x - third, y: to.y - b * third }, to };
  });
}

function backOf(stations: readonly SeatStation[]): Segment[] {
  const points = stations.map(({ atMm, depthMm }) => ({ x: atMm, y: depthMm }));
  const stops = stations.flatMap(({ corner }, i) => (corner || i === 0 || i === stations.length - 1 ? [i] : []));
  return stops.slice(1).flatMap((stop, i) => curve(points.slice(stops[i], stop + 1)));
}

function outlineOf({ stations }: Stations): Outline {
  const back = backOf(stations);
  const [first, last] = [back[0], back.at(-1)];
  if (!first || !last) return { segments: [] };
  const x = first.from.x;
  const shift = (p: Point): Point => ({ x: p.x - x, y: p.y });
  const leftwards = back
    .map((s): Segment =>
      s.kind === 'cubic' ? { ...s, from: shift(s.to), c1: shift(s.c2), c2: shift(s.c1), to: shift(s.from) } : { ...s, from: shift(s.to), to: shift(s.from) },
    )
    .reverse();
  const [left, right] = [shift(first.from), shift(last.to)];
  const sides = [
    line('front', { x: 0, y: 0 }, { x: right.x, y: 0 }),
    line('right', { x: right.x, y: 0 }, right),
    ...leftwards,
    line('left', left, { x: 0, y: 0 }),
  ];
  return { segments: closed(sides.filter((segment) => segmentLength(segment) > SAME_POINT_MM)) };
}

/** Depths measured from a straight front line every so often, and a curve through them. */
export const stationsShape: ShapeModule<Stations> = {
  shape: 'stations',
  name: 'depths from the front',
  words: ['stations'],
  schema,
  measures: [],
  like: (across, deep) => ({
    shape: 'stations',
    stations: [0, 0.25, 0.5, 0.75, 1].map((share) => ({ atMm: Math.round(across * share), depthMm: Math.round(deep * (1 - 0.6 * (2 * share - 1) ** 2)) })),
  }),
  check(m) {
    const problems: Issue[] = m.stations.flatMap(({ atMm }, i) => {
      const before = m.stations[i - 1];
      return before && atMm - before.atMm < 1 ? [issue('error', 'stations-not-in-order', `stations.${i}.atMm`, { atMm, beforeMm: before.atMm })] : [];
    });
    if (problems.length) return problems;
    if (Math.max(...m.stations.map((one) => one.depthMm)) < 1) return [issue('error', 'outline-empty', 'stations')];
    const outline = outlineOf(m);
    return selfCrossing(outline) || outline.segments.some((s) => s.kind === 'cubic' && Math.min(s.c1.y, s.c2.y) < -distance(s.from, s.to))
      ? [issue('error', 'outline-crosses-itself', 'stations', { xMm: 0, yMm: 0 })]
      : [];
  },
  outline: outlineOf,
  dimensions: ({ stations }) => {
    const x = stations[0]?.atMm ?? 0;
    return stations
      .filter(({ depthMm }) => depthMm > 0)
      .map(({ atMm, depthMm }, i) => ({ key: `stations.${i}`, from: { x: atMm - x, y: depthMm }, to: { x: atMm - x, y: 0 }, side: 'left' as const }));
  },
};
