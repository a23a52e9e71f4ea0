import * as z from 'zod';
import { outlineBounds, polygonOutline } from '../../geometry/outline';
import { distance, type Point } from '../../geometry/point';
import { moved } from '../../geometry/transform';
import { issue, type Issue } from '../../kernel/issue';
import { length } from './fields';
import { mmMeasure, type ShapeModule } from './shape';

const schema = z.strictObject({
  shape: z.literal('quadrilateral'),
  frontMm: length,
  rightMm: length,
  backMm: length,
  leftMm: length,
  /** From the front left corner to the back right one. */
  diagonalMm: length,
  /** From the front right corner to the back left one: measured too, it checks the rest. */
  otherDiagonalMm: length.optional(),
});
type Quadrilateral = z.infer<typeof schema>;

type Corners = readonly [Point, Point, Point, Point];

/** The third corner of a triangle on the left of the way from a to b, at these distances; null where they do not reach. */
function corner(a: Point, b: Point, fromA: number, fromB: number): Point | null {
  const side = distance(a, b);
  const along = (fromA ** 2 - fromB ** 2 + side ** 2) / (2 * side);
  const high = fromA ** 2 - along ** 2;
  if (!(high > 0)) return null;
  const way = { x: (b.x - a.x) / side, y: (b.y - a.y) / side };
  return { x: a.x + way.x * along - way.y * Math.sqrt(high), y: a.y + way.y * along + way.x * Math.sqrt(high) };
}

/** Corners from four sides and one diagonal: two triangles on it. */
function onOneDiagonal(m: Quadrilateral): Corners | null {
  const [fl, fr] = [
    { x: 0, y: 0 },
    { x: m.frontMm, y: 0 },
  ];
  const br = corner(fl, fr, m.diagonalMm, m.rightMm);
  const bl = br && corner(fl, br, m.leftMm, m.backMm);
  return br && bl ? [fl, fr, br, bl] : null;
}

/** Each measured length with the corners it lies between. */
function lengths(m: Quadrilateral): readonly (readonly [a: number, b: number, mm: number])[] {
  return [
    [0, 1, m.frontMm],
    [1, 2, m.rightMm],
    [2, 3, m.backMm],
    [3, 0, m.leftMm],
    [0, 2, m.diagonalMm],
    ...(m.otherDiagonalMm === undefined ? [] : [[1, 3, m.otherDiagonalMm] as const]),
  ];
}

const ROUNDS = 60;

/** The corners that fit all measures best, by least squares: each is moved along the error of its lengths until nothing changes. */
function fitted(m: Quadrilateral): Corners | null {
  const start = onOneDiagonal(m);
  if (!start || m.otherDiagonalMm === undefined) return start;
  const points = start.map((p) => ({ ...p }));
  const wanted = lengths(m);
  for (let round = 0; round < ROUNDS * 20; round++) {
    let most = 0;
    const shifts = points.map(() => ({ x: 0, y: 0 }));
    for (const [i, j, mm] of wanted) {
      const [a, b] = [points[i] as Point, points[j] as Point];
      const now = distance(a, b);
      const pull = (now - mm) / now / 2;
      const by = { x: (b.x - a.x) * pull, y: (b.y - a.y) * pull };
      (shifts[i] as Point as { x: number; y: number }).x += by.x;
      (shifts[i] as { y: number }).y += by.y;
      (shifts[j] as { x: number }).x -= by.x;
      (shifts[j] as { y: number }).y -= by.y;
    }
    // Gradient descent; three lengths meet in each corner, so half a step stays on the safe side.
    points.forEach((p, i) => {
      const shift = shifts[i] as Point;
      p.x += shift.x * 0.5;
      p.y += shift.y * 0.5;
      most = Math.max(most, Math.hypot(shift.x, shift.y));
    });
    if (most < 1e-10) break;
  }
  return points as unknown as Corners;
}

/** The largest difference between a measured length and the fitted corners, mm. */
export function quadrilateralError(m: Quadrilateral): number {
  const corners = fitted(m);
  return corners ? Math.max(...lengths(m).map(([i, j, mm]) => Math.abs(distance(corners[i] as Point, corners[j] as Point) - mm))) : Infinity;
}

/** A tape is not read better than this. */
const TAPE_MM = 1.5;

/** Corners with the front level and the box at the origin. */
function placed(m: Quadrilateral): Corners {
  const corners = fitted(m) ?? [
    { x: 0, y: 0 },
    { x: 1, y: 0 },
    { x: 1, y: 1 },
    { x: 0, y: 1 },
  ];
  const [fl, fr] = corners;
  const angle = Math.atan2(fr.y - fl.y, fr.x - fl.x);
  const [c, s] = [Math.cos(-angle), Math.sin(-angle)];
  return corners.map((p) => ({ x: (p.x - fl.x) * c - (p.y - fl.y) * s, y: (p.x - fl.x) * s + (p.y - fl.y) * c })) as unknown as Corners;
}

const EDGES = ['front', 'right', 'back', 'left'] as const;

/** Four straight sides measured with a tape, and one diagonal or both. With both the true shape is the one that fits best, and what is left over is said. */
export const quadrilateral: ShapeModule<Quadrilateral> & { readonly remarks: (m: Quadrilateral) => Issue[] } = {
  shape: 'quadrilateral',
  name: 'four sides, by diagonals',
  words: ['quadrilateral', 'four-sided'],
  schema,
  measures: [
    mmMeasure('frontMm', 'front'),
    mmMeasure('rightMm', 'right'),
    mmMeasure('backMm', 'back'),
    mmMeasure('leftMm', 'left'),
    mmMeasure('diagonalMm', 'diagonal, front left to back right'),
    mmMeasure('otherDiagonalMm', 'the other diagonal', true, 1),
  ],
  like(across, deep) {
    const diagonal = Math.round(Math.hypot(across, deep) * 10) / 10;
    return { shape: 'quadrilateral', frontMm: across, rightMm: deep, backMm: across, leftMm: deep, diagonalMm: diagonal, otherDiagonalMm: diagonal };
  },
  check: (m) => (onOneDiagonal(m) ? [] : [issue('error', 'diagonal-does-not-reach', 'diagonalMm', { diagonalMm: m.diagonalMm })]),
  remarks(m) {
    const leftMm = quadrilateralError(m);
    return leftMm > TAPE_MM && Number.isFinite(leftMm) ? [issue('warning', 'diagonals-disagree', 'otherDiagonalMm', { leftMm })] : [];
  },
  outline(m) {
    const corners = placed(m);
    const outline = polygonOutline(corners.map(({ x, y }, i) => [x, y, EDGES[i] ?? 'front'] as const));
    const box = outlineBounds(outline);
    return moved(outline, -box.minX, -box.minY);
  },
  dimensions(m) {
    const [fl, fr, br, bl] = quadrilateral.outline(m).segments.map((segment) => segment.from) as unknown as Corners;
    return [
      { key: 'frontMm', from: fl, to: fr, side: 'below' },
      { key: 'rightMm', from: br, to: fr, side: 'right' },
      { key: 'backMm', from: bl, to: br, side: 'above' },
      { key: 'leftMm', from: bl, to: fl, side: 'left' },
    ];
  },
};
