import type { Point } from '../geometry/point';
import type { ClosedForm, Point3 } from './form';

/** Chords of a quarter of a rounded front. */
const CHORDS = 7;

/** The front's edge in section, from the top face down to the underside: how far behind the front it lies, and how high, mm. */
export interface FrontProfile {
  readonly points: readonly { readonly backMm: number; readonly upMm: number }[];
  /** How far the faces' own edges lie behind the front. */
  readonly topMm: number;
  readonly bottomMm: number;
}

/** A front whose upper edge, and where it is told its lower one, is rounded; null where the form has none. */
export function frontProfile({ heightMm, rounded }: Pick<ClosedForm, 'heightMm' | 'rounded'>): FrontProfile | null {
  if (!rounded) return null;
  const [topMm, bottomMm] = [Math.min(rounded.topMm, heightMm / 2), Math.min(rounded.bottomMm, heightMm / 2)];
  const quarter = (r: number, turn: (k: number) => { readonly backMm: number; readonly upMm: number }) =>
    r > 0 ? Array.from({ length: CHORDS + 1 }, (_, k) => turn((k * Math.PI) / (2 * CHORDS))) : [turn(0)];
  return {
    topMm,
    bottomMm,
    points: [
      ...quarter(topMm, (a) => ({ backMm: topMm * (1 - Math.sin(a)), upMm: heightMm - topMm * (1 - Math.cos(a)) })),
      ...quarter(bottomMm, (a) => ({ backMm: bottomMm * (1 - Math.cos(a)), upMm: bottomMm * (1 - Math.sin(a)) })),
    ],
  };
}

/** A strip of the rounded front between two lines of its profile, across from `left` to `right`, and which way it faces. */
export interface FrontStrip {
  readonly upper: readonly [Point3, Point3];
  readonly lower: readonly [Point3, Point3];
  readonly normal: Point3;
}

/** The strips of a front that runs from `left` to `right` with the cushion behind it. */
export function frontStrips({ points }: FrontProfile, left: Point, right: Point): FrontStrip[] {
  const length = Math.hypot(right.x - left.x, right.y - left.y) || 1;
  // Counter-clockwise the inside lies to the left of the way.
  const inward = { x: -(right.y - left.y) / length, y: (right.x - left.x) / length };
  const place = (p: Point, { backMm, upMm }: FrontProfile['points'][number]): Point3 => ({ x: p.x + inward.x * backMm, y: p.y + inward.y * backMm, z: upMm });
  return points.slice(1).flatMap((lower, i): FrontStrip[] => {
    const upper = points[i];
    if (!upper) return [];
    // Square to the profile's way, away from the cushion.
    const [out, up] = [upper.upMm - lower.upMm, lower.backMm - upper.backMm];
    if (Math.hypot(out, up) < 1e-9) return [];
    return [
      {
        upper: [place(left, upper), place(right, upper)],
        lower: [place(left, lower), place(right, lower)],
        normal: { x: -inward.x * out, y: -inward.y * out, z: -up },
      },
    ];
  });
}
