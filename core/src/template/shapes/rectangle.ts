import * as z from 'zod';
import { perimeter, rectangleOutline } from '../../geometry/outline';
import { given, law } from '../../kernel/figure';
import { issue } from '../../kernel/issue';
import type { ShapeModule } from './shape';

const schema = z.strictObject({
  shape: z.literal('rectangle'),
  widthMm: z.number().positive().max(20_000),
  depthMm: z.number().positive().max(20_000),
  cornerRadiusMm: z.number().nonnegative().max(10_000).optional(),
});
export type Rectangle = z.infer<typeof schema>;

const radiusOf = (m: Rectangle): number => m.cornerRadiusMm ?? 0;

/** A plain rectangle, its four corners square or rounded alike. */
export const rectangle: ShapeModule<Rectangle> = {
  shape: 'rectangle',
  words: ['rectangle', 'rect', 'oblong', 'square'],
  schema,
  measures: [
    { key: 'widthMm', word: 'wide', place: 'across', optional: false },
    { key: 'depthMm', word: 'deep', place: 'deep', optional: false },
    { key: 'cornerRadiusMm', word: 'corner radius', place: 'corner', optional: true },
  ],
  check(m) {
    const most = Math.min(m.widthMm, m.depthMm) / 2;
    return radiusOf(m) > most ? [issue('error', 'corner-radius-too-large', 'cornerRadiusMm', { radiusMm: radiusOf(m), mostMm: most })] : [];
  },
  outline: (m) => rectangleOutline(m.widthMm, m.depthMm, radiusOf(m)),
  span: (m) => ({ acrossMm: m.widthMm, deepMm: m.depthMm }),
  resized(m, acrossMm, deepMm) {
    const r = radiusOf(m);
    const resized = { ...m, widthMm: m.widthMm + acrossMm, depthMm: m.depthMm + deepMm };
    return r === 0 ? resized : { ...resized, cornerRadiusMm: Math.max(0, r + Math.min(acrossMm, deepMm) / 2) };
  },
  perimeter(m, width, depth) {
    const round = (w = 0, d = 0, r = 0): number => perimeter(rectangleOutline(w, d, r));
    return radiusOf(m) === 0
      ? law('seam line round', '2 × ({0} + {1})', [width, depth], round)
      : law('seam line round', '2 × ({0} + {1}) − (8 − 2π) × {2}', [width, depth, given('corner radius', radiusOf(m), 'entered')], round);
  },
};
