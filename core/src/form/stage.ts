import type { Point } from '../geometry/point';
import type { Point3 } from './form';

/** From where it is looked at, degrees: turned about the upright, and from how far above the level. */
export interface View3 {
  readonly turnDeg: number;
  readonly aboveDeg: number;
}

/** From the front and a little from the right, from above. */
export const USUAL_VIEW: View3 = { turnDeg: 32, aboveDeg: 30 };

/** Parallel projection: where a place of space falls on the picture, and how far behind it lies. */
export function projected({ turnDeg, aboveDeg }: View3): (p: Point3) => Point & { readonly depth: number } {
  const [a, e] = [(turnDeg * Math.PI) / 180, (aboveDeg * Math.PI) / 180];
  const [ca, sa, ce, se] = [Math.cos(a), Math.sin(a), Math.cos(e), Math.sin(e)];
  return ({ x, y, z }) => {
    const across = x * ca + y * sa;
    const away = -x * sa + y * ca;
    return { x: across, y: away * se + z * ce, depth: away * ce - z * se };
  };
}
