import type { Point } from '../../geometry/point';

/** Steps round a rounded edge. */
const STEPS = 6;

/** An edge of the front rounded by a radius, as it changes one face: that face falls away towards the front's line. */
export interface RoundedEdge {
  readonly frontY: number;
  readonly radiusMm: number;
}

/** How far below its level the face lies at a depth of the plan, mm: nothing behind the radius. */
export function fallAt({ frontY, radiusMm }: RoundedEdge, y: number): number {
  const back = y - frontY;
  if (radiusMm <= 0 || back >= radiusMm) return 0;
  const level = Math.max(0, back);
  return radiusMm - Math.sqrt(Math.max(0, radiusMm * radiusMm - (radiusMm - level) ** 2));
}

/** A place of the plan with its depth measured along the surface, so that the rounded edge is rolled out flat. */
export function rolledOut({ frontY, radiusMm }: RoundedEdge, { x, y }: Point): Point {
  const back = y - frontY;
  if (radiusMm <= 0 || back >= radiusMm) return { x, y };
  return { x, y: frontY + radiusMm - radiusMm * Math.asin(Math.min(1, (radiusMm - Math.max(0, back)) / radiusMm)) };
}

/** The place of the plan that lies there when it is rolled up again. */
export function rolledUp({ frontY, radiusMm }: RoundedEdge, { x, y }: Point): Point {
  const before = frontY + radiusMm - y;
  if (radiusMm <= 0 || before <= 0) return { x, y };
  return { x, y: frontY + radiusMm - radiusMm * Math.sin(Math.min(Math.PI / 2, before / radiusMm)) };
}

/** Depths of the plan at which the rim wants a point so that a rounded edge is seen to be round. */
export function levelsOf({ frontY, radiusMm }: RoundedEdge): number[] {
  if (radiusMm <= 0) return [];
  return Array.from({ length: STEPS }, (_, k) => frontY + radiusMm * (1 - Math.sin((Math.PI / 2) * (k / STEPS))));
}
