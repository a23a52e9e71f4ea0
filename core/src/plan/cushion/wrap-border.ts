import { rectangleOutline } from '../../geometry/outline';
import { law } from '../../kernel/figure';
import { boxedCopies, layBoxes } from '../../lay/engine/boxes';
import type { Piece } from '../../piece/piece';

/** Parts more than the fewest that are tried: with more, the joins cost more than the wadding. */
const MORE_PARTS = 2;
/** A join has to shorten the roll by at least this, mm. */
const WORTH_MM = 50;
/** Cushions alike that are looked at together: more make the answer no better. */
const TOGETHER = 3;

/** How much of a roll these pieces take as boxes, each turned as it lies best, the longest first. Infinite where one of them is wider than the roll either way. */
function rollFor(pieces: readonly Piece[], rollMm: number, copies: number): number {
  const items = pieces.map(({ id, width, height, countPerCushion }) => ({
    id,
    polygon: [
      { x: 0, y: 0 },
      { x: width.value, y: 0 },
      { x: width.value, y: height.value },
      { x: 0, y: height.value },
    ],
    count: countPerCushion * copies,
    turns: [0, 90],
  }));
  if (items.some((_, i) => Math.min(pieces[i]?.width.value ?? 0, pieces[i]?.height.value ?? 0) > rollMm)) return Infinity;
  const sorted = boxedCopies(items).sort((a, b) => Math.max(b.along, b.across) - Math.max(a.along, a.across));
  return layBoxes(sorted, { widthMm: rollMm, lengthMm: Infinity, gapMm: 0 }).lengthMm;
}

/** How many parts the border of a wrap is butted from; 1 where it is whole, or there is none. */
export const borderParts = (pieces: readonly Piece[]): number => pieces.find(({ role }) => role === 'wrap-border')?.countPerCushion ?? 1;

/** A border as so many parts, all alike. */
function inEqualParts(border: Piece, of: number): Piece {
  const width = law('part of the border', `{0} ÷ ${of}`, [border.width]);
  return { ...border, label: `${border.label}, in ${of} parts`, width, outline: rectangleOutline(width.value, border.height.value), countPerCushion: of };
}

/**
 * The wadding of one cushion with its border in one piece, or butted from equal parts where that shortens the roll; judged by this cushion and those like it. Where its joins
 * come to lie is the step's matter: turned round the core, equal parts keep off its corners.
 */
export function withShortestBorder(pieces: readonly Piece[], rollMm: number, quantity: number): Piece[] {
  const border = pieces.find(({ role }) => role === 'wrap-border');
  if (!border || border.width.value <= rollMm) return [...pieces];
  const others = pieces.filter((one) => one !== border);
  const copies = Math.min(quantity, TOGETHER);
  const fewest = Math.max(2, Math.ceil(border.width.value / rollMm - 1e-9));
  const ways = Array.from({ length: MORE_PARTS + 1 }, (_, more) => inEqualParts(border, fewest + more));
  const tried = ways.map((parts) => ({ border: parts, mm: rollFor([...others, parts], rollMm, copies) }));
  // The fewest parts first: another join has to be worth it by itself.
  const best = tried.reduce((least, one) => (one.mm <= least.mm - WORTH_MM * copies ? one : least), { border, mm: rollFor(pieces, rollMm, copies) });
  return best.border === border ? [...pieces] : [...others, best.border];
}
