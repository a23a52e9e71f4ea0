import { flatten, rectangleOutline } from '../../../geometry/outline';
import { bounds } from '../../../geometry/outline';
import type { Point } from '../../../geometry/point';
import { hashNumbers } from '../../../kernel/hash';
import type { Piece } from '../../../piece/piece';
import type { Cut } from '../cushion-plan';

/** A ring turned over about the upright line in the middle of its box, still counter-clockwise. */
function turnedOver(ring: readonly Point[]): Point[] {
  const { minX, maxX } = bounds(ring);
  return [...ring].reverse().map(({ x, y }) => ({ x: minX + maxX - x, y }));
}

function cut(piece: Piece, polygon: readonly Point[], count: number, turned: boolean): Cut {
  const content = new Float64Array(2 * polygon.length + 1);
  content[0] = count;
  polygon.forEach(({ x, y }, i) => content.set([x, y], 2 * i + 1));
  return { piece, polygon, count, turned, hash: hashNumbers(content) };
}

/**
 * A piece as it is laid, for `quantity` cushions: its copies as drawn, and those that are cut turned over. Trim-off is counted here and nowhere else: a strip is laid
 * longer than its size says.
 */
export function cutsOf(piece: Piece, quantity: number): Cut[] {
  const { trimMm, width, height, countPerCushion, turned } = piece;
  const polygon = flatten(trimMm > 0 ? rectangleOutline(width.value + trimMm, height.value) : piece.outline);
  const drawn = (countPerCushion - turned) * quantity;
  return [...(drawn > 0 ? [cut(piece, polygon, drawn, false)] : []), ...(turned > 0 ? [cut(piece, turnedOver(polygon), turned * quantity, true)] : [])];
}
