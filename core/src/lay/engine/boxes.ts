import { bounds } from '../../geometry/outline';
import { turnedBy, type LayItem, type Placement } from '../contract';
import { Skyline, type Spot } from './skyline';

/** A roll (no end) or sheets to lay boxes on. */
export interface BoxGround {
  readonly widthMm: number;
  readonly lengthMm: number;
  readonly gapMm: number;
}

interface Way {
  readonly turn: number;
  readonly minX: number;
  readonly minY: number;
  readonly along: number;
  readonly across: number;
}

/** One copy of an item with the boxes it has in its turns. */
export interface BoxedCopy {
  readonly item: string;
  readonly copy: number;
  readonly ways: readonly Way[];
  readonly along: number;
  readonly across: number;
}

/** Every copy of every item as boxes. */
export function boxedCopies(items: readonly LayItem[]): BoxedCopy[] {
  return items.flatMap(({ id, polygon, count, turns }) => {
    const ways = turns.map((turn): Way => {
      const box = bounds(turnedBy(polygon, turn));
      return { turn, minX: box.minX, minY: box.minY, along: box.maxX - box.minX, across: box.maxY - box.minY };
    });
    const { along, across } = ways[0] ?? { along: 0, across: 0 };
    return Array.from({ length: count }, (_, copy) => ({ item: id, copy, ways, along, across }));
  });
}

/** Whether a copy fits the ground by itself in any turn. */
export function fitsGround({ ways }: BoxedCopy, ground: BoxGround): boolean {
  return ways.some(({ along, across }) => across <= ground.widthMm + 1e-6 && along <= ground.lengthMm + 1e-6);
}

export interface BoxLay {
  readonly placements: readonly Placement[];
  readonly sheets: number;
  readonly lengthMm: number;
}

/** Lays the boxes one after the other, each where it reaches least far in any allowed turn; a new sheet when none takes it. */
export function layBoxes(copies: readonly BoxedCopy[], ground: BoxGround): BoxLay {
  const gap = ground.gapMm;
  const sheets: Skyline[] = [];
  const placements: Placement[] = [];
  const reach: number[] = [];
  for (const copy of copies) {
    let chosen: { spot: Spot; way: Way; sheet: number; top: number } | null = null;
    for (let sheet = 0; sheet <= sheets.length && !chosen; sheet++) {
      const skyline = (sheets[sheet] ??= new Skyline(ground.widthMm + gap, ground.lengthMm + gap));
      for (const way of copy.ways) {
        const spot = skyline.best(way.across + gap, way.along + gap);
        if (spot && (!chosen || spot.y + way.along < chosen.top - 1e-6)) chosen = { spot, way, sheet, top: spot.y + way.along };
      }
    }
    if (!chosen) continue;
    const { spot, way, sheet, top } = chosen;
    sheets[sheet]?.put(spot, way.across + gap, way.along + gap);
    reach[sheet] = Math.max(reach[sheet] ?? 0, top);
    placements.push({ item: copy.item, copy: copy.copy, sheet, x: spot.y - way.minX, y: spot.x - way.minY, turn: way.turn });
  }
  return { placements, sheets: reach.length, lengthMm: reach[reach.length - 1] ?? 0 };
}

/** Whether a lay takes fewer sheets than another, or as many and less length. */
export const better = (a: Pick<BoxLay, 'sheets' | 'lengthMm'>, b: Pick<BoxLay, 'sheets' | 'lengthMm'>): boolean =>
  a.sheets < b.sheets || (a.sheets === b.sheets && a.lengthMm < b.lengthMm - 1e-6);

/** Orders in which boxes are laid that do well. */
export const BOX_ORDERS: readonly ((a: BoxedCopy, b: BoxedCopy) => number)[] = [
  (a, b) => b.across - a.across || b.along - a.along,
  (a, b) => b.along - a.along || b.across - a.across,
  (a, b) => b.across * b.along - a.across * a.along,
  (a, b) => Math.max(b.across, b.along) - Math.max(a.across, a.along),
];

/** The order with one stretch of it reversed or two places exchanged. */
export function shuffled(order: readonly BoxedCopy[], random: () => number): BoxedCopy[] {
  const next = [...order];
  const i = Math.floor(random() * next.length);
  const j = Math.floor(random() * next.length);
  const [a, b] = [Math.min(i, j), Math.max(i, j)];
  if (random() < 0.3) return [...next.slice(0, a), ...next.slice(a, b + 1).reverse(), ...next.slice(b + 1)];
  const held = next[a] as BoxedCopy;
  next[a] = next[b] as BoxedCopy;
  next[b] = held;
  return next;
}

/** Bottom-left laying of the boxes over several orders, then a seeded search of neighbouring orders. Yields the best so far after every order. */
export function* searchBoxes(copies: readonly BoxedCopy[], ground: BoxGround, tries: number, random: () => number): Generator<BoxLay, BoxLay> {
  let order = copies;
  let best: BoxLay = { placements: [], sheets: Infinity, lengthMm: Infinity };
  for (let tried = 0; tried < Math.max(BOX_ORDERS.length, tries); tried++) {
    const sort = BOX_ORDERS[tried];
    const next = sort ? [...copies].sort(sort) : shuffled(order, random);
    const lay = layBoxes(next, ground);
    if (better(lay, best)) best = lay;
    if (best === lay || (sort === undefined && !better(best, lay))) order = next;
    yield best;
    if (copies.length <= 1) break;
  }
  return best;
}
