import { outlineBounds, type Outline } from '../../geometry/outline';
import type { Segment } from '../../geometry/segment';
import { sliced } from '../../geometry/transform';
import { given, law, type Figure } from '../../kernel/figure';
import { SAME_SIZE_MM } from '../../piece/sizes';
import type { Mark, Piece } from '../../piece/piece';
import type { SeamDraft, Stretch } from '../../piece/seam';
import { allRound } from '../sewing/cloth-piece';

/** A plate as it is cut: whole, or of several pieces; its edge is what meets the band. */
export interface Plate {
  readonly pieces: readonly Piece[];
  readonly edge: readonly Stretch[];
  /** Seams that make one plate of its pieces. */
  readonly joins: readonly SeamDraft[];
  /** What its edge has more than the band, eased in, mm. */
  readonly easedMm: number;
}

export function wholePlate(piece: Piece, easedMm: number): Plate {
  return { pieces: [piece], edge: [allRound(piece)], joins: [], easedMm };
}

/** The straight cut of a slice: the segment that stands upright at `x`. */
function cutOf({ segments }: Outline, x: number): Segment | null {
  return segments.find(({ kind, from, to }) => kind === 'line' && Math.abs(from.x - x) < 1e-6 && Math.abs(to.x - x) < 1e-6) ?? null;
}

/**
 * A plate wider than its cloth: a middle as wide as the cloth and two equal sides, never one seam in the centre. Null where three widths do not make it, or a cut
 * would fall into pieces.
 */
export function piecedPlate(plate: Piece, usable: Figure, seam: Figure, easedMm: number): Plate | null {
  const box = outlineBounds(plate.outline);
  const s = seam.value;
  const half = usable.value / 2 - s;
  const centre = (box.minX + box.maxX) / 2;
  const sideMm = (box.maxX - box.minX) / 2 - half + s;
  if (half <= 0 || sideMm > usable.value || sideMm <= s || !plate.sewn) return null;
  const [low, high] = [centre - half, centre + half];
  const cut = [sliced(plate.outline, 'x', low - s, high + s), sliced(plate.outline, 'x', high - s, Infinity), sliced(plate.outline, 'x', -Infinity, low + s)];
  const sewn = [sliced(plate.sewn, 'x', low, high), sliced(plate.sewn, 'x', high, Infinity), sliced(plate.sewn, 'x', -Infinity, low)];
  if ([...cut, ...sewn].some((one) => one === null)) return null;
  const [middleCut, rightCut, leftCut] = cut as Outline[];
  const [middleSewn, rightSewn, leftSewn] = sewn as Outline[];
  if (!middleCut || !rightCut || !leftCut || !middleSewn || !rightSewn || !leftSewn) return null;
  const middleRight = cutOf(middleSewn, high);
  const middleLeft = cutOf(middleSewn, low);
  const rightEdge = cutOf(rightSewn, high);
  const leftEdge = cutOf(leftSewn, low);
  if (!middleRight || !middleLeft || !rightEdge || !leftEdge) return null;

  const deep = (outline: Outline): Figure => {
    const { minY, maxY } = outlineBounds(outline);
    return Math.abs(maxY - minY - plate.height.value) <= SAME_SIZE_MM
      ? plate.height
      : law(plate.height.name, '{0}, as far as this part reaches', [plate.height], () => maxY - minY);
  };
  const sideWidth = law('side part, cut', '({0} − ({1} − 2 × {2})) ÷ 2 + {2}', [plate.width, usable, seam], () => sideMm);
  const part = (which: 'middle' | 'right' | 'left', index: number, outline: Outline, line: Outline, width: Figure, marks: readonly Mark[]): Piece => ({
    ...plate,
    id: `${plate.id}-${which}`,
    label: `${plate.label}, ${which}`,
    remark: which === 'middle' ? 'the cloth’s full width' : 'cut from the second drop',
    part: { index, of: 3 },
    width,
    height: deep(outline),
    outline,
    sewn: line,
    marks,
    ...(which === 'middle' ? {} : { placements: [] }),
  });
  const between = (from: number, to: number): Mark[] => plate.marks.filter(({ at }) => at.x >= from && at.x < to);
  const middle = part(
    'middle',
    1,
    middleCut,
    middleSewn,
    law('middle part, cut', 'the cloth’s usable width, {0}', [usable], (w = 0) => w),
    between(low, high),
  );
  const right = part('right', 2, rightCut, rightSewn, sideWidth, between(high, Infinity));
  const left = part('left', 3, leftCut, leftSewn, sideWidth, between(-Infinity, low));
  const run = ({ id }: Piece, from: Segment['from'], to: Segment['to']): Stretch => ({ piece: id, from, to });
  return {
    pieces: [middle, right, left],
    edge: [
      run(middle, middleLeft.to, middleRight.from),
      run(right, rightEdge.to, rightEdge.from),
      run(middle, middleRight.to, middleLeft.from),
      run(left, leftEdge.to, leftEdge.from),
    ],
    joins: [
      {
        id: `${plate.id}-join-right`,
        words: `${plate.label}: middle to the right side`,
        first: [run(middle, middleRight.from, middleRight.to)],
        second: [run(right, rightEdge.from, rightEdge.to)],
        count: plate.countPerCushion,
      },
      {
        id: `${plate.id}-join-left`,
        words: `${plate.label}: middle to the left side`,
        first: [run(middle, middleLeft.from, middleLeft.to)],
        second: [run(left, leftEdge.from, leftEdge.to)],
        count: plate.countPerCushion,
      },
    ],
    easedMm,
  };
}

/** Half the plate's width from a fold of the tube: the marks that the bench makes when both drops are seamed on both selvedges. */
export function tubeMark(plate: Pick<Piece, 'width'>): Figure {
  return law('from each fold', '{0} ÷ 2', [plate.width], (w = 0) => w / 2);
}

/** The usable width of a cloth as a figure. */
export const usableFigure = (usableMm: number): Figure => given('usable width', usableMm, 'material');
