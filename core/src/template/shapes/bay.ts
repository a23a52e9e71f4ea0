import * as z from 'zod';
import { polygonOutline } from '../../geometry/outline';
import { length, lengthOrNone, mustBeUnder } from './fields';
import { mmMeasure, type ShapeModule } from './shape';

const schema = z.strictObject({ shape: z.literal('bay'), widthMm: length, depthMm: length, backMm: length, sideMm: lengthOrNone.optional() });
type Bay = z.infer<typeof schema>;

/** A seat in a bay window of three sides: a straight front, a middle window, two slanting ones, and short straight ends where there are any. */
export const bay: ShapeModule<Bay> = {
  shape: 'bay',
  name: 'bay window',
  words: ['bay', 'window'],
  schema,
  measures: [mmMeasure('widthMm', 'front'), mmMeasure('depthMm', 'deep'), mmMeasure('backMm', 'middle window'), mmMeasure('sideMm', 'straight ends', true)],
  like: (widthMm, depthMm) => ({ shape: 'bay', widthMm, depthMm, backMm: widthMm * 0.55 }),
  check: (m) => [
    ...mustBeUnder(m.backMm, m.widthMm, 'backMm', 'middle window', 'the front'),
    ...mustBeUnder(m.sideMm ?? 0, m.depthMm, 'sideMm', 'straight end', 'the whole depth'),
  ],
  outline({ widthMm, depthMm, backMm, sideMm = 0 }) {
    const inset = (widthMm - backMm) / 2;
    return polygonOutline([
      [0, 0, 'front'],
      [widthMm, 0, 'right'],
      [widthMm, sideMm, 'right'],
      [widthMm - inset, depthMm, 'back'],
      [inset, depthMm, 'left'],
      [0, sideMm, 'left'],
    ]);
  },
  dimensions({ widthMm, depthMm, backMm, sideMm = 0 }) {
    const inset = (widthMm - backMm) / 2;
    return [
      { key: 'widthMm', from: { x: 0, y: 0 }, to: { x: widthMm, y: 0 }, side: 'below' },
      { key: 'backMm', from: { x: inset, y: depthMm }, to: { x: widthMm - inset, y: depthMm }, side: 'above' },
      { key: 'depthMm', from: { x: widthMm, y: depthMm }, to: { x: widthMm, y: 0 }, side: 'right' },
      ...(sideMm > 0 ? [{ key: 'sideMm', from: { x: 0, y: sideMm }, to: { x: 0, y: 0 }, side: 'left' as const }] : []),
    ];
  },
};
