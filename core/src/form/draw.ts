import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { riseOf, type ClosedForm, type EdgeLine } from './form';
import { frontStrips } from './soft-front';
import { stageOf, type Stage, type View3 } from './stage';

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

/** Hatching lines across a face, and lines down the band for its longest side, in a large drawing. */
const FACE_LINES = 22;
const BAND_LINES = 26;
const SAMPLES = 20;
/** A solid lower than this has no band, and a face less proud is flat, mm. */
const FLAT_MM = 0.05;

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

/** A line along an edge; none along a soft one. */
const edge = (kind: EdgeLine, points: readonly Point[], closed = false): Stroke[] =>
  kind === 'soft' ? [] : [{ kind: kind === 'seam' ? 'edge' : kind, points, closed }];

/** The upper face or the underside, proud by so much in its middle; in strips from behind to the front, each of which hides what stands behind it. */
function facePaint(stage: Stage, face: 'upper' | 'underside', proudMm: number, detail: number, rise: (p: Point) => number): Stroke[] {
  const [share, sign] = face === 'upper' ? [1, 1] : [0, -1];
  const { form, at, turnDeg, faceRim } = stage;
  const flat: Stroke = { kind: 'face', points: faceRim.map((p) => at(p, share)), closed: true };
  if (form.lie === 'along' || proudMm <= FLAT_MM) return [flat];
  const a = (turnDeg * Math.PI) / 180;
  const turned = form.rim.map(({ x, y }) => ({ x: x * Math.cos(a) + y * Math.sin(a), y: -x * Math.sin(a) + y * Math.cos(a) }));
  const back = ({ x, y }: Point): Point => ({ x: x * Math.cos(a) - y * Math.sin(a), y: x * Math.sin(a) + y * Math.cos(a) });
  const [least, most] = [Math.min(...turned.map(({ y }) => y)), Math.max(...turned.map(({ y }) => y))];
  const many = Math.max(6, Math.round(FACE_LINES * detail));
  const strips = Array.from({ length: many - 1 }, (_, i) => most - ((most - least) * (i + 1)) / many).flatMap((away) =>
    crossings(turned, away).flatMap(([from, until]): Stroke[] => {
      const line = Array.from({ length: SAMPLES + 1 }, (_, k) => {
        const p = back({ x: from + ((until - from) * k) / SAMPLES, y: away });
        return at(p, share, sign * proudMm * rise(p));
      });
      const foot = [at(back({ x: until, y: away }), share), at(back({ x: from, y: away }), share)];
      return [
        { kind: 'face', points: [...line, ...foot], closed: true },
        { kind: 'hatch', points: line, closed: false },
      ];
    }),
  );
  return [flat, ...strips];
}

/** The strips of a rounded front that are seen, with the seam of the sides round both its ends, and the lines where it turns away. */
function frontPaint({ form, profile, to, toward, next }: Stage): Stroke[] {
  if (!profile) return [];
  const fronts = form.rim.flatMap((p, i) => (form.front[i] ? frontStrips(profile, p, next(i)) : []));
  const seen = fronts.map((strip) => toward(strip.normal) > 1e-6);
  const sideSeam = form.lines.top === 'soft' ? 'seam' : form.lines.top;
  const areas = fronts.flatMap(({ upper, lower }, i): Stroke[] =>
    seen[i]
      ? [
          { kind: 'face', points: [...upper, lower[1], lower[0]].map(to), closed: true },
          ...(i % 3 === 1 ? [{ kind: 'hatch', points: lower.map(to), closed: false } as const] : []),
        ]
      : [],
  );
  const outlines = fronts.flatMap(({ upper, lower }, i): Stroke[] =>
    seen[i]
      ? [
          ...(i === fronts.length - 1 || seen[i + 1] === false ? edge('seam', lower.map(to)) : []),
          ...(i > 0 && seen[i - 1] === false ? edge('seam', upper.map(to)) : []),
          ...([0, 1] as const).flatMap((end) => edge(sideSeam, [to(upper[end]), to(lower[end])])),
        ]
      : [],
  );
  return [...areas, ...outlines];
}

/** One side of the band that is seen, with what runs along it. */
function sidePaint(stage: Stage, index: number, longestMm: number, detail: number): Stroke[] {
  const { form, at, next, before, facing, joinsFront, roundedEnd, sideOutline, sideEdge, profile } = stage;
  const { lines } = form;
  const [a, b] = [form.rim[index] as Point, next(index)];
  const after = (index + 1) % form.rim.length;
  // As close together on the picture, however much a side is turned away.
  const many = Math.max(0, Math.round((BAND_LINES * detail * Math.abs(at(b, 0).x - at(a, 0).x)) / longestMm) - 1);
  const hatching = Array.from({ length: many }, (_, i) => i + 1).flatMap((k): Stroke[] => {
    const nearFront = (joinsFront(index) && k < many / 5) || (joinsFront(after) && k > (4 * many) / 5);
    if (profile && nearFront) return [];
    const p = { x: a.x + ((b.x - a.x) * k) / (many + 1), y: a.y + ((b.y - a.y) * k) / (many + 1) };
    return [{ kind: 'hatch-side', points: [at(p, 0.04), at(p, 0.96)], closed: false }];
  });
  const soft = lines.bottom === 'soft' || (lines.softFront && form.front[index]);
  const upright = (corner: number, kind: 'edge' | 'seam'): Stroke => {
    const p = form.rim[corner] as Point;
    return { kind, points: [at(p, 0), at(p, 1)], closed: false };
  };
  return [
    { kind: 'band', points: sideOutline(index), closed: true },
    ...hatching,
    ...edge(soft ? 'seam' : lines.bottom, sideEdge(index, 0)),
    ...(joinsFront(index) ? edge(lines.bottom, roundedEnd(a, b)) : []),
    ...(joinsFront(after) ? edge(lines.bottom, roundedEnd(b, a)) : []),
    ...(form.zip?.[index] ? [{ kind: 'zip', points: [at(a, 0.5), at(b, 0.5)], closed: false } as const] : []),
    // Where the next side turns away from the eye the band has an outline.
    ...(!joinsFront(index) && facing(before(index)) <= 1e-6 ? [upright(index, 'edge')] : []),
    ...(!joinsFront(after) && facing(after) <= 1e-6 ? [upright(after, 'edge')] : []),
    ...[index, after].filter((corner) => lines.corners && form.cornersAt.includes(corner)).map((corner) => upright(corner, 'seam')),
  ];
}

/** The line round the upper face: what runs along it in one, so that it turns its corners whole; a soft edge only where nothing of the cushion is behind it. */
function rimPaint({ form, at, next, facing, sideEdge, profile }: Stage): Stroke[] {
  const { rim, front, lines } = form;
  const outlines: Stroke[] = [];
  const runs: Point[][] = [];
  rim.forEach((a, i) => {
    if (lines.top === 'soft' || (lines.softFront && front[i])) {
      if (facing(i) <= 1e-6 && !(profile && front[i])) outlines.push(...edge('seam', [at(a, 1), at(next(i), 1)]));
      return;
    }
    const [from, to] = sideEdge(i, 1) as [Point, Point];
    const last = runs.at(-1)?.at(-1);
    if (last && Math.hypot(last.x - from.x, last.y - from.y) < 1e-6) runs.at(-1)?.push(to);
    else runs.push([from, to]);
  });
  const whole = (points: readonly Point[]): boolean => {
    const [first, last] = [points[0] as Point, points.at(-1) as Point];
    return points.length > 2 && Math.hypot(first.x - last.x, first.y - last.y) < 1e-6;
  };
  return [...outlines, ...runs.flatMap((points) => (whole(points) ? edge(lines.top, points.slice(0, -1), true) : edge(lines.top, points)))];
}

/** Buttons and tufts on the upper face, as small rings seen from the side. */
function buttonPaint({ form, at }: Stage, rise: (p: Point) => number): Stroke[] {
  return form.buttons.map((button) => {
    const p = at(button, 1, form.overMm * rise(button));
    const points = Array.from({ length: 16 }, (_, k) => ({ x: p.x + 9 * Math.cos((k * Math.PI) / 8), y: p.y + 5 * Math.sin((k * Math.PI) / 8) }));
    return { kind: 'button', points, closed: true };
  });
}

/**
 * The closed cushion as a line drawing with hidden lines removed by painting: parts come in paint order, the rear ones first, and an area hides whatever lies under it.
 * `detail`: 1 for a large drawing, less for fewer hatch lines. A solid extruded from its outline and seen from above hides itself this way: sides behind
 * sides, all sides behind the upper face.
 */
export function drawClosed(form: ClosedForm, view: View3 = USUAL_VIEW, detail = 1): ClosedDrawing {
  const stage = stageOf(form, view);
  const { overMm, underMm, rim, front } = form;
  const { profile, facing, depth, next } = stage;
  const rise = riseOf(form);
  const banded = form.heightMm > FLAT_MM;
  const longest = Math.max(...rim.map((a, i) => Math.hypot(next(i).x - a.x, next(i).y - a.y)));
  const sides = banded
    ? rim
        .map((_, i) => i)
        .filter((i) => facing(i) > 1e-6 && !(profile && front[i]))
        .sort((p, q) => depth(q) - depth(p))
        .flatMap((i) => sidePaint(stage, i, longest, detail))
    : [];
  const rounded = frontPaint(stage);
  const frontFaces = rim.some((_, i) => front[i] && facing(i) > 1e-6);
  const strokes: Stroke[] = [
    // Without a band the underside bulges out below the rim.
    ...(!banded && underMm > 0 ? facePaint(stage, 'underside', underMm, detail, rise) : []),
    ...(frontFaces ? [...sides, ...rounded] : [...rounded, ...sides]),
    ...facePaint(stage, 'upper', overMm, detail, rise),
    ...rimPaint(stage),
    ...channelLines(form).map((line): Stroke => ({ kind: 'seam', points: line.map((p) => stage.at(p, 1, overMm * rise(p))), closed: false })),
    ...buttonPaint(stage, rise),
  ];
  const { minX, minY, maxX, maxY } = bounds(strokes.flatMap(({ points }) => points));
  return { strokes, minX, minY, maxX, maxY };
}
