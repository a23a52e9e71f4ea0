import { mapSegment } from '../../../geometry/affine';
import { grow } from '../../../geometry/offset';
import { closed, outlineBounds, type Outline } from '../../../geometry/outline';
import { given, measuredOn, plus, sum, type Figure } from '../../../kernel/figure';
import type { Piece } from '../../../piece/piece';

/**
 * A piece cut larger because its cloth shrinks: its seam line by so many hundredths across and along, and the allowance outside that. A piece without a seam line is
 * scaled as it is. `across` runs along the piece's width as it lies on the roll.
 */
export function cutLarger(piece: Piece, across: number, along: number): Piece {
  const [x, y] = piece.alongRoll ? [1 + along, 1 + across] : [1 + across, 1 + along];
  if (x === 1 && y === 1) return piece;
  const scaled = (outline: Outline): Outline => ({ segments: closed(outline.segments.flatMap((segment) => mapSegment([x, 0, 0, y, 0, 0], segment))) });
  const before = outlineBounds(piece.outline);
  const { outline, marks } = piece;
  // The allowance does not shrink: the seam line is scaled, and what lies outside it stays as wide.
  const line = piece.sewn;
  const allowanceMm = line && evenAllowance(outline, line);
  const cut = line && allowanceMm !== null ? grow(scaled(line), allowanceMm) : null;
  const made = cut?.ok ? cut.outline : scaled(outline);
  const after = outlineBounds(made);
  const larger = (figure: Figure, share: number, mm: number, was: number): Figure =>
    share === 1
      ? figure
      : sum(figure.name, figure, plus(measuredOn('for shrinking', mm - was, '{0} % of the seam line', [given('', (share - 1) * 100, 'material', 'count')])));
  return {
    ...piece,
    outline: made,
    ...(piece.holes && { holes: piece.holes.map(scaled) }),
    ...(piece.placements && { placements: piece.placements.map(scaled) }),
    sewn: line && scaled(line),
    marks: marks.map((mark) => ({ ...mark, at: { x: mark.at.x * x, y: mark.at.y * y } })),
    width: larger(piece.width, x, after.maxX - after.minX, before.maxX - before.minX),
    height: larger(piece.height, y, after.maxY - after.minY, before.maxY - before.minY),
  };
}

/** How far a piece's cut line lies outside its seam line, where that is the same all round; else null. */
function evenAllowance(outline: Outline, sewn: Outline): number | null {
  const [a, b] = [outlineBounds(outline), outlineBounds(sewn)];
  const gaps = [b.minX - a.minX, a.maxX - b.maxX, b.minY - a.minY, a.maxY - b.maxY];
  const [first = 0] = gaps;
  return gaps.every((gap) => Math.abs(gap - first) < 0.05) ? first : null;
}
