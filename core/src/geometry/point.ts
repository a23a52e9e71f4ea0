/** Millimetres; x to the right, y from the front to the back, seen from above. */
export interface Point {
  readonly x: number;
  readonly y: number;
}

export const distance = (a: Point, b: Point): number => Math.hypot(b.x - a.x, b.y - a.y);
export const plusPoint = (a: Point, b: Point, times = 1): Point => ({ x: a.x + b.x * times, y: a.y + b.y * times });
export const minusPoint = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
/** z of the cross product: positive when b turns left of a. */
export const cross = (a: Point, b: Point): number => a.x * b.y - a.y * b.x;
export const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y;
/** The point between a (t = 0) and b (t = 1). */
export const between = (a: Point, b: Point, t: number): Point => ({ x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t });
/** The point that is `by` away from `from` in the direction of `to`; `from` itself where both are the same. */
export const towards = (from: Point, to: Point, by: number): Point => plusPoint(from, unit(minusPoint(to, from)), by);
/** A vector of length 1; the zero vector stays. */
export function unit(v: Point): Point {
  const length = Math.hypot(v.x, v.y);
  return length === 0 ? v : { x: v.x / length, y: v.y / length };
}
