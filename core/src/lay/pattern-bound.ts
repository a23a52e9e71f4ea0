import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { contains } from '../geometry/polygon';
import { turnedBy, type LayItem, type LayPattern } from './contract';
import { isConvex } from './engine/convex';
import { turnedMotif } from './pattern';

/** A rectangle about a motif that lies whole inside its piece, and how far the piece itself reaches from the motif; mm. */
interface Heart {
  /** Half of the rectangle. */
  readonly along: number;
  readonly across: number;
  /** Of the piece: along before and behind the motif, across below and above it. */
  readonly before: number;
  readonly behind: number;
  readonly below: number;
  readonly above: number;
}

/** Halvings when the rectangle is grown in the piece: to a ten thousandth of it. */
const STEPS = 14;

/** The heart of a convex piece in one turn: the largest rectangle about its motif, of the shape of the box that the motif sees, whose corners lie inside. */
function heartOf(polygon: readonly Point[], motif: Point): Heart {
  const box = bounds(polygon);
  const [before, behind, below, above] = [motif.x - box.minX, box.maxX - motif.x, motif.y - box.minY, box.maxY - motif.y];
  const [halfX, halfY] = [Math.max(0, Math.min(before, behind)), Math.max(0, Math.min(below, above))];
  const inside = (share: number): boolean => {
    const [dx, dy] = [halfX * share, halfY * share];
    const corners = [-1, 1].flatMap((i) => [-1, 1].map((j) => ({ x: motif.x + i * dx, y: motif.y + j * dy })));
    return corners.every((p) => contains(polygon, p));
  };
  let [least, most] = [0, 1];
  for (let i = 0; i < STEPS; i++) {
    const middle = (least + most) / 2;
    if (inside(middle)) least = middle;
    else most = middle;
  }
  return { along: halfX * least, across: halfY * least, before, behind, below, above };
}

/** The least of several hearts in each direction: it lies inside all of them. */
function leastOf(hearts: readonly Heart[]): Heart {
  const least = (of: (heart: Heart) => number): number => Math.min(...hearts.map(of));
  return {
    along: least((one) => one.along),
    across: least((one) => one.across),
    before: least((one) => one.before),
    behind: least((one) => one.behind),
    below: least((one) => one.below),
    above: least((one) => one.above),
  };
}

/** How many motifs, at least `apartMm` from each other across, lie on rows of the pattern between two edges. */
function rowsBeside({ acrossMm, motifAcrossMm }: LayPattern, fromMm: number, toMm: number, apartMm: number): number {
  if (acrossMm <= 0) return Math.max(0, Math.floor((toMm - fromMm) / apartMm + 1e-6) + 1);
  const first = Math.ceil((fromMm - motifAcrossMm) / acrossMm - 1e-6);
  const last = Math.floor((toMm - motifAcrossMm) / acrossMm + 1e-6);
  const every = Math.max(1, Math.ceil(apartMm / acrossMm - 1e-6));
  return last < first ? 0 : Math.floor((last - first) / every) + 1;
}

/** A piece that has to match, and how many there are of it. */
interface Matched {
  readonly count: number;
  readonly heart: Heart;
}

/** How far two motifs are apart at least when one piece follows the other along, mm: a whole number of `repeatMm`, where there is one. */
function stepBetween(a: Heart, b: Heart, apartMm: number, repeatMm: number): number {
  const least = a.along + b.along + apartMm;
  return repeatMm > 0 ? Math.ceil(least / repeatMm - 1e-3) * repeatMm : least;
}

/**
 * What each piece takes of the steps before and behind it, mm: as much as can be given to all of them so that no two together take more than the step between them. Any such
 * shares are true; these begin at half the heart and are raised one after the other.
 */
function sharesOf(pieces: readonly Matched[], apartMm: number, repeatMm: number): number[] {
  const shares = pieces.map(({ heart }) => heart.along + apartMm / 2);
  pieces.forEach(({ heart, count }, i) => {
    const others = pieces.flatMap((other, j) => (j === i ? [] : [stepBetween(heart, other.heart, apartMm, repeatMm) - (shares[j] ?? 0)]));
    shares[i] = Math.min(...others, ...(count > 1 || !others.length ? [stepBetween(heart, heart, apartMm, repeatMm) / 2] : []));
  });
  return shares;
}

/** The bound that some of the pieces give by themselves: 0 where they tell nothing. */
function boundOf(pieces: readonly Matched[], pattern: LayPattern, widthMm: number, apartMm: number): number {
  const least = leastOf(pieces.map((one) => one.heart));
  if (least.along <= 0 || least.across <= 0) return 0;
  const beside = rowsBeside(pattern, least.below, widthMm - least.above, 2 * least.across + apartMm);
  if (beside === 0) return 0;
  const repeat = pattern.alongMm / (pattern.halfDrop ? 2 : 1);
  const count = pieces.reduce((sum, one) => sum + one.count, 0);
  const byCount = least.before + (Math.ceil(count / beside) - 1) * stepBetween(least, least, apartMm, repeat) + least.behind;
  const shares = sharesOf(pieces, apartMm, repeat);
  const all = pieces.reduce((sum, one, i) => sum + one.count * 2 * (shares[i] ?? 0), 0);
  // The first and the last piece have no step before and behind them, but reach as far themselves.
  const end = Math.max(...pieces.map(({ heart }, i) => Math.max(0, (shares[i] ?? 0) - Math.min(heart.before, heart.behind))));
  return Math.max(byCount, all / beside - 2 * end);
}

/**
 * A length along the roll that no lay on a pattern can beat, mm; 0 where nothing has to match.
 *
 * Each piece that has to match holds a rectangle about its motif, and any two of these rectangles are apart either along or across. At most `k` of them lie side by side. "Apart along"
 * is an interval order, so at least ⌈n / k⌉ of `n` pieces follow each other (Mirsky's theorem), and one such chain takes at least a k-th of what all take together (its graph is perfect:
 * Lovász 1972). Motifs in a chain are whole repeats apart, half repeats with a half drop. Pieces with `gapMm` between them are apart by at least gap ÷ √2 along or across.
 */
export function patternBound(items: readonly LayItem[], pattern: LayPattern, widthMm: number, gapMm: number): number {
  const matched = items.flatMap(({ polygon, turns, motif, count }): Matched[] => {
    // In a piece with a bay a rectangle may have its corners inside and not lie whole in it: such a piece tells nothing here.
    if (!motif || !isConvex(polygon)) return [];
    return [{ count, heart: leastOf(turns.map((turn) => heartOf(turnedBy(polygon, turn), turnedMotif({ motif }, turn) ?? motif))) }];
  });
  // Every choice of pieces tells something: those at least so wide and so long tell most.
  const widths = [...new Set(matched.map(({ heart }) => heart.across))];
  const lengths = [...new Set(matched.map(({ heart }) => heart.along))];
  const chosen = widths.flatMap((across) => lengths.map((along) => matched.filter(({ heart }) => heart.across >= across && heart.along >= along)));
  return Math.max(0, ...chosen.map((some) => (some.length ? boundOf(some, pattern, widthMm, gapMm * Math.SQRT1_2) : 0)));
}
