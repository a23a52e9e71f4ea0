import { outlineBounds, type Outline } from '../geometry/outline';
import { sliced } from '../geometry/transform';
import { measuredOn, type Figure } from '../kernel/figure';
import type { Piece } from '../piece/piece';

/** One length between cuts, as a figure that says what it is a part of. */
function partOf(name: string, whole: Figure, cuts: readonly number[], i: number): Figure {
  if (!cuts.length) return whole;
  const [from, to] = [cuts[i - 1] ?? 0, cuts[i] ?? whole.value];
  return measuredOn(name, to - from, `between its cuts, part ${i + 1} of ${cuts.length + 1} of {0}`, [whole]);
}

/**
 * A piece in parts that are butted together again: cut at `across` (mm from its left) and at `deep` (mm from its front), numbered from the front left. Null where a
 * cut would make one part fall into several.
 */
export function inParts(whole: Piece, across: readonly number[], deep: readonly number[], name: string): Piece[] | null {
  const { minX, minY } = outlineBounds(whole.outline);
  const bands = (cuts: readonly number[], total: number): readonly (readonly [number, number])[] =>
    [0, ...cuts].map((from, i) => [from, cuts[i] ?? total] as const);
  const of = (across.length + 1) * (deep.length + 1);
  const parts: Piece[] = [];
  for (const [row, [front, back]] of bands(deep, whole.height.value).entries()) {
    const strip = deep.length ? sliced(whole.outline, 'y', minY + front, minY + back) : whole.outline;
    for (const [column, [left, right]] of bands(across, whole.width.value).entries()) {
      const outline: Outline | null = strip && across.length ? sliced(strip, 'x', minX + left, minX + right) : strip;
      if (!outline || outline.segments.length < 2) return null;
      const index = parts.length + 1;
      parts.push({
        ...whole,
        id: `${whole.id}-${index}`,
        outline,
        glued: { index, of },
        label: `${whole.label}, part ${index} of ${of}`,
        width: partOf(name, whole.width, across, column),
        height: partOf(name, whole.height, deep, row),
      });
    }
  }
  return parts;
}
