import type { Point } from './point';

/** Which side of the seat a piece of the outline belongs to. */
export type EdgeName = 'front' | 'right' | 'back' | 'left' | 'corner';
export const EDGE_NAMES = ['front', 'right', 'back', 'left', 'corner'] as const;

export interface Line {
  readonly kind: 'line';
  readonly edge: EdgeName;
  readonly from: Point;
  readonly to: Point;
}

/** Part of a circle; `sweep` in radians, positive counter-clockwise. */
export interface Arc {
  readonly kind: 'arc';
  readonly edge: EdgeName;
  readonly from: Point;
  readonly to: Point;
  readonly centre: Point;
  readonly radius: number;
  readonly sweep: number;
}

/** A cubic Bézier curve with its two control points. */
export interface Cubic {
  readonly kind: 'cubic';
  readonly edge: EdgeName;
  readonly from: Point;
  readonly c1: Point;
  readonly c2: Point;
  readonly to: Point;
}

export type Segment = Line | Arc | Cubic;
