import { contour } from '../../geometry/contour';
import { distanceTo } from '../../geometry/measure';
import { area, closed, flatten, outlineBounds, type Outline } from '../../geometry/outline';
import { distance, type Point } from '../../geometry/point';
import { polygonArea } from '../../geometry/polygon';
import type { EdgeName } from '../../geometry/segment';
import { counterClockwise, moved, tidied } from '../../geometry/transform';
import { issue, type Issue, type IssueCode } from '../../kernel/issue';
import { sideAlong, withEdges } from '../edges';
import { cornersAlong, fitCurve, straightened } from '../fit-curve';
import { blurred, otsu, sampleAt, type Gray } from './gray';
import { homography, mapPoint, type Homography } from './homography';
import { borderOf, flooded, largestRegion, type Mask } from './region';

/** Four points of a picture in the order front left, front right, back right, back left, in pixels from its top left. */
export type Corners = readonly [Point, Point, Point, Point];

/** Where on the pen's line the edge lies: an upright marker leaves its line outside what it was drawn round. */
export type PenEdge = 'inner' | 'middle' | 'outer';

export interface TraceRequest {
  readonly picture: Gray;
  readonly corners: Corners;
  /** What the four corners are in truth, mm. */
  readonly sheetWidthMm: number;
  readonly sheetDepthMm: number;
  readonly edge: PenEdge;
  /** How near the fitted lines and curves stay to what was seen, mm. */
  readonly toleranceMm: number;
}

export interface Traced {
  readonly outline: Outline;
  /** Where on the sheet the outline's origin lies, mm from its front left corner. */
  readonly origin: Point;
  /** Width of the pen's line as it was found, mm. */
  readonly lineMm: number;
  /** Between the fitted outline and the line in the picture, mm. */
  readonly meanErrorMm: number;
  readonly worstErrorMm: number;
}

export type TraceAnswer = { readonly ok: true; readonly traced: Traced } | { readonly ok: false; readonly problems: readonly Issue[] };

/** The sheet is looked at in squares of this side, mm. */
const CELL_MM = 0.5;
/** The sheet's own edge and shadow are left out, mm. */
const EDGE_MM = 4;
/** Shade is evened over squares of about this side, mm. */
const SHADE_MM = 40;
/** Darker than this share of the paper round it: pen. */
const PEN_SHARE = 0.72;

/** The four corners of the largest bright sheet in a picture; null where none is found. */
export function findSheet(picture: Gray): Corners | null {
  const soft = blurred(picture, Math.max(1, Math.round(picture.width / 400)));
  const threshold = otsu(soft);
  const mask: Mask = { width: soft.width, height: soft.height, data: soft.data.map((value) => (value > threshold ? 1 : 0)) };
  const sheet = largestRegion(mask);
  if (!sheet) return null;
  const field = new Float32Array(sheet.data);
  const ring = contour(field, sheet.width, sheet.height, 0.5);
  if (ring.length < 40 || Math.abs(polygonArea(ring)) < 0.05 * picture.width * picture.height) return null;
  const corners = quadrilateralIn(ring);
  return corners && inOrder(corners);
}

/** The four points of a ring that span the most: the furthest apart, and on each side the one furthest from their line. Sides refined by lines. */
function quadrilateralIn(ring: readonly Point[]): Point[] | null {
  const centre = { x: ring.reduce((sum, p) => sum + p.x, 0) / ring.length, y: ring.reduce((sum, p) => sum + p.y, 0) / ring.length };
  const furthest = (from: Point): number => ring.reduce((best, p, i) => (distance(p, from) > distance(ring[best] as Point, from) ? i : best), 0);
  const a = furthest(centre);
  const c = furthest(ring[a] as Point);
  const side = (p: Point): number => {
    const [s, t] = [ring[a] as Point, ring[c] as Point];
    return (t.x - s.x) * (p.y - s.y) - (t.y - s.y) * (p.x - s.x);
  };
  const b = ring.reduce((best, p, i) => (side(p) > side(ring[best] as Point) ? i : best), 0);
  const d = ring.reduce((best, p, i) => (side(p) < side(ring[best] as Point) ? i : best), 0);
  const order = [...new Set([a, b, c, d])].sort((x, y) => x - y);
  if (order.length < 4) return null;
  // Each side as the line through its middle part, so that a dog-eared corner is found where the sides would meet.
  const lines = order.map((from, i) => {
    const to = order[(i + 1) % 4] as number;
    const count = (to - from + ring.length) % ring.length;
    const run = Array.from({ length: Math.max(2, Math.round(count * 0.7)) }, (_, k) => ring[(from + Math.round(count * 0.15) + k) % ring.length] as Point);
    return fittedLine(run);
  });
  return lines.map((line, i) => meeting(lines[(i + 3) % 4] as Line, line)).every((p) => p !== null)
    ? lines.map((line, i) => meeting(lines[(i + 3) % 4] as Line, line) as Point)
    : null;
}

interface Line {
  readonly at: Point;
  readonly way: Point;
}

/** The line nearest to points, by total least squares. */
function fittedLine(points: readonly Point[]): Line {
  const n = points.length;
  const at = { x: points.reduce((sum, p) => sum + p.x, 0) / n, y: points.reduce((sum, p) => sum + p.y, 0) / n };
  let [xx, xy, yy] = [0, 0, 0];
  for (const p of points) {
    xx += (p.x - at.x) ** 2;
    xy += (p.x - at.x) * (p.y - at.y);
    yy += (p.y - at.y) ** 2;
  }
  const angle = 0.5 * Math.atan2(2 * xy, xx - yy);
  return { at, way: { x: Math.cos(angle), y: Math.sin(angle) } };
}

function meeting(a: Line, b: Line): Point | null {
  const across = a.way.x * b.way.y - a.way.y * b.way.x;
  if (Math.abs(across) < 1e-6) return null;
  const t = ((b.at.x - a.at.x) * b.way.y - (b.at.y - a.at.y) * b.way.x) / across;
  return { x: a.at.x + a.way.x * t, y: a.at.y + a.way.y * t };
}

/** Corners as seen in the picture: the two lower ones are the front. */
function inOrder(points: readonly Point[]): Corners {
  const byHeight = [...points].sort((p, q) => q.y - p.y);
  const [front, back] = [byHeight.slice(0, 2).sort((p, q) => p.x - q.x), byHeight.slice(2).sort((p, q) => p.x - q.x)];
  return [front[0], front[1], back[1], back[0]] as Corners;
}

/** The sheet seen straight from above, evened in its shade: 0 pen, 1 paper. */
function rectified(request: TraceRequest, toPicture: Homography): { readonly field: Float32Array; readonly width: number; readonly height: number } {
  const width = Math.round(request.sheetWidthMm / CELL_MM);
  const height = Math.round(request.sheetDepthMm / CELL_MM);
  const flat = new Uint8Array(width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const p = mapPoint(toPicture, { x: (x + 0.5) * CELL_MM, y: (y + 0.5) * CELL_MM });
      flat[y * width + x] = Math.round(sampleAt(request.picture, p.x, p.y));
    }
  const gray: Gray = { width, height, data: flat };
  // The paper's own brightness: the mean of what is not much darker than its surroundings.
  const rough = blurred(gray, Math.round(SHADE_MM / CELL_MM));
  const paper: Gray = { ...gray, data: flat.map((value, i) => (value < 0.85 * (rough.data[i] ?? 255) ? (rough.data[i] ?? value) : value)) };
  const shade = blurred(paper, Math.round(SHADE_MM / CELL_MM));
  const soft = blurred(gray, 1);
  const field = new Float32Array(width * height);
  for (let i = 0; i < field.length; i++) field[i] = Math.min(1.2, (soft.data[i] ?? 0) / Math.max(1, shade.data[i] ?? 1));
  return { field, width, height };
}

/** The ring on which the region's border lies, in millimetres; placed between cells by how bright they are. */
function edgeRing(region: Mask, field: Float32Array, inside: 1 | -1): Point[] {
  // Within a cell of the region's border the brightness says where the border runs; elsewhere the region does.
  const values = new Float32Array(field.length);
  const { width, height, data } = region;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      const here = data[i];
      // The eight cells round it, without a list for each of a million cells.
      const near =
        data[i - 1] !== here ||
        data[i + 1] !== here ||
        data[i - width] !== here ||
        data[i + width] !== here ||
        data[i - width - 1] !== here ||
        data[i - width + 1] !== here ||
        data[i + width - 1] !== here ||
        data[i + width + 1] !== here;
      const dark = 1 - (field[i] ?? 1);
      const level = 1 - PEN_SHARE;
      values[i] = near ? level + (inside === 1 ? dark - level : level - dark) : data[i] ? level + 1 : level - 1;
    }
  return contour(values, width, height, 1 - PEN_SHARE).map(({ x, y }) => ({ x: (x + 0.5) * CELL_MM, y: (y + 0.5) * CELL_MM }));
}

const ringLength = (ring: readonly Point[]): number => ring.reduce((sum, p, i) => sum + distance(p, ring[(i + 1) % ring.length] as Point), 0);

/** A ring's places about a millimetre apart, each the mean of a few neighbours, from a corner where it has one. */
function evenly(ring: readonly Point[]): Point[] {
  const total = ringLength(ring);
  const count = Math.max(40, Math.round(total / 1.5));
  const out: Point[] = [];
  let [i, gone] = [0, 0];
  for (let k = 0; k < count; k++) {
    const wanted = (total * k) / count;
    for (;;) {
      const step = distance(ring[i] as Point, ring[(i + 1) % ring.length] as Point);
      if (gone + step >= wanted || i >= ring.length - 1) {
        const t = step === 0 ? 0 : (wanted - gone) / step;
        const [a, b] = [ring[i] as Point, ring[(i + 1) % ring.length] as Point];
        out.push({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t });
        break;
      }
      gone += step;
      i++;
    }
  }
  return out;
}

/** The traced line of a ring as an outline: begun at its sharpest corner so that no corner is cut through. */
function outlineOfRing(ring: readonly Point[], tolerance: number): Outline {
  const places = evenly(ring);
  const turned = polygonArea(places) < 0 ? [...places].reverse() : places;
  const twice = [...turned, ...turned];
  const corners = cornersAlong(twice).filter((i) => i > 10 && i < turned.length + 10);
  const start = (corners[0] ?? 0) % turned.length;
  const way = [...turned.slice(start), ...turned.slice(0, start), turned[start] as Point];
  // Four runs, by the side each place faces, so that a ring without corners is no single curve upon itself.
  const facing = (i: number): EdgeName => sideAlong(way[Math.max(0, i - 3)] as Point, way[Math.min(way.length - 1, i + 3)] as Point);
  const named = way.map((point, i) => ({ point, edge: facing(i) }));
  return tidied({ segments: closed(straightened(fitCurve(named, tolerance), tolerance)) });
}

/**
 * Traces the outline drawn on a sheet of known size in a picture: rectifies the sheet (homography), evens its shading, finds the pen line as what separates the sheet's rim from its
 * middle, locates both borders of the line to a fraction of a cell, and fits lines and curves. Reports the error of the fit in mm.
 */
export function traceOutline(request: TraceRequest, progress: (share: number) => boolean = () => true): TraceAnswer {
  const failed = (code: IssueCode): TraceAnswer => ({ ok: false, problems: [issue('error', code, 'picture')] });
  const { sheetWidthMm: w, sheetDepthMm: d } = request;
  const truth: Corners = [
    { x: 0, y: 0 },
    { x: w, y: 0 },
    { x: w, y: d },
    { x: 0, y: d },
  ];
  const toPicture = homography(truth, request.corners);
  if (!toPicture) return failed('picture-corners-on-a-line');
  if (!progress(0.05)) return failed('stopped');
  const { field, width, height } = rectified(request, toPicture);
  if (!progress(0.45)) return failed('stopped');

  const rim = Math.round(EDGE_MM / CELL_MM);
  const atRim = (i: number): boolean => {
    const [x, y] = [i % width, Math.floor(i / width)];
    return x < rim || y < rim || x >= width - rim || y >= height - rim;
  };
  const light: Mask = { width, height, data: Uint8Array.from(field, (value, i) => (atRim(i) || value > PEN_SHARE ? 1 : 0)) };
  const outside = flooded(light, borderOf(light));
  const hole = largestRegion({ width, height, data: Uint8Array.from(light.data, (value, i) => (value && !outside.data[i] ? 1 : 0)) });
  // A line with a gap lets the outside in: then what is inside is nothing, or a speck.
  if (!hole || hole.data.reduce((sum, value) => sum + value, 0) * CELL_MM ** 2 < 2500) return failed('picture-line-open');
  const solid = largestRegion({ width, height, data: Uint8Array.from(outside.data, (value) => (value ? 0 : 1)) });
  if (!solid || !progress(0.6)) return failed(solid ? 'stopped' : 'picture-without-line');
  const outer = edgeRing(solid, field, 1);
  const inner = edgeRing(hole, field, -1);
  if (outer.length < 20 || inner.length < 20) return failed('picture-without-line');
  const [outerArea, innerArea] = [Math.abs(polygonArea(outer)), Math.abs(polygonArea(inner))];
  const lineMm = (2 * (outerArea - innerArea)) / (ringLength(evenly(outer)) + ringLength(evenly(inner)));
  if (!progress(0.75)) return failed('stopped');

  const ring = request.edge === 'outer' ? outer : request.edge === 'inner' ? inner : middleOf(evenly(outer), evenly(inner));
  const fitted = counterClockwise(outlineOfRing(ring, request.toleranceMm));
  if (fitted.segments.length < 2 || area(fitted) <= 0) return failed('picture-without-line');
  const drawn = flatten(fitted, 0.02);
  const errors = evenly(ring).map((p) => distanceTo(drawn, p));
  progress(1);
  const outline = withEdges(fitted);
  const box = outlineBounds(outline);
  return {
    ok: true,
    traced: {
      outline: moved(outline, -box.minX, -box.minY),
      origin: { x: box.minX, y: box.minY },
      lineMm,
      meanErrorMm: errors.reduce((sum, mm) => sum + mm, 0) / errors.length,
      worstErrorMm: Math.max(...errors),
    },
  };
}

/** Half-way between the two borders of a line: each place of the outer one drawn half the way to the inner one. */
function middleOf(outer: readonly Point[], inner: readonly Point[]): Point[] {
  return outer.map((p) => {
    const near = inner.reduce((best, q) => (distance(p, q) < distance(p, best) ? q : best));
    return { x: (p.x + near.x) / 2, y: (p.y + near.y) / 2 };
  });
}
