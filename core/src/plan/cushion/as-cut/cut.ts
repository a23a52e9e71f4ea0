import { flatten, rectangleOutline } from '../../../geometry/outline';
import { hashNumbers } from '../../../kernel/hash';
import type { Piece } from '../../../piece/piece';
import type { Cut } from '../cushion-plan';

/** A piece as it is laid, for `quantity` cushions. Trim-off is counted here and nowhere else: a strip is laid longer than its size says. */
export function cutOf(piece: Piece, quantity: number): Cut {
  const polygon = flatten(piece.trimMm > 0 ? rectangleOutline(piece.width.value + piece.trimMm, piece.height.value) : piece.outline);
  const count = piece.countPerCushion * quantity;
  const content = new Float64Array(2 * polygon.length + 1);
  content[0] = count;
  polygon.forEach(({ x, y }, i) => content.set([x, y], 2 * i + 1));
  return { piece, polygon, count, hash: hashNumbers(content) };
}
