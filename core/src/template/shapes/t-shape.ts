import * as z from 'zod';
import { polygonOutline } from '../../geometry/outline';
import { length, mustBeUnder } from './fields';
import { mmMeasure, type ShapeModule } from './shape';

const schema = z.strictObject({ shape: z.literal('t'), widthMm: length, depthMm: length, backWidthMm: length, earDepthMm: length });
type TShape = z.infer<typeof schema>;

/** Full width at the front, narrower behind: clears an arm on both sides. The ears are what reaches in front of the arms. */
export const tShape: ShapeModule<TShape> = {
  shape: 't',
  name: 'T, clears both arms',
  words: ['t', 'tee'],
  schema,
  measures: [mmMeasure('widthMm', 'wide'), mmMeasure('depthMm', 'deep'), mmMeasure('backWidthMm', 'between the arms'), mmMeasure('earDepthMm', 'ear, deep')],
  like: (widthMm, depthMm) => ({ shape: 't', widthMm, depthMm, backWidthMm: widthMm * 0.76, earDepthMm: depthMm * 0.28 }),
  check: (m) => [
    ...mustBeUnder(m.backWidthMm, m.widthMm, 'backWidthMm', 'width between the arms', 'the whole width'),
    ...mustBeUnder(m.earDepthMm, m.depthMm, 'earDepthMm', 'ear', 'the whole depth'),
  ],
  outline({ widthMm, depthMm, backWidthMm, earDepthMm }) {
    const inset = (widthMm - backWidthMm) / 2;
    return polygonOutline([
      [0, 0, 'front'],
      [widthMm, 0, 'right'],
      [widthMm, earDepthMm, 'right'],
      [widthMm - inset, earDepthMm, 'right'],
      [widthMm - inset, depthMm, 'back'],
      [inset, depthMm, 'left'],
      [inset, earDepthMm, 'left'],
      [0, earDepthMm, 'left'],
    ]);
  },
  dimensions({ widthMm, depthMm, backWidthMm, earDepthMm }) {
    const inset = (widthMm - backWidthMm) / 2;
    return [
      { key: 'widthMm', from: { x: 0, y: 0 }, to: { x: widthMm, y: 0 }, side: 'below' },
      { key: 'backWidthMm', from: { x: inset, y: depthMm }, to: { x: widthMm - inset, y: depthMm }, side: 'above' },
      { key: 'depthMm', from: { x: widthMm, y: depthMm }, to: { x: widthMm, y: 0 }, side: 'right' },
      { key: 'earDepthMm', from: { x: 0, y: earDepthMm }, to: { x: 0, y: 0 }, side: 'left' },
    ];
  },
};
