import * as z from 'zod';
import { closed, outlineBounds } from '../../geometry/outline';
import { arcAbout, line } from '../../geometry/segment';
import { moved } from '../../geometry/transform';
import { length } from './fields';
import { mmMeasure, type ShapeModule } from './shape';

const schema = z.strictObject({
  shape: z.literal('ring-sector'),
  innerRadiusMm: length,
  depthMm: length,
  angleDeg: z.number().min(1).max(350),
  /** Whether one sits facing the middle of the ring, or away from it; towards it unless told. */
  facing: z.enum(['in', 'out']).optional(),
});
type RingSector = z.infer<typeof schema>;

const radians = (degrees: number): number => (degrees * Math.PI) / 180;

/** A length of a curved bench: the inner radius, the depth, the angle between its ends. */
export const ringSector: ShapeModule<RingSector> = {
  shape: 'ring-sector',
  name: 'sector of a ring',
  words: ['ring-sector', 'ringsector'],
  schema,
  measures: [
    mmMeasure('innerRadiusMm', 'inner radius'),
    mmMeasure('depthMm', 'deep'),
    { key: 'angleDeg', word: 'angle', unit: 'deg', optional: false, least: 1, most: 350 },
  ],
  options: [
    {
      key: 'facing',
      word: 'one sits facing',
      values: [
        { value: 'in', name: 'the middle' },
        { value: 'out', name: 'outwards' },
      ],
    },
  ],
  like: (across, depthMm) => ({ shape: 'ring-sector', innerRadiusMm: Math.max(across, 400), depthMm, angleDeg: 45 }),
  check: () => [],
  outline({ innerRadiusMm, depthMm, angleDeg, facing = 'in' }) {
    const half = radians(angleDeg) / 2;
    const outer = innerRadiusMm + depthMm;
    const middle = { x: 0, y: 0 };
    const at = (radius: number, angle: number) => ({ x: radius * Math.sin(angle), y: radius * Math.cos(angle) });
    // Facing in, the middle of the ring is in front of the bench; facing out, behind it.
    const segments =
      facing === 'in'
        ? [
            arcAbout('front', middle, at(innerRadiusMm, -half), -2 * half),
            line('right', at(innerRadiusMm, half), at(outer, half)),
            arcAbout('back', middle, at(outer, half), 2 * half),
            line('left', at(outer, -half), at(innerRadiusMm, -half)),
          ]
        : [
            arcAbout('front', middle, at(outer, Math.PI + half), 2 * half),
            line('right', at(outer, Math.PI - half), at(innerRadiusMm, Math.PI - half)),
            arcAbout('back', middle, at(innerRadiusMm, Math.PI - half), -2 * half),
            line('left', at(innerRadiusMm, Math.PI + half), at(outer, Math.PI + half)),
          ];
    const outline = { segments: closed(segments) };
    const box = outlineBounds(outline);
    return moved(outline, -box.minX, -box.minY);
  },
  dimensions(m) {
    const outline = ringSector.outline(m);
    const box = outlineBounds(outline);
    const x = (box.minX + box.maxX) / 2;
    const inward = m.facing !== 'out';
    const near = inward ? box.maxY - m.depthMm : box.minY;
    return [{ key: 'depthMm', from: { x, y: near + m.depthMm }, to: { x, y: near }, side: 'left' }];
  },
};
