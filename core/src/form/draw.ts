import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { placeOn, riseOf, type ClosedForm, type EdgeLine, type Point3 } from './form';

/** From where it is looked at, degrees: turned about the upright, and from how far above the level. */
export interface View3 {
  readonly turnDeg: number;
  readonly aboveDeg: number;
}

/** From the front and a little from the right, from above. */
export const USUAL_VIEW: View3 = { turnDeg: 32, aboveDeg: 30 };

/** What a stroke or an area of the drawing is. Areas hide what was drawn before them. */
export type StrokeKind = 'face' | 'band' | 'hatch' | 'hatch-side' | 'edge' | 'welt' | 'ridge' | 'roll' | 'seam' | 'button';

/** A polyline in the plane of the picture, mm, y upward, to be drawn in order; closed where it is an area or a button. */
export interface Stroke {
  readonly kind: StrokeKind;
  readonly points: readonly Point[];
  readonly closed: boolean;
}

export interface ClosedDrawing {
  readonly strokes: readonly Stroke[];
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}

/** Parallel projection: where a place of space falls on the picture, and how far behind it lies. */
export function projected({ turnDeg, aboveDeg }: View3): (p: Point3) => Point & { readonly depth: number } {
  const [a, e] = [(turnDeg * Math.PI) / 180, (aboveDeg * Math.PI) / 180];
  const [ca, sa, ce, se] = [Math.cos(a), Math.sin(a), Math.cos(e), Math.sin(e)];
  return ({ x, y, z }) => {
    const across = x * ca + y * sa;
    const away = -x * sa + y * ca;
    return { x: across, y: away * se + z * ce, depth: away * ce - z * se };
  };
}

/** Hatching lines across a face, and lines down the band for its longest side, in a large drawing. */
const FACE_LINES = 22;
const BAND_LINES = 26;
const SAMPLES = 20;

interface Facet {
  readonly index: number;
  readonly depth: number;
  readonly facing: number;
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

/** The seams between channels across the upper face, from front to back. */
function channelLines({ rim, lines: { channels = 0 } }: ClosedForm): Point[][] {
  const { minX, maxX } = bounds(rim);
  return Array.from({ length: Math.max(0, channels - 1) }, (_, i) => minX + ((maxX - minX) * (i + 1)) / channels).flatMap((x) =>
    crossings(
      rim.map((p) => ({ x: p.y, y: p.x })),
      x,
    ).map(([from, to]) => Array.from({ length: SAMPLES + 1 }, (_, k) => ({ x, y: from + ((to - from) * k) / SAMPLES }))),
  );
}

/**
 * The closed cushion as a line drawing with hidden lines removed: parts are given in the order in which they are painted, those behind first, and areas hide what lies
 * under them; `detail` 1 for a large drawing, less for fewer lines of hatching in a small one. A solid drawn up over its outline and seen from above hides itself only so: sides behind sides, and all sides behind the upper face.
 */
export function drawClosed(form: ClosedForm, view: View3 = USUAL_VIEW, detail = 1): ClosedDrawing {
  const to = projected(view);
  const { rim, front, lines, overMm, underMm } = form;
  const strokes: Stroke[] = [];
  const at = (p: Point, share: number, rise = 0): Point => to(placeOn(form, p, share, rise));
  const rise = riseOf(form);
  const count = rim.length;
  const next = (i: number): Point => rim[(i + 1) % count] as Point;

  // The way to the eye, against which sides are told from backs.
  const origin = to({ x: 0, y: 0, z: 0 }).depth;
  const toward = (p: Point3): number => origin - to(p).depth;
  const facets = rim.map((a, index): Facet => {
    const b = next(index);
    const out = { x: b.y - a.y, y: a.x - b.x };
    const length = Math.hypot(out.x, out.y) || 1;
    const normal: Point3 = form.lie === 'across' ? { x: out.x / length, y: out.y / length, z: 0 } : { x: 0, y: out.x / length, z: out.y / length };
    const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
    return { index, depth: to(placeOn(form, middle, 0.5)).depth, facing: toward(normal) };
  });
  const seen = facets.filter(({ facing }) => facing > 1e-6);
  const face = (share: number, sign: 1 | -1, proud: number): void => {
    if (form.lie === 'along' || proud <= 0.05) {
      strokes.push({ kind: 'face', points: rim.map((p) => at(p, share)), closed: true });
      return;
    }
    const a = (view.turnDeg * Math.PI) / 180;
    const turned = rim.map(({ x, y }) => ({ x: x * Math.cos(a) + y * Math.sin(a), y: -x * Math.sin(a) + y * Math.cos(a) }));
    const back = ({ x, y }: Point): Point => ({ x: x * Math.cos(a) - y * Math.sin(a), y: x * Math.sin(a) + y * Math.cos(a) });
    const [least, most] = [Math.min(...turned.map(({ y }) => y)), Math.max(...turned.map(({ y }) => y))];
    strokes.push({ kind: 'face', points: rim.map((p) => at(p, share)), closed: true });
    // From behind to the front: each strip hides what stands behind it.
    const many = Math.max(6, Math.round(FACE_LINES * detail));
    for (let i = 1; i < many; i++) {
      const away = most - ((most - least) * i) / many;
      for (const [from, until] of crossings(turned, away)) {
        const line = Array.from({ length: SAMPLES + 1 }, (_, k) => {
          const p = back({ x: from + ((until - from) * k) / SAMPLES, y: away });
          return at(p, share, sign * proud * rise(p));
        });
        const foot = [at(back({ x: until, y: away }), share), at(back({ x: from, y: away }), share)];
        strokes.push({ kind: 'face', points: [...line, ...foot], closed: true }, { kind: 'hatch', points: line, closed: false });
      }
    }
  };

  // Without a band the underside bulges out below the rim.
  if (form.heightMm <= 0.05 && underMm > 0) face(0, -1, underMm);
  const longest = Math.max(...rim.map((a, i) => Math.hypot(next(i).x - a.x, next(i).y - a.y)));
  const edge = (line: EdgeLine, points: readonly Point[], closed: boolean): void => {
    if (line === 'soft') return;
    strokes.push({ kind: line === 'seam' ? 'edge' : line, points, closed });
  };
  if (form.heightMm > 0.05)
    for (const { index, facing } of [...seen].sort((p, q) => q.depth - p.depth)) {
      const [a, b] = [rim[index] as Point, next(index)];
      strokes.push({ kind: 'band', points: [at(a, 0), at(b, 0), at(b, 1), at(a, 1)], closed: true });
      const length = Math.hypot(b.x - a.x, b.y - a.y);
      const many = Math.max(0, Math.round((BAND_LINES * detail * length) / longest / Math.max(0.5, facing)) - 1);
      for (let k = 1; k <= many; k++) {
        const p = { x: a.x + ((b.x - a.x) * k) / (many + 1), y: a.y + ((b.y - a.y) * k) / (many + 1) };
        strokes.push({ kind: 'hatch-side', points: [at(p, 0.04), at(p, 0.96)], closed: false });
      }
      const soft = lines.softFront && front[index];
      if (!soft) edge(lines.bottom, [at(a, 0), at(b, 0)], false);
      if (lines.bottom === 'soft' || soft) strokes.push({ kind: 'edge', points: [at(a, 0), at(b, 0)], closed: false });
      for (const corner of [index, (index + 1) % count])
        if (lines.corners && form.cornersAt.includes(corner))
          strokes.push({ kind: 'seam', points: [at(rim[corner] as Point, 0), at(rim[corner] as Point, 1)], closed: false });
    }
  // Upright outlines where a side turns away from the eye.
  if (form.heightMm > 0.05)
    rim.forEach((p, i) => {
      const [before, after] = [facets[(i + count - 1) % count] as Facet, facets[i] as Facet];
      if (before.facing > 1e-6 !== after.facing > 1e-6) strokes.push({ kind: 'edge', points: [at(p, 0), at(p, 1)], closed: false });
    });
  face(1, 1, overMm);
  rim.forEach((a, i) => {
    const b = next(i);
    const soft = lines.top === 'soft' || (lines.softFront && front[i]);
    // A soft edge is drawn only where nothing of the cushion is behind it: as the outline of what is seen.
    if (soft) {
      if ((facets[i] as Facet).facing <= 1e-6) strokes.push({ kind: 'edge', points: [at(a, 1), at(b, 1)], closed: false });
    } else edge(lines.top, [at(a, 1), at(b, 1)], false);
  });
  for (const line of channelLines(form)) strokes.push({ kind: 'seam', points: line.map((p) => at(p, 1, overMm * rise(p))), closed: false });
  for (const button of form.buttons) {
    const p = at(button, 1, overMm * rise(button));
    const ring = Array.from({ length: 16 }, (_, k) => ({ x: p.x + 9 * Math.cos((k * Math.PI) / 8), y: p.y + 5 * Math.sin((k * Math.PI) / 8) }));
    strokes.push({ kind: 'button', points: ring, closed: true });
  }
  const all = strokes.flatMap(({ points }) => points);
  return {
    strokes,
    minX: Math.min(...all.map(({ x }) => x)),
    minY: Math.min(...all.map(({ y }) => y)),
    maxX: Math.max(...all.map(({ x }) => x)),
    maxY: Math.max(...all.map(({ y }) => y)),
  };
}
