import { outlineBounds } from '../geometry/outline';
import { distance, type Point } from '../geometry/point';
import type { Mark, Piece, PieceRole } from './piece';
import type { Seam, Stretch } from './seam';

/** What is centred on a motif by itself: of a plate in parts its middle, which is the first. */
const centred = ({ role, part }: Piece): boolean => role === 'body' || (role === 'plate' && part.index === 1);
/** What continues the pattern of what lies beside it across a straight seam. */
const BESIDE: readonly PieceRole[] = ['plate', 'side-panel', 'panel'];
/** Two edges meet with the pattern running on only where they lie the same way on the cloth; their ends may differ by so much of their length. */
const SAME_WAY = 0.05;

/** Cut from patterned cloth the way it was drawn, and seen. */
const canMatch = ({ material, face, grain, alongRoll }: Piece): boolean =>
  material.kind === 'cloth' && face === 'visible' && grain === 'with-the-roll' && !alongRoll;

const markOf = (piece: Piece, kind: Mark['kind'], up: boolean): Mark | undefined =>
  piece.marks.find((mark) => mark.kind === kind && (up ? mark.outward.y > 0.9 : mark.outward.y < -0.9));

/** The repeat across a cloth, as far as a whole width of it fixes where motifs lie, mm from its left edge. */
export interface AcrossCloth {
  readonly acrossMm: number;
  readonly motifAcrossMm: number;
}

/** A whole width of cloth lies where it lies: the motif of what is made of it is the one nearest to its middle, x from the width's left edge. */
function motifOnWidth(widthMm: number, { acrossMm, motifAcrossMm }: AcrossCloth): number {
  return acrossMm > 0 ? motifAcrossMm + acrossMm * Math.round((widthMm / 2 - motifAcrossMm) / acrossMm) : widthMm / 2;
}

/** The middle of a plate: between its centre marks, else of its box. */
function middleOf(piece: Piece): Point {
  const box = outlineBounds(piece.sewn ?? piece.outline);
  const front = markOf(piece, 'centre-front', false);
  return { x: front?.at.x ?? (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
}

/** How far piece b is drawn from where it would lie beside piece a if the seam were flat; null unless the seam is one straight stretch each, drawn the same way. */
function shiftAcross(a: Stretch, b: Stretch): Point | null {
  const long = distance(a.from, a.to);
  // Both edges run counter-clockwise round their own piece, so against each other.
  const off = Math.hypot(a.to.x - a.from.x - (b.from.x - b.to.x), a.to.y - a.from.y - (b.from.y - b.to.y));
  if (long < 1 || off > SAME_WAY * long) return null;
  return { x: (b.from.x + b.to.x - a.from.x - a.to.x) / 2, y: (b.from.y + b.to.y - a.from.y - a.to.y) / 2 };
}

/** The middle of a plate's box, and from there the middle of the seat that it is a part of. */
function seatMiddle(piece: Piece, { x, y }: Point): Point {
  const box = outlineBounds(piece.sewn ?? piece.outline);
  return { x: (box.minX + box.maxX) / 2 + x, y: (box.minY + box.maxY) / 2 + y };
}

/** The motif of what is centred on one: its middle, or the seat's; of a plate in seamed drops as near to that as its middle drop has one. */
function centreMotif(piece: Piece, middle: Point | undefined, across: AcrossCloth | undefined): Point {
  const wanted = middle ? seatMiddle(piece, middle) : middleOf(piece);
  if (!piece.partOf?.drop || !across) return wanted;
  const { minX, maxX } = outlineBounds(piece.outline);
  return { x: minX + motifOnWidth(maxX - minX, across), y: wanted.y };
}

/**
 * Where the centre of a motif has to fall on each piece of a matched cover, relative to the piece's origin; it may lie outside the piece. Pieces not listed need not match.
 *
 * - Plates: the middle of the plate. Where several cushions make up one seat, the middle of the seat, which lies at `middle` from the cushion's own.
 * - The front boxing: where the pattern of the top plate continues over its front edge.
 * - Side parts and side panels: where the pattern continues across their seam.
 */
export function motifsOf(pieces: readonly Piece[], seams: readonly Seam[], middle?: Point, across?: AcrossCloth): ReadonlyMap<string, Point> {
  const motifs = new Map<string, Point>();
  const able = pieces.filter(canMatch);
  for (const piece of able) if (centred(piece)) motifs.set(piece.id, centreMotif(piece, middle, across));
  // Both drops of a wide plate begin at one place of the repeat.
  for (const { id, role, outline } of able) {
    if (role !== 'drop') continue;
    const { minX, maxX, minY, maxY } = outlineBounds(outline);
    const x = across ? motifOnWidth(maxX - minX, across) : (maxX - minX) / 2;
    motifs.set(id, { x: minX + x, y: (minY + maxY) / 2 });
  }
  const plate = able.find(({ role }) => role === 'plate');
  const front = plate && markOf(plate, 'centre-front', false);
  const centre = plate && motifs.get(plate.id);
  for (const piece of able) {
    const top = piece.role === 'boxing' || piece.role === 'panel' ? markOf(piece, 'centre-front', true) : undefined;
    if (top && front && centre) motifs.set(piece.id, { x: top.at.x + centre.x - front.at.x, y: top.at.y + centre.y - front.at.y });
  }
  for (const { edges } of seams) {
    const [a, b] = edges.map(({ stretches }) => (stretches.length === 1 ? stretches[0] : undefined));
    if (!a || !b) continue;
    for (const [from, to] of [
      [a, b],
      [b, a],
    ] as const) {
      const known = motifs.get(from.piece);
      const other = able.find(({ id }) => id === to.piece);
      if (!known || !other || motifs.has(other.id) || !BESIDE.includes(other.role)) continue;
      const shift = shiftAcross(from, to);
      if (shift) motifs.set(other.id, { x: known.x + shift.x, y: known.y + shift.y });
    }
  }
  return motifs;
}
