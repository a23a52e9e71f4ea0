import * as z from 'zod';
import { polygonOutline } from '../../geometry/outline';
import { length } from './fields';
import { mmMeasure, type ShapeModule } from './shape';

const schema = z.strictObject({
  shape: z.literal('trapezoid'),
  frontMm: length,
  backMm: length,
  depthMm: length,
  /** How far the middle of the back stands to the right of the middle of the front; 0 unless told. */
  skewMm: z.number().min(-10_000).max(10_000).optional(),
});
type Trapezoid = z.infer<typeof schema>;

function xsOf(m: Trapezoid): { readonly front: number; readonly back: number } {
  const back = (m.frontMm - m.backMm) / 2 + (m.skewMm ?? 0);
  const least = Math.min(0, back);
  return { front: -least, back: back - least };
}

/** Front and back parallel, of different lengths; symmetric unless it is said to lean. */
export const trapezoid: ShapeModule<Trapezoid> = {
  shape: 'trapezoid',
  name: 'trapezoid',
  words: ['trapezoid', 'tapered'],
  schema,
  measures: [
    mmMeasure('frontMm', 'front'),
    mmMeasure('backMm', 'back'),
    mmMeasure('depthMm', 'deep'),
    { key: 'skewMm', word: 'leans right', unit: 'mm', optional: true, least: -10_000, most: 10_000 },
  ],
  like: (across, depthMm) => ({ shape: 'trapezoid', frontMm: across, backMm: across * 0.84, depthMm }),
  check: () => [],
  outline(m) {
    const { front, back } = xsOf(m);
    return polygonOutline([
      [front, 0, 'front'],
      [front + m.frontMm, 0, 'right'],
      [back + m.backMm, m.depthMm, 'back'],
      [back, m.depthMm, 'left'],
    ]);
  },
  dimensions(m) {
    const { front, back } = xsOf(m);
    const right = Math.max(front + m.frontMm, back + m.backMm);
    return [
      { key: 'frontMm', from: { x: front, y: 0 }, to: { x: front + m.frontMm, y: 0 }, side: 'below' },
      { key: 'backMm', from: { x: back, y: m.depthMm }, to: { x: back + m.backMm, y: m.depthMm }, side: 'above' },
      { key: 'depthMm', from: { x: right, y: m.depthMm }, to: { x: right, y: 0 }, side: 'right' },
    ];
  },
};
