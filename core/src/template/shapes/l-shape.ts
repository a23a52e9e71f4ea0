import * as z from 'zod';
import { polygonOutline, type Outline } from '../../geometry/outline';
import { mirrored } from '../../geometry/transform';
import { length, mustBeUnder } from './fields';
import { mmMeasure, type ShapeModule } from './shape';

const schema = z.strictObject({
  shape: z.literal('l'),
  widthMm: length,
  depthMm: length,
  backWidthMm: length,
  earDepthMm: length,
  /** The side on which the arm is, seen from the front; right unless told. */
  arm: z.enum(['left', 'right']).optional(),
});
type LShape = z.infer<typeof schema>;

function rightArm({ widthMm, depthMm, backWidthMm, earDepthMm }: LShape): Outline {
  return polygonOutline([
    [0, 0, 'front'],
    [widthMm, 0, 'right'],
    [widthMm, earDepthMm, 'right'],
    [backWidthMm, earDepthMm, 'right'],
    [backWidthMm, depthMm, 'back'],
    [0, depthMm, 'left'],
  ]);
}

/** Full width at the front, cut in on one side behind: clears one arm. */
export const lShape: ShapeModule<LShape> = {
  shape: 'l',
  name: 'L, clears one arm',
  words: ['l', 'ell'],
  schema,
  measures: [mmMeasure('widthMm', 'wide'), mmMeasure('depthMm', 'deep'), mmMeasure('backWidthMm', 'wide at the back'), mmMeasure('earDepthMm', 'ear, deep')],
  options: [
    {
      key: 'arm',
      word: 'arm',
      values: [
        { value: 'right', name: 'right' },
        { value: 'left', name: 'left' },
      ],
    },
  ],
  like: (widthMm, depthMm) => ({ shape: 'l', widthMm, depthMm, backWidthMm: widthMm * 0.86, earDepthMm: depthMm * 0.28 }),
  check: (m) => [
    ...mustBeUnder(m.backWidthMm, m.widthMm, 'backWidthMm', 'width at the back', 'the whole width'),
    ...mustBeUnder(m.earDepthMm, m.depthMm, 'earDepthMm', 'ear', 'the whole depth'),
  ],
  outline: (m) => (m.arm === 'left' ? mirrored(rightArm(m), m.widthMm / 2) : rightArm(m)),
  dimensions(m) {
    const left = m.arm === 'left';
    const x = (mm: number): number => (left ? m.widthMm - mm : mm);
    const [inner, outer] = [x(0), x(m.backWidthMm)];
    return [
      { key: 'widthMm', from: { x: 0, y: 0 }, to: { x: m.widthMm, y: 0 }, side: 'below' },
      { key: 'backWidthMm', from: { x: Math.min(inner, outer), y: m.depthMm }, to: { x: Math.max(inner, outer), y: m.depthMm }, side: 'above' },
      { key: 'depthMm', from: { x: x(0), y: m.depthMm }, to: { x: x(0), y: 0 }, side: left ? 'right' : 'left' },
      { key: 'earDepthMm', from: { x: x(m.widthMm), y: m.earDepthMm }, to: { x: x(m.widthMm), y: 0 }, side: left ? 'left' : 'right' },
    ];
  },
};
