import * as z from 'zod';
import { perimeter, rectangleOutline, type CornerRadii } from '../../geometry/outline';
import { SAME_POINT_MM } from '../../geometry/tolerance';
import { given, law, lawOrMeasured, measuredOn } from '../../kernel/figure';
import { issue } from '../../kernel/issue';
import { length, lengthOrNone } from './fields';
import { mmMeasure, type ShapeModule } from './shape';

const schema = z.strictObject({
  shape: z.literal('rectangle'),
  widthMm: length,
  depthMm: length,
  cornerRadiusMm: z.number().nonnegative().max(10_000).optional(),
  /** A corner of its own roundness; the others are as `cornerRadiusMm` says. */
  frontLeftRadiusMm: lengthOrNone.optional(),
  frontRightRadiusMm: lengthOrNone.optional(),
  backRightRadiusMm: lengthOrNone.optional(),
  backLeftRadiusMm: lengthOrNone.optional(),
});
export type Rectangle = z.infer<typeof schema>;

const CORNERS = ['frontLeftRadiusMm', 'frontRightRadiusMm', 'backRightRadiusMm', 'backLeftRadiusMm'] as const;

const radiiOf = (m: Rectangle): CornerRadii => CORNERS.map((key) => m[key] ?? m.cornerRadiusMm ?? 0) as unknown as CornerRadii;
const alike = (m: Rectangle): boolean => new Set(radiiOf(m)).size === 1;

/** A plain rectangle, its corners square or rounded, alike or each by itself. */
export const rectangle: ShapeModule<Rectangle> = {
  shape: 'rectangle',
  name: 'rectangle',
  words: ['rectangle', 'rect', 'oblong', 'square'],
  schema,
  measures: [
    mmMeasure('widthMm', 'wide'),
    mmMeasure('depthMm', 'deep'),
    mmMeasure('cornerRadiusMm', 'corner radius', true),
    mmMeasure('frontLeftRadiusMm', 'front left radius', true),
    mmMeasure('frontRightRadiusMm', 'front right radius', true),
    mmMeasure('backRightRadiusMm', 'back right radius', true),
    mmMeasure('backLeftRadiusMm', 'back left radius', true),
  ],
  like: (widthMm, depthMm) => ({ shape: 'rectangle', widthMm, depthMm }),
  check(m) {
    const radii = radiiOf(m);
    const sides = [
      [radii[0] + radii[1], m.widthMm],
      [radii[2] + radii[3], m.widthMm],
      [radii[1] + radii[2], m.depthMm],
      [radii[0] + radii[3], m.depthMm],
    ] as const;
    const most = Math.min(m.widthMm, m.depthMm) / 2;
    if (alike(m)) return radii[0] > most ? [issue('error', 'corner-radius-too-large', 'cornerRadiusMm', { radiusMm: radii[0], mostMm: most })] : [];
    const over = sides.find(([both, side]) => both > side + 1e-9);
    const key = CORNERS.find((one) => m[one] !== undefined) ?? 'cornerRadiusMm';
    return over ? [issue('error', 'corner-radii-too-large', key, { togetherMm: over[0], sideMm: over[1] })] : [];
  },
  outline: (m) => rectangleOutline(m.widthMm, m.depthMm, radiiOf(m)),
  dimensions: (m) => [
    { key: 'widthMm', from: { x: 0, y: 0 }, to: { x: m.widthMm, y: 0 }, side: 'below' },
    { key: 'depthMm', from: { x: m.widthMm, y: m.depthMm }, to: { x: m.widthMm, y: 0 }, side: 'right' },
  ],
  round(m, width, depth) {
    // Corners stay concentric: they grow and shrink with the sides, and are used up at nothing.
    const more = Math.min(width.value - m.widthMm, depth.value - m.depthMm) / 2;
    const radii = radiiOf(m).map((radius) => (radius <= SAME_POINT_MM ? 0 : Math.max(0, radius + more))) as unknown as CornerRadii;
    const mm = perimeter(rectangleOutline(width.value, depth.value, radii));
    if (!alike(m)) return measuredOn('seam line round', mm, 'along the edge of {0} by {1}, each corner rounded by itself', [width, depth]);
    return radii[0] === 0
      ? law('seam line round', '2 × ({0} + {1})', [width, depth])
      : lawOrMeasured('seam line round', mm, '2 × ({0} + {1}) − (8 − 2 × π) × {2}', [width, depth, given('corner radius', radii[0], 'entered')]);
  },
};
