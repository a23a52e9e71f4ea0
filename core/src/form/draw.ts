import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { frontProfile, frontStrips } from './soft-front';
import { placeOn, riseOf, type ClosedForm, type EdgeLine, type Point3 } from './form';

/** From where it is looked at, degrees: turned about the upright, and from how far above the level. */
export interface View3 {
  readonly turnDeg: number;
  readonly aboveDeg: number;
}

/** From the front and a little from the right, from above. */
export const USUAL_VIEW: View3 = { turnDeg: 32, aboveDeg: 30 };

/** What a stroke or an area of the drawing is. Areas hide what was drawn before them. */
export type StrokeKind = 'face' | 'band' | 'hatch' | 'hatch-side' | 'zip' | 'edge' | 'welt' | 'ridge' | 'roll' | 'seam' | 'button';

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
  const edge = (kind: EdgeLine, points: readonly Point[], closed: boolean): void => {
    if (kind === 'soft') return;
    strokes.push({ kind: kind === 'seam' ? 'edge' : kind, points, closed });
  };
  // Where the front is rounded the faces end behind it, and its strips stand for its side.
  const profile = form.lie === 'across' && form.heightMm > 0.05 ? frontProfile(form) : null;
  const fronts = profile ? rim.flatMap((p, i) => (front[i] ? frontStrips(profile, p, next(i)) : [])) : [];
  const onFront = (i: number): boolean => Boolean(front[i] ?? front[(i + count) % count]);
  const behind = (p: Point, other: Point, mm: number): Point => {
    const length = Math.hypot(other.x - p.x, other.y - p.y) || 1;
    return { x: p.x + ((other.x - p.x) * mm) / length, y: p.y + ((other.y - p.y) * mm) / length };
  };
  const faceRim = profile
    ? rim.map((p, i) => {
        const last = (i + count - 1) % count;
        if (onFront(last) === onFront(i)) return p;
        return behind(p, onFront(last) ? next(i) : (rim[last] as Point), profile.topMm);
      })
    : rim;
  const before = (i: number): number => (i + count - 1) % count;
  const joinsFront = (i: number): boolean => profile !== null && onFront(before(i)) !== onFront(i);
  /** A side's two ends, each as far behind the front as its edge is rounded there. */
  const ends = (i: number, roundedMm: number): readonly [Point, Point] => {
    const [a, b] = [rim[i] as Point, next(i)];
    if (!profile || front[i]) return [a, b];
    return [joinsFront(i) ? behind(a, b, roundedMm) : a, joinsFront((i + 1) % count) ? behind(b, a, roundedMm) : b];
  };
  const line = (i: number, share: 0 | 1): Point[] => ends(i, share ? (profile?.topMm ?? 0) : (profile?.bottomMm ?? 0)).map((p) => at(p, share));
  /** The end of a side at the front, from above down. */
  const roundedEnd = (corner: Point, other: Point): Point[] =>
    (profile?.points ?? []).map(({ backMm, upMm }) => to({ ...behind(corner, other, backMm), z: upMm }));
  /** A side as it stands: its rounded end where it meets the front. */
  const sidePoints = (i: number): Point[] => {
    const [a, b] = [rim[i] as Point, next(i)];
    const square = [at(a, 0), at(b, 0), at(b, 1), at(a, 1)];
    if (!profile) return square;
    const round = (corner: Point, other: Point): Point[] => profile.points.map(({ backMm, upMm }) => to({ ...behind(corner, other, backMm), z: upMm }));
    if (joinsFront(i)) return [at(b, 0), at(b, 1), ...round(a, b)];
    return joinsFront((i + 1) % count) ? [at(a, 0), at(a, 1), ...round(b, a)] : square;
  };
  /** The strips of the front that are seen, those behind first, and the line where they turn away. */
  const paintFront = (): void => {
    const visible = fronts.map((strip) => toward(strip.normal) > 1e-6);
    fronts.forEach(({ upper, lower }, i) => {
      if (!visible[i]) return;
      strokes.push({ kind: 'face', points: [...upper, lower[1], lower[0]].map(to), closed: true });
      if (i % 3 === 1) strokes.push({ kind: 'hatch', points: lower.map(to), closed: false });
    });
    fronts.forEach(({ upper, lower }, i) => {
      if (!visible[i]) return;
      if (i === fronts.length - 1 || visible[i + 1] === false) strokes.push({ kind: 'edge', points: lower.map(to), closed: false });
      if (i > 0 && visible[i - 1] === false) strokes.push({ kind: 'edge', points: upper.map(to), closed: false });
      // The seam of the sides runs round both ends of the front.
      for (const end of [0, 1] as const) edge(lines.top === 'soft' ? 'seam' : lines.top, [to(upper[end]), to(lower[end])], false);
    });
  };
  const frontFaces = profile ? facets.some(({ index, facing }) => front[index] && facing > 1e-6) : false;
  const seen = facets.filter(({ facing, index }) => facing > 1e-6 && !(profile && front[index]));
  const face = (share: number, sign: 1 | -1, proud: number): void => {
    if (form.lie === 'along' || proud <= 0.05) {
      strokes.push({ kind: 'face', points: faceRim.map((p) => at(p, share)), closed: true });
      return;
    }
    const a = (view.turnDeg * Math.PI) / 180;
    const turned = rim.map(({ x, y }) => ({ x: x * Math.cos(a) + y * Math.sin(a), y: -x * Math.sin(a) + y * Math.cos(a) }));
    const back = ({ x, y }: Point): Point => ({ x: x * Math.cos(a) - y * Math.sin(a), y: x * Math.sin(a) + y * Math.cos(a) });
    const [least, most] = [Math.min(...turned.map(({ y }) => y)), Math.max(...turned.map(({ y }) => y))];
    strokes.push({ kind: 'face', points: faceRim.map((p) => at(p, share)), closed: true });
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
  if (!frontFaces) paintFront();
  if (form.heightMm > 0.05)
    for (const { index } of [...seen].sort((p, q) => q.depth - p.depth)) {
      const [a, b] = [rim[index] as Point, next(index)];
      strokes.push({ kind: 'band', points: sidePoints(index), closed: true });
      // As close together on the picture, however much a side is turned away.
      const many = Math.max(0, Math.round((BAND_LINES * detail * Math.abs(at(b, 0).x - at(a, 0).x)) / longest) - 1);
      for (let k = 1; k <= many; k++) {
        const p = { x: a.x + ((b.x - a.x) * k) / (many + 1), y: a.y + ((b.y - a.y) * k) / (many + 1) };
        const nearFront = (joinsFront(index) && k < many / 5) || (joinsFront((index + 1) % count) && k > (4 * many) / 5);
        if (!(profile && nearFront)) strokes.push({ kind: 'hatch-side', points: [at(p, 0.04), at(p, 0.96)], closed: false });
      }
      const soft = lines.softFront && front[index];
      if (!soft) edge(lines.bottom, line(index, 0), false);
      if (lines.bottom === 'soft' || soft) strokes.push({ kind: 'edge', points: line(index, 0), closed: false });
      if (profile && joinsFront(index)) edge(lines.bottom, roundedEnd(a, b), false);
      if (profile && joinsFront((index + 1) % count)) edge(lines.bottom, roundedEnd(b, a), false);
      if (form.zip?.[index]) strokes.push({ kind: 'zip', points: [at(a, 0.5), at(b, 0.5)], closed: false });
      // Upright outlines where the next side turns away from the eye.
      for (const [corner, beside] of [
        [index, before(index)],
        [(index + 1) % count, (index + 1) % count],
      ] as const) {
        const p = rim[corner] as Point;
        if (!joinsFront(corner) && (facets[beside] as Facet).facing <= 1e-6) strokes.push({ kind: 'edge', points: [at(p, 0), at(p, 1)], closed: false });
      }
      for (const corner of [index, (index + 1) % count])
        if (lines.corners && form.cornersAt.includes(corner))
          strokes.push({ kind: 'seam', points: [at(rim[corner] as Point, 0), at(rim[corner] as Point, 1)], closed: false });
    }
  if (frontFaces) paintFront();
  face(1, 1, overMm);
  // Lines of one kind are drawn in one, so that they turn their corners whole.
  const runs: { kind: EdgeLine; points: Point[] }[] = [];
  rim.forEach((a, i) => {
    const b = next(i);
    const soft = lines.top === 'soft' || (lines.softFront && front[i]);
    // A soft edge is drawn only where nothing of the cushion is behind it: as the outline of what is seen.
    if (soft) {
      if ((facets[i] as Facet).facing <= 1e-6 && !(profile && front[i])) strokes.push({ kind: 'edge', points: [at(a, 1), at(b, 1)], closed: false });
      return;
    }
    const [from, to] = line(i, 1) as [Point, Point];
    const last = runs.at(-1)?.points.at(-1);
    if (last && Math.hypot(last.x - from.x, last.y - from.y) < 1e-6) runs.at(-1)?.points.push(to);
    else runs.push({ kind: lines.top, points: [from, to] });
  });
  for (const { kind, points } of runs) {
    const [first, last] = [points[0] as Point, points.at(-1) as Point];
    const whole = points.length > 2 && Math.hypot(first.x - last.x, first.y - last.y) < 1e-6;
    edge(kind, whole ? points.slice(0, -1) : points, whole);
  }
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
