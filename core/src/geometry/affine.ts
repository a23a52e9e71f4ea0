import { mapped, startAngle, type Cubic, type Segment } from './segment';
import type { Point } from './point';

/** x' = a·x + c·y + e, y' = b·x + d·y + f. */
export type Affine = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export const IDENTITY: Affine = [1, 0, 0, 1, 0, 0];

/** First `second`, then `first`: the map of a thing inside another. */
export function within(first: Affine, second: Affine): Affine {
  const [a, b, c, d, e, f] = first;
  const [g, h, i, j, k, l] = second;
  return [a * g + c * h, b * g + d * h, a * i + c * j, b * i + d * j, a * k + c * l + e, b * k + d * l + f];
}

export function mapPoint([a, b, c, d, e, f]: Affine, { x, y }: Point): Point {
  return { x: a * x + c * y + e, y: b * x + d * y + f };
}

/** An arc as cubics of at most an eighth of a turn: within five millionths of its radius. */
export function arcAsCubics(segment: Extract<Segment, { kind: 'arc' }>): Cubic[] {
  const parts = Math.max(1, Math.ceil(Math.abs(segment.sweep) / (Math.PI / 4) - 1e-9));
  const step = segment.sweep / parts;
  const reach = (4 / 3) * Math.tan(step / 4) * segment.radius;
  const begin = startAngle(segment);
  return Array.from({ length: parts }, (_, i): Cubic => {
    const [p, q] = [begin + i * step, begin + (i + 1) * step];
    const at = (angle: number): Point => ({ x: segment.centre.x + segment.radius * Math.cos(angle), y: segment.centre.y + segment.radius * Math.sin(angle) });
    const [from, to] = [i === 0 ? segment.from : at(p), i === parts - 1 ? segment.to : at(q)];
    return {
      kind: 'cubic',
      edge: segment.edge,
      from,
      c1: { x: from.x - reach * Math.sin(p), y: from.y + reach * Math.cos(p) },
      c2: { x: to.x + reach * Math.sin(q), y: to.y - reach * Math.cos(q) },
      to,
    };
  });
}

/** A segment under an affine map: arcs stay arcs while every direction is scaled alike, else they become cubics. */
export function mapSegment(map: Affine, segment: Segment): Segment[] {
  const [a, b, c, d] = map;
  const [wide, tall] = [Math.hypot(a, b), Math.hypot(c, d)];
  const alike = Math.abs(wide - tall) <= 1e-9 * Math.max(wide, tall) && Math.abs(a * c + b * d) <= 1e-9 * wide * tall;
  const to = (p: Point): Point => mapPoint(map, p);
  if (segment.kind !== 'arc' || alike) {
    const made = mapped(segment, to, a * d - b * c < 0);
    return [made.kind === 'arc' ? { ...made, radius: made.radius * wide } : made];
  }
  return arcAsCubics(segment).map((cubic) => mapped(cubic, to, false));
}
