import * as z from 'zod';
import { rectangleOutline } from '../../geometry/outline';
import { law } from '../../kernel/figure';
import { length } from './fields';
import { mmMeasure, type ShapeModule } from './shape';

const ENDS = ['back', 'front'] as const;
const schema = z.strictObject({
  shape: z.literal('wedge'),
  widthMm: length,
  depthMm: length,
  /** Finished height of the thin edge; the cushion's own height is that of the thick one. */
  thinMm: z.number().positive().max(1000),
  /** Which edge is the thin one; the back unless told. */
  thin: z.enum(ENDS).optional(),
});
type Wedge = z.infer<typeof schema>;

/** A rectangle of two thicknesses: a slope from the front to the back. Its outline is the bottom's. */
export const wedge: ShapeModule<Wedge> = {
  shape: 'wedge',
  name: 'wedge, two thicknesses',
  words: ['wedge', 'sloping'],
  schema,
  measures: [mmMeasure('widthMm', 'wide'), mmMeasure('depthMm', 'deep'), { ...mmMeasure('thinMm', 'thin edge'), most: 1000 }],
  options: [{ key: 'thin', word: 'thin edge at', values: ENDS.map((value) => ({ value, name: value })) }],
  like: (widthMm, depthMm) => ({ shape: 'wedge', widthMm, depthMm, thinMm: 40 }),
  check: () => [],
  outline: (m) => rectangleOutline(m.widthMm, m.depthMm),
  dimensions: (m) => [
    { key: 'widthMm', from: { x: 0, y: 0 }, to: { x: m.widthMm, y: 0 }, side: 'below' },
    { key: 'depthMm', from: { x: m.widthMm, y: m.depthMm }, to: { x: m.widthMm, y: 0 }, side: 'right' },
  ],
  thin: ({ thinMm, thin }) => ({ mm: thinMm, end: thin ?? 'back' }),
  round: (_, width, depth) => law('seam line round', '2 × ({0} + {1})', [width, depth]),
};
