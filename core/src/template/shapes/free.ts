import * as z from 'zod';
import { outlineBounds, rectangleOutline } from '../../geometry/outline';
import { moved } from '../../geometry/transform';
import { mended, outlineFromJson, outlineProblems, outlineSchema, outlineToJson } from '../outline-json';
import type { ShapeModule } from './shape';

const schema = z.strictObject({ shape: z.literal('free'), outline: outlineSchema });
export type Free = z.infer<typeof schema>;

/** Any closed outline of lines, arcs and curves: drawn, traced or read from a file. */
export const free: ShapeModule<Free> = {
  shape: 'free',
  name: 'drawn by points',
  words: ['free', 'traced'],
  schema,
  measures: [],
  like: (across, deep) => ({ shape: 'free', outline: outlineToJson(rectangleOutline(across, deep)) }),
  check: (m) => outlineProblems(outlineFromJson(m.outline)),
  outline(m) {
    const outline = mended(outlineFromJson(m.outline));
    const box = outlineBounds(outline);
    return moved(outline, -box.minX, -box.minY);
  },
  dimensions(m) {
    const box = outlineBounds(free.outline(m));
    return [
      { key: 'across', from: { x: 0, y: 0 }, to: { x: box.maxX, y: 0 }, side: 'below' },
      { key: 'deep', from: { x: box.maxX, y: box.maxY }, to: { x: box.maxX, y: 0 }, side: 'right' },
    ];
  },
};
