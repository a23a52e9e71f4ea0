import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import type { ClosedForm, ClosedLines } from './form';

/** What is known of a cushion without planning it. */
export interface RoughCushion {
  /** From above, mm, the front at the least y. */
  readonly rim: readonly Point[];
  readonly heightMm: number;
  readonly lines: ClosedLines;
}

/** A side within this of the foremost line belongs to the front, as a share of the depth. */
const FRONT_SHARE = 0.01;
/** A turn sharper than this is a corner, radians. */
const CORNER_TURN = 0.6;

/** A closed cushion for a small picture in a list: from its outline, height and construction alone, so that its faces are flat where it has a band. */
export function roughForm({ rim, heightMm, lines }: RoughCushion): ClosedForm {
  const { minY, maxY } = bounds(rim);
  const at = (i: number): Point => rim[(i + rim.length) % rim.length] as Point;
  const isFront = (p: Point): boolean => p.y - minY <= (maxY - minY) * FRONT_SHARE;
  const turn = (i: number): number => {
    const [a, b, c] = [at(i - 1), at(i), at(i + 1)];
    const [first, second] = [Math.atan2(b.y - a.y, b.x - a.x), Math.atan2(c.y - b.y, c.x - b.x)];
    return Math.abs(Math.atan2(Math.sin(second - first), Math.cos(second - first)));
  };
  const faces = lines.solid === 'faces';
  return {
    rim,
    front: rim.map((p, i) => isFront(p) && isFront(at(i + 1))),
    heightMm: faces ? 0 : heightMm,
    lie: lines.solid === 'roll' ? 'along' : 'across',
    overMm: faces ? heightMm / 2 : 0,
    underMm: faces ? heightMm / 2 : 0,
    lines,
    cornersAt: rim.flatMap((_, i) => (turn(i) > CORNER_TURN ? [i] : [])),
    buttons: [],
  };
}
