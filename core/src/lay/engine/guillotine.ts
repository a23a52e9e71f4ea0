import type { Placement } from '../contract';
import { better, BOX_ORDERS, shuffled, type BoxedCopy, type BoxGround, type BoxLay } from './boxes';

/** A part of a sheet on which nothing lies yet. */
interface Part {
  readonly sheet: number;
  readonly x: number;
  readonly y: number;
  readonly along: number;
  readonly across: number;
}

/** Rules that choose the part for a box, by what is left of the part along and across; least first. */
const FITS: readonly ((leftAlong: number, leftAcross: number, part: Part) => number)[] = [
  (a, b) => Math.min(a, b),
  (a, b) => Math.max(a, b),
  (a, b, part) => part.along * part.across - (part.along - a) * (part.across - b),
];

/** Rules that choose whether the rest of a part is first cut across the material: by the longer side of the box, or of the rest. */
const CUTS: readonly ((leftAlong: number, leftAcross: number, part: Part) => boolean)[] = [
  (a, b) => a <= b,
  (a, b) => a > b,
  (a, b, part) => a * part.across >= b * part.along,
  (a, b, part) => a * part.across < b * part.along,
  () => true,
  () => false,
];

interface Rules {
  readonly fit: (typeof FITS)[number];
  readonly cut: (typeof CUTS)[number];
}

/**
 * Lays boxes one after the other, each in the lower left corner of the free part that it fits best in any of its turns, and cuts the part from edge to edge along two of its sides (Jylänki 2010,
 * guillotine algorithm); a new sheet where no part takes it.
 */
function layEdgeToEdge(copies: readonly BoxedCopy[], { widthMm, lengthMm, gapMm }: BoxGround, { fit, cut }: Rules): BoxLay {
  let free: Part[] = [];
  const placements: Placement[] = [];
  const reach: number[] = [];
  for (const { item, copy, ways } of copies) {
    const find = (parts: readonly Part[]) => {
      let best: { readonly part: Part; readonly way: BoxedCopy['ways'][number]; readonly score: number } | null = null;
      for (const part of parts) {
        for (const way of ways) {
          const [leftAlong, leftAcross] = [part.along - way.along, part.across - way.across];
          if (leftAlong < -1e-6 || leftAcross < -1e-6) continue;
          const score = part.sheet * 1e12 + fit(leftAlong, leftAcross, part);
          if (!best || score < best.score) best = { part, way, score };
        }
      }
      return best;
    };
    const chosen = find(free) ?? find([{ sheet: reach.length, x: 0, y: 0, along: lengthMm, across: widthMm }]);
    if (!chosen) continue;
    const { part, way } = chosen;
    placements.push({ item, copy, sheet: part.sheet, x: part.x - way.minX, y: part.y - way.minY, turn: way.turn });
    reach[part.sheet] = Math.max(reach[part.sheet] ?? 0, part.x + way.along);
    const [onX, onY] = [way.along + gapMm, way.across + gapMm];
    const across = cut(part.along - way.along, part.across - way.across, part);
    const onward: Part = { ...part, x: part.x + onX, along: part.along - onX, across: across ? part.across : way.across };
    const above: Part = { ...part, y: part.y + onY, across: part.across - onY, along: across ? way.along : part.along };
    free = [...free.filter((one) => one !== part), ...[onward, above].filter((one) => one.along > 0 && one.across > 0)];
  }
  return { placements, sheets: reach.length, lengthMm: reach[reach.length - 1] ?? 0 };
}

/**
 * Lays boxes on sheets so that edge-to-edge cuts separate them all: every order under every rule, then a seeded search of neighbouring orders under random rules. Yields the
 * best so far after every lay.
 */
export function* searchEdgeToEdge(copies: readonly BoxedCopy[], ground: BoxGround, tries: number, random: () => number): Generator<BoxLay, BoxLay> {
  const rules = FITS.flatMap((fit) => CUTS.map((cut): Rules => ({ fit, cut })));
  let best: BoxLay = { placements: [], sheets: Infinity, lengthMm: Infinity };
  let order = copies;
  const first = BOX_ORDERS.flatMap((sort) => rules.map((rule) => ({ sort, rule })));
  for (let tried = 0; tried < Math.max(first.length, tries); tried++) {
    const known = first[tried];
    const next = known ? [...copies].sort(known.sort) : shuffled(order, random);
    const lay = layEdgeToEdge(next, ground, known?.rule ?? (rules[Math.floor(random() * rules.length)] as Rules));
    if (better(lay, best)) {
      best = lay;
      order = next;
    } else if (!known && !better(best, lay)) order = next;
    yield best;
    if (copies.length <= 1) break;
  }
  return best;
}
