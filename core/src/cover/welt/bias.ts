import type { Point } from '../../geometry/point';

/**
 * How bias strips are cut, always at 45° to the threads:
 * - `across`: from selvedge to selvedge as one piece, the longest strips and the fewest joins; the triangles at its ends are room for small pieces;
 * - `block`: as deep as the shop has it, so that other pieces lie beside them;
 * - `tube`: a rectangle over the whole width, its corner sewn on at the other end, sewn to a tube and cut round and round: nothing is left over.
 */
export const BIAS_WAYS = ['across', 'block', 'tube'] as const;
export type BiasWay = (typeof BIAS_WAYS)[number];

/** How bias strips are cut where nothing is said. */
export const USUAL_BIAS: BiasWay = 'across';

/** How deep across the cloth strips run, mm: over its whole width, or the shop's depth, but never so deep that a block gives no strip. */
export function biasDepth(way: BiasWay, usableMm: number, shopDepthMm: number): number {
  return way === 'block' ? Math.min(shopDepthMm, usableMm / 2) : usableMm;
}

/** Length of one bias strip along its middle when it runs from edge to edge over this depth. */
export function biasStripMm(depthMm: number): number {
  return depthMm * Math.SQRT2;
}

/** Cloth for bias strips as it is cut out, x across the roll and y along it: strips lie beside each other in it. */
export interface BiasBlock {
  readonly polygon: readonly Point[];
  readonly strips: number;
  /** A tube is cut from cloth that lies as it is; the others may be turned. */
  readonly turns: readonly number[];
}

/** Strips of a width at 45° take so much along the edge, mm. */
const pitchOf = (stripMm: number): number => stripMm * Math.SQRT2;

/** Strips beside each other: a parallelogram, its long sides along the roll. The triangles at its ends are free for other pieces. */
function slanted(strips: number, stripMm: number, depthMm: number): Point[] {
  const base = strips * pitchOf(stripMm);
  return [
    { x: 0, y: 0 },
    { x: depthMm, y: depthMm },
    { x: depthMm, y: depthMm + base },
    { x: 0, y: base },
  ];
}

/**
 * The cloth for a number of whole bias strips of one width. Blocks are no longer than the roll is wide, so that each can be turned across it;
 * strips from selvedge to selvedge are one piece, as is a tube.
 */
export function biasBlocks(way: BiasWay, strips: number, stripMm: number, depthMm: number, usableMm: number): BiasBlock[] {
  if (way === 'tube') {
    const long = strips * pitchOf(stripMm);
    return [
      {
        polygon: [
          { x: 0, y: 0 },
          { x: depthMm, y: 0 },
          { x: depthMm, y: long },
          { x: 0, y: long },
        ],
        strips,
        turns: [0, 180],
      },
    ];
  }
  if (way === 'across') return [{ polygon: slanted(strips, stripMm, depthMm), strips, turns: [0, 180] }];
  // Where even one strip does not go across, each is by itself, for the lay to turn along the roll or to name as missing.
  const most = Math.max(1, Math.floor((usableMm - depthMm) / pitchOf(stripMm) + 1e-9));
  return Array.from({ length: Math.ceil(strips / most) }, (_, i): BiasBlock => {
    const here = Math.min(most, strips - i * most);
    return { polygon: slanted(here, stripMm, depthMm), strips: here, turns: [0, 90, 180, 270] };
  });
}
