import { rectangleOutline } from '../../geometry/outline';
import { given, law, plus, sum, type Figure } from '../../kernel/figure';
import type { Piece } from '../../piece/piece';
import { clothPiece, stripLine } from './cloth-piece';

export interface WeltRequest {
  readonly id: string;
  readonly label: string;
  readonly part: Piece['part'];
  readonly countPerCushion: number;
  readonly cord: Figure;
  readonly cloth: Figure;
  /** Flange of the welt; equal to the plates' seam allowance, so that the seam runs on the seam line. */
  readonly flange: Figure;
  /** Seam line of one plate. */
  readonly round: Figure;
  readonly overlap: Figure;
  /** Depth of cloth set aside for bias strips, mm. */
  readonly biasDepthMm: number;
}

/** Length of one bias strip along its middle when cut right across a block of this depth at 45°. */
export function biasStripMm(biasDepthMm: number): number {
  return biasDepthMm * Math.SQRT2;
}

const joinWords = (joins: number): string => (joins === 0 ? 'no join' : joins === 1 ? '1 join' : `${joins} joins`);

/** The welt strip for one plate: bias at 45°, joined on the diagonal, each join using up the strip's width once. Its seam line is the ring once it is joined. */
export function weltPiece(request: WeltRequest): Piece {
  const { id, label, part, countPerCushion, cord, cloth, flange, round, overlap } = request;
  const height = law('welt strip', 'π × {0} + {1} + 2 × {2}', [cord, cloth, flange], (d = 0, c = 0, f = 0) => Math.PI * d + c + 2 * f);
  const ring = sum('welt ring', round, plus(overlap));
  const gained = Math.max(1, biasStripMm(request.biasDepthMm) - height.value);
  // The first strip loses nothing to a join, so n strips give n·gained + one strip width.
  const joins = Math.max(0, Math.ceil((ring.value - height.value) / gained - 1e-9) - 1);
  const width = sum('welt length', ring, plus(height, joins));
  const usedUp = width.value - joins * height.value - overlap.value;
  return clothPiece('welt', {
    id,
    role: 'welt',
    label,
    remark: `bias, ${joinWords(joins)}`,
    part,
    countPerCushion,
    width,
    height,
    outline: rectangleOutline(width.value, height.value),
    // What is left of its length once the joins are made and the ring is closed.
    sewn: stripLine(usedUp, height.value, { left: 0, right: 0, lower: flange.value, upper: flange.value }),
    grain: 'bias',
    joins,
  });
}

/** Cloth set aside for a number of whole bias strips: equal blocks across the roll, the last one as wide as it needs to be. */
export interface BiasBlocks {
  readonly depthMm: number;
  readonly widthsMm: readonly number[];
  readonly strips: number;
}

/**
 * A block a × b (b ≤ a) gives ⌊(a − b)/(w·√2)⌋ whole strips of width w from edge to edge at 45°; the two corner triangles are offcut.
 */
export function biasBlocks(strips: number, stripWidthMm: number, depthMm: number, usableMm: number): BiasBlocks {
  const pitch = stripWidthMm * Math.SQRT2;
  const most = Math.floor((usableMm - depthMm) / pitch + 1e-9);
  // Too narrow for a strip across: a block for each, which the lay turns along the roll or names as missing.
  if (most < 1) return { depthMm, widthsMm: Array.from({ length: strips }, () => pitch + depthMm), strips };
  const full = Math.floor(strips / most);
  const rest = strips - full * most;
  const widths = Array.from({ length: full }, () => most * pitch + depthMm);
  return { depthMm, widthsMm: rest ? [...widths, rest * pitch + depthMm] : widths, strips };
}

/** The shop's usual depth for bias strips, but never so deep that the roll gives no strip. */
export function biasDepth(shopDepthMm: number, usableMm: number): number {
  return Math.min(shopDepthMm, usableMm / 2);
}

/** Cord for the welts of a cover; null without any. */
export function cordLength(rings: readonly Piece[]): Figure | null {
  const [first, ...more] = rings.map((ring) =>
    law('cord', '{0} × {1}', [given('rings', ring.countPerCushion, 'counted', 'count'), ringOf(ring)], (n = 0, length = 0) => n * length),
  );
  if (!first) return null;
  return more.length ? sum('cord', first, ...more.map((figure) => plus(figure))) : first;
}

const ringOf = ({ width }: Piece): Figure => (width.kind === 'sum' ? width.from : width);
