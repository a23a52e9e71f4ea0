import type { Point } from '../geometry/point';
import { boxOf, placed, type LayAnswer, type LayRequest, type Placement } from './contract';

/** How far a placed piece could be pushed each way before it meets another, one that is cut already, a flaw or the edge, mm: towards the squared end, onward along the material, and across. Null where nothing is met: a roll's open end. */
export interface Room {
  readonly back: number | null;
  readonly onward: number | null;
  readonly below: number | null;
  readonly above: number | null;
}

/** Levels are looked at this far inside the stretch between two corners, mm: what is met is measured to as much. */
const INSIDE_MM = 1e-6;

/** Where a ring lies at a level: the beginnings and the ends of its stretches, in order. */
function stretchesAt(ring: readonly Point[], y: number): { readonly from: readonly number[]; readonly to: readonly number[] } {
  const crossings = ring
    .flatMap((a, i) => {
      const b = ring[(i + 1) % ring.length] as Point;
      return a.y < y === b.y < y ? [] : [a.x + ((b.x - a.x) * (y - a.y)) / (b.y - a.y)];
    })
    .sort((one, two) => one - two);
  return { from: crossings.filter((_, i) => i % 2 === 0), to: crossings.filter((_, i) => i % 2 === 1) };
}

/**
 * How far a ring can be pushed in the direction of +x before it meets another that it does not overlap; Infinity where it passes it. Between the levels of two corners
 * the way to go changes evenly, so that the least is next to one of them.
 */
function push(ring: readonly Point[], other: readonly Point[]): number {
  const levels = [...new Set([...ring, ...other].map(({ y }) => y))].sort((one, two) => one - two);
  let least = Infinity;
  levels.slice(1).forEach((high, i) => {
    const low = levels[i] as number;
    const inside = Math.min(INSIDE_MM, (high - low) / 3);
    for (const y of [low + inside, high - inside]) {
      const { to } = stretchesAt(ring, y);
      for (const x of stretchesAt(other, y).from) for (const end of to) if (x - end > -INSIDE_MM) least = Math.min(least, Math.max(0, x - end));
    }
  });
  return least;
}

/** The room round a placed piece. What it may not come near to is not in it: it is measured to the cut edges. On a hide its edge is measured by its box. */
export function roomAround(request: LayRequest, { placements }: Pick<LayAnswer, 'placements'>, placement: Placement): Room {
  const polygonOf = (one: Placement): readonly Point[] => placed(request.items.find(({ id }) => id === one.item)?.polygon ?? [], one);
  const ring = polygonOf(placement);
  const { material } = request;
  const flaws = material.kind === 'hide' ? [...material.flaws, ...(material.taken ?? [])] : [];
  const others = [
    ...placements.filter((one) => one.sheet === placement.sheet && (one.item !== placement.item || one.copy !== placement.copy)).map(polygonOf),
    ...flaws,
  ];
  const box = boxOf(material);
  const towards = (turn: (p: Point) => Point, edge: number): number | null => {
    const turned = ring.map(turn);
    const far = Math.max(...turned.map(({ x }) => x));
    const met = Math.min(edge - far, ...others.map((other) => push(turned, other.map(turn))));
    return Number.isFinite(met) ? Math.max(0, met) : null;
  };
  return {
    back: towards(({ x, y }) => ({ x: -x, y: -y }), -box.minX),
    onward: towards((p) => p, box.maxX),
    below: towards(({ x, y }) => ({ x: -y, y: x }), -box.minY),
    above: towards(({ x, y }) => ({ x: y, y: -x }), box.maxY),
  };
}
