import { patternOf } from '../lay/pattern';
import { placed, turnedBy, type Placement } from '../lay/contract';
import { bounds } from '../geometry/outline';
import type { Point } from '../geometry/point';
import { isOfPiece, isTurned } from '../piece/item-ref';
import type { Cut } from '../plan/cushion/cushion-plan';
import type { Plan } from '../plan/plan';

/** How places of a piece lie on its cloth: across from the usable edge and along from the roll's squared end, mm. */
export interface ClothPlace {
  /** A piece's x and y to across and along: `across = a·x + b·y + c`. */
  readonly across: readonly [number, number, number];
  readonly along: readonly [number, number, number];
  /** Where along the roll the first motif lies, and across, where it lies otherwise than on the roll; null where the lay has not chosen it. */
  readonly motifAtMm: number | null;
  readonly motifAcrossMm: number | null;
}

/** The three numbers that take x and y to a value, from what it is at the origin and one step across and up. */
function linear(at: (p: Point) => number): readonly [number, number, number] {
  const c = at({ x: 0, y: 0 });
  return [at({ x: 1, y: 0 }) - c, at({ x: 0, y: 1 }) - c, c];
}

function placeOf(cut: Cut, placement: Placement, motif: Pick<ClothPlace, 'motifAtMm' | 'motifAcrossMm'>): ClothPlace {
  const { minX, maxX } = bounds(cut.polygon);
  const onCloth = (p: Point): Point => {
    const drawn = cut.turned ? { x: minX + maxX - p.x, y: p.y } : p;
    // Pieces are drawn with the roll running up, and lie with it running to the right.
    const [lain = p] = placed(turnedBy([drawn], -90), placement);
    return lain;
  };
  return { across: linear((p) => onCloth(p).y), along: linear((p) => onCloth(p).x), ...motif };
}

/**
 * Where a piece's copies lie on their cloth, in the order they are cut, those turned over last; empty while its lay is not worked out. The underside of a plate that is
 * cut twice is the last of them.
 */
export function clothPlaces({ lays, cushions }: Pick<Plan, 'lays' | 'cushions'>, cushion: number, piece: string): readonly ClothPlace[] {
  const cuts = cushions[cushion]?.cuts.filter((cut) => cut.piece.id === piece) ?? [];
  return lays.flatMap(({ answer, recutOf, request: { material } }) => {
    if (!answer || recutOf !== null) return [];
    const mine = answer.placements
      .filter(({ item }) => isOfPiece(item, { cushion, piece }))
      .sort((a, b) => Number(isTurned(a.item)) - Number(isTurned(b.item)) || a.copy - b.copy);
    return mine.flatMap((placement) => {
      const cut = cuts.find(({ turned }) => turned === isTurned(placement.item));
      return cut ? [placeOf(cut, placement, { motifAtMm: answer.patternAtMm ?? null, motifAcrossMm: patternOf(material)?.motifAcrossMm ?? null })] : [];
    });
  });
}
