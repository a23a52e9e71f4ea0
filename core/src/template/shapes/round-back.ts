import * as z from 'zod';
import { closed } from '../../geometry/outline';
import { arcByRise, line, segmentLength } from '../../geometry/segment';
import { SAME_POINT_MM } from '../../geometry/tolerance';
import { length, mayReach } from './fields';
import { mmMeasure, type ShapeModule } from './shape';

const schema = z.strictObject({ shape: z.literal('round-back'), widthMm: length, depthMm: length, riseMm: length });
type RoundBack = z.infer<typeof schema>;

/** Straight front and sides that run into an arc at the back: its depth to the highest point, and the arc's rise. */
export const roundBack: ShapeModule<RoundBack> = {
  shape: 'round-back',
  name: 'round back',
  words: ['round-back', 'roundback'],
  schema,
  measures: [mmMeasure('widthMm', 'wide'), mmMeasure('depthMm', 'deep'), mmMeasure('riseMm', 'rise of the back')],
  like: (widthMm, depthMm) => ({ shape: 'round-back', widthMm, depthMm, riseMm: Math.min(widthMm / 2, depthMm / 2) * 0.6 }),
  check: (m) => [...mayReach(m.riseMm, m.widthMm / 2, 'riseMm', 'rise', 'half its width'), ...mayReach(m.riseMm, m.depthMm, 'riseMm', 'rise', 'its depth')],
  outline({ widthMm, depthMm, riseMm }) {
    const side = depthMm - riseMm;
    const points = [
      { x: 0, y: 0 },
      { x: widthMm, y: 0 },
      { x: widthMm, y: side },
      { x: 0, y: side },
    ] as const;
    const segments = [
      line('front', points[0], points[1]),
      line('right', points[1], points[2]),
      arcByRise('back', points[2], points[3], riseMm),
      line('left', points[3], points[0]),
    ];
    return { segments: closed(segments.filter((segment) => segmentLength(segment) > SAME_POINT_MM)) };
  },
  dimensions: ({ widthMm, depthMm, riseMm }) => [
    { key: 'widthMm', from: { x: 0, y: 0 }, to: { x: widthMm, y: 0 }, side: 'below' },
    { key: 'depthMm', from: { x: widthMm, y: depthMm }, to: { x: widthMm, y: 0 }, side: 'right' },
    { key: 'riseMm', from: { x: 0, y: depthMm }, to: { x: 0, y: depthMm - riseMm }, side: 'left' },
  ],
};
