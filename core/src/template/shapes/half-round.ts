import * as z from 'zod';
import { closed } from '../../geometry/outline';
import { arcByRise, line } from '../../geometry/segment';
import { length, mayReach } from './fields';
import { mmMeasure, type ShapeModule } from './shape';

const schema = z.strictObject({ shape: z.literal('half-round'), widthMm: length, depthMm: length.optional() });
type HalfRound = z.infer<typeof schema>;

const depthOf = (m: HalfRound): number => m.depthMm ?? m.widthMm / 2;

/** A straight back and one arc for its front: half a circle, or flatter where the depth says so. */
export const halfRound: ShapeModule<HalfRound> = {
  shape: 'half-round',
  name: 'half-round',
  words: ['half-round', 'halfround', 'semicircle'],
  schema,
  measures: [mmMeasure('widthMm', 'wide'), mmMeasure('depthMm', 'deep', true, 1)],
  like: (widthMm) => ({ shape: 'half-round', widthMm }),
  check: (m) => mayReach(depthOf(m), m.widthMm / 2, 'depthMm', 'depth', 'half its width'),
  outline(m) {
    const depth = depthOf(m);
    const [left, right] = [
      { x: 0, y: depth },
      { x: m.widthMm, y: depth },
    ];
    return { segments: closed([arcByRise('front', left, right, depth), line('back', right, left)]) };
  },
  dimensions: (m) => [
    { key: 'widthMm', from: { x: 0, y: depthOf(m) }, to: { x: m.widthMm, y: depthOf(m) }, side: 'above' },
    { key: 'depthMm', from: { x: m.widthMm, y: depthOf(m) }, to: { x: m.widthMm, y: 0 }, side: 'right' },
  ],
};
