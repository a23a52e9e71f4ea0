import * as z from 'zod';
import { polygonOutline } from '../../geometry/outline';
import type { EdgeName } from '../../geometry/segment';
import { length, mustBeUnder } from './fields';
import { mmMeasure, type ShapeModule } from './shape';

const CORNERS = ['front-left', 'front-right', 'back-right', 'back-left'] as const;
const schema = z.strictObject({
  shape: z.literal('angle-cut'),
  widthMm: length,
  depthMm: length,
  cutAcrossMm: length,
  cutDeepMm: length,
  /** Which corner is cut off, seen from above with the front below; back right unless told. */
  corner: z.enum(CORNERS).optional(),
});
type AngleCut = z.infer<typeof schema>;

/** A rectangle with one corner cut off straight. */
export const angleCut: ShapeModule<AngleCut> = {
  shape: 'angle-cut',
  name: 'corner cut off',
  words: ['angle-cut', 'anglecut'],
  schema,
  measures: [mmMeasure('widthMm', 'wide'), mmMeasure('depthMm', 'deep'), mmMeasure('cutAcrossMm', 'cut, across'), mmMeasure('cutDeepMm', 'cut, deep')],
  options: [{ key: 'corner', word: 'corner', values: CORNERS.map((value) => ({ value, name: value.replace('-', ' ') })) }],
  like: (widthMm, depthMm) => ({ shape: 'angle-cut', widthMm, depthMm, cutAcrossMm: widthMm * 0.3, cutDeepMm: depthMm * 0.3 }),
  check: (m) => [
    ...mustBeUnder(m.cutAcrossMm, m.widthMm, 'cutAcrossMm', 'cut across', 'the whole width'),
    ...mustBeUnder(m.cutDeepMm, m.depthMm, 'cutDeepMm', 'cut in depth', 'the whole depth'),
  ],
  outline({ widthMm: w, depthMm: d, cutAcrossMm: a, cutDeepMm: b, corner = 'back-right' }) {
    const cut = (name: (typeof CORNERS)[number]): boolean => corner === name;
    type Corner = readonly [number, number, EdgeName];
    const corners: Corner[] = [
      ...(cut('front-left')
        ? ([
            [0, b, 'left'],
            [a, 0, 'front'],
          ] as Corner[])
        : ([[0, 0, 'front']] as Corner[])),
      ...(cut('front-right')
        ? ([
            [w - a, 0, 'right'],
            [w, b, 'right'],
          ] as Corner[])
        : ([[w, 0, 'right']] as Corner[])),
      ...(cut('back-right')
        ? ([
            [w, d - b, 'right'],
            [w - a, d, 'back'],
          ] as Corner[])
        : ([[w, d, 'back']] as Corner[])),
      ...(cut('back-left')
        ? ([
            [a, d, 'left'],
            [0, d - b, 'left'],
          ] as Corner[])
        : ([[0, d, 'left']] as Corner[])),
    ];
    return polygonOutline(corners);
  },
  dimensions({ widthMm: w, depthMm: d, cutAcrossMm: a, cutDeepMm: b, corner = 'back-right' }) {
    const [back, right] = [corner.startsWith('back'), corner.endsWith('right')];
    const y = back ? d : 0;
    return [
      { key: 'widthMm', from: { x: 0, y: back ? 0 : d }, to: { x: w, y: back ? 0 : d }, side: back ? 'below' : 'above' },
      { key: 'depthMm', from: { x: right ? 0 : w, y: d }, to: { x: right ? 0 : w, y: 0 }, side: right ? 'left' : 'right' },
      { key: 'cutAcrossMm', from: { x: right ? w - a : 0, y }, to: { x: right ? w : a, y }, side: back ? 'above' : 'below' },
      { key: 'cutDeepMm', from: { x: right ? w : 0, y: back ? d : b }, to: { x: right ? w : 0, y: back ? d - b : 0 }, side: right ? 'right' : 'left' },
    ];
  },
};
