import * as z from 'zod';
import { closed } from '../../geometry/outline';
import { arcAbout, type EdgeName } from '../../geometry/segment';
import { law } from '../../kernel/figure';
import { length } from './fields';
import { mmMeasure, type ShapeModule } from './shape';

const schema = z.strictObject({ shape: z.literal('round'), diameterMm: length });
type Round = z.infer<typeof schema>;

const QUARTERS: readonly EdgeName[] = ['front', 'right', 'back', 'left'];

/** A full circle. Its quarters are front, right, back and left, each about the middle of that side. */
export const round: ShapeModule<Round> = {
  shape: 'round',
  name: 'round',
  words: ['round', 'circle', 'disc', 'drum'],
  schema,
  measures: [mmMeasure('diameterMm', 'across')],
  like: (across, deep) => ({ shape: 'round', diameterMm: Math.min(across, deep) }),
  check: () => [],
  outline({ diameterMm }) {
    const r = diameterMm / 2;
    const at = (angle: number) => ({ x: r + r * Math.cos(angle), y: r + r * Math.sin(angle) });
    return { segments: closed(QUARTERS.map((edge, i) => arcAbout(edge, { x: r, y: r }, at((-3 * Math.PI) / 4 + (i * Math.PI) / 2), Math.PI / 2))) };
  },
  dimensions: ({ diameterMm }) => [{ key: 'diameterMm', from: { x: 0, y: 0 }, to: { x: diameterMm, y: 0 }, side: 'below' }],
  round: (_, width) => law('seam line round', 'π × {0}', [width]),
};
