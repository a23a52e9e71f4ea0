import * as z from 'zod';
import { closed } from '../../geometry/outline';
import type { Cubic, EdgeName } from '../../geometry/segment';
import { length } from './fields';
import { mmMeasure, type ShapeModule } from './shape';

const schema = z.strictObject({ shape: z.literal('oval'), widthMm: length, depthMm: length });
type Oval = z.infer<typeof schema>;

const EDGES: readonly EdgeName[] = ['front', 'right', 'back', 'left'];
/** Cubics for a quarter of the ellipse: its area comes out to eight figures. */
const PER_QUARTER = 6;

/** A true ellipse. */
export const oval: ShapeModule<Oval> = {
  shape: 'oval',
  name: 'oval',
  words: ['oval', 'ellipse'],
  schema,
  measures: [mmMeasure('widthMm', 'wide'), mmMeasure('depthMm', 'deep')],
  like: (widthMm, depthMm) => ({ shape: 'oval', widthMm, depthMm }),
  check: () => [],
  outline({ widthMm, depthMm }) {
    const [a, b] = [widthMm / 2, depthMm / 2];
    const step = Math.PI / 2 / PER_QUARTER;
    const pull = (4 / 3) * Math.tan(step / 4);
    const at = (angle: number, along: number) => ({
      x: a + a * (Math.cos(angle) - along * Math.sin(angle)),
      y: b + b * (Math.sin(angle) + along * Math.cos(angle)),
    });
    const segments = EDGES.flatMap((edge, quarter) =>
      Array.from({ length: PER_QUARTER }, (_, i): Cubic => {
        const angle = (-3 * Math.PI) / 4 + (quarter * Math.PI) / 2 + i * step;
        return { kind: 'cubic', edge, from: at(angle, 0), c1: at(angle, pull), c2: at(angle + step, -pull), to: at(angle + step, 0) };
      }),
    );
    return { segments: closed(segments) };
  },
  dimensions: ({ widthMm, depthMm }) => [
    { key: 'widthMm', from: { x: 0, y: 0 }, to: { x: widthMm, y: 0 }, side: 'below' },
    { key: 'depthMm', from: { x: widthMm, y: depthMm }, to: { x: widthMm, y: 0 }, side: 'right' },
  ],
};
